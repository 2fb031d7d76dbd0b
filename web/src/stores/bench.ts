import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { api, ApiError, ask, type Goals, type Plan, type Recipe, type Schemas } from '../api/client'
import { useLatest } from '../composables/useLatest'
import { clientKey } from '../logic/draft'

export type BenchGoals = Required<
  Pick<Goals, 'path' | 'cut' | 'keep_sweet' | 'definition' | 'diets' | 'cupboard' | 'locks'>
>

/** Free sugar of one portion, and how a path's own preset comes out. */
export interface PathGlance {
  status: Plan['status'] | 'none'
  freeSugar: number
  words: string
}

const RELOAD_AFTER_MS = 120

/** The recipe on the bench: its goals, the plan for them, and the steps back. */
export const useBench = defineStore('bench', () => {
  const recipe = ref<Recipe>()
  const goals = ref<BenchGoals>()
  const plan = ref<Plan>()
  const problem = ref('')
  const isWorking = ref(false)
  const glances = ref<Record<string, PathGlance>>({})
  const past = ref<BenchGoals[]>([])
  const future = ref<BenchGoals[]>([])
  const latest = useLatest<Plan>()
  let timer: ReturnType<typeof setTimeout> | undefined

  const original = computed(() => recipe.value?.versions[0])
  const canUndo = computed(() => past.value.length > 0)
  const canRedo = computed(() => future.value.length > 0)

  async function open(id: number, start: () => BenchGoals): Promise<void> {
    if (recipe.value?.id !== id) {
      recipe.value = undefined
      plan.value = undefined
      glances.value = {}
    }
    problem.value = ''
    recipe.value = await ask(api.GET('/api/recipes/{recipe_id}', { params: { path: { recipe_id: id } } }))
    goals.value = start()
    past.value = []
    future.value = []
    await solve()
  }

  /** Lets go of the goals of the recipe that was on the bench before. */
  function forget(): void {
    goals.value = undefined
  }

  /** Changes the goals and solves anew; the last good plan stays on screen until the next one is there. */
  function change(changes: Partial<BenchGoals>): void {
    if (!goals.value) return
    past.value = [...past.value.slice(-49), goals.value]
    future.value = []
    goals.value = { ...goals.value, ...changes }
    schedule()
  }

  function undo(): void {
    const before = past.value.pop()
    if (!before || !goals.value) return
    future.value.push(goals.value)
    goals.value = before
    schedule()
  }

  function redo(): void {
    const next = future.value.pop()
    if (!next || !goals.value) return
    past.value.push(goals.value)
    goals.value = next
    schedule()
  }

  function schedule(): void {
    clearTimeout(timer)
    timer = setTimeout(() => void solve(), RELOAD_AFTER_MS)
  }

  async function solve(): Promise<void> {
    const shown = recipe.value
    if (!shown || !goals.value) return
    const body = goals.value
    isWorking.value = true
    try {
      const answer = await latest((signal) =>
        ask(
          api.POST('/api/recipes/{recipe_id}/rework', {
            params: { path: { recipe_id: shown.id } },
            body,
            signal,
          }),
        ),
      )
      if (!answer) return
      plan.value = answer
      problem.value = ''
    } catch (error) {
      problem.value =
        error instanceof ApiError ? error.message : 'This could not be computed; the last plan stays.'
    } finally {
      isWorking.value = false
    }
  }

  /** Solves every path with its own preset, one after the other, for the small suns. */
  async function glance(paths: Schemas['PathOut'][], diets: string[]): Promise<void> {
    const id = recipe.value?.id
    for (const path of paths) {
      if (!id || recipe.value?.id !== id) return
      try {
        const found = await ask(
          api.POST('/api/recipes/{recipe_id}/rework', {
            params: { path: { recipe_id: id } },
            body: { path: path.key, diets },
          }),
        )
        glances.value[path.key] = {
          status: found.status,
          freeSugar: found.after.per_serving.free_sugars_who_g,
          words: { balanced: 'balanced', strained: 'at its edge', unmet: 'falls short' }[found.status],
        }
      } catch {
        glances.value[path.key] = { status: 'none', freeSugar: 0, words: 'nothing to cut' }
      }
    }
  }

  /** Cuts the same tin into another number of portions. */
  async function cutInto(servings: number): Promise<void> {
    if (!recipe.value) return
    recipe.value = await ask(
      api.PATCH('/api/recipes/{recipe_id}', {
        params: { path: { recipe_id: recipe.value.id } },
        body: { revision: recipe.value.revision, servings },
      }),
    )
    await solve()
  }

  async function keep(label: string): Promise<void> {
    if (!recipe.value || !goals.value) return
    recipe.value = await ask(
      api.POST('/api/recipes/{recipe_id}/versions', {
        params: { path: { recipe_id: recipe.value.id } },
        body: { ...goals.value, label, client_key: clientKey() },
      }),
    )
  }

  return {
    recipe,
    goals,
    plan,
    problem,
    isWorking,
    glances,
    original,
    canUndo,
    canRedo,
    open,
    forget,
    change,
    undo,
    redo,
    glance,
    keep,
    cutInto,
  }
})
