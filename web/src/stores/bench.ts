import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { api, ApiError, ask } from '../api/client'
import type { BenchGoals, Method, Plan, Recipe, Schemas } from '../api/types'
import { useLatest } from '../composables/useLatest'
import { clientKey } from '../logic/draft'
import { exploring, glanceOf } from './bench/exploring'
import { wishHistory } from './bench/history'
import { isFollowed, overlaid, supportOf } from './bench/preview'
import { keepUnfinished, unfinished } from './bench/unfinished'

const RELOAD_AFTER_MS = 160

/** The recipe on the bench: its goals, the plan for them, and the steps back. */
export const useBench = defineStore('bench', () => {
  const recipe = shallowRef<Recipe>()
  const goals = shallowRef<BenchGoals>()
  const plan = shallowRef<Plan>()
  /** The last plan proper, with its words: what a preview moves meanwhile is not in it. */
  const settled = shallowRef<Plan>()
  /** The path that the last plan proper is of. */
  const solvedFor = ref('')
  const problem = ref('')
  /** The household's own patterns that this recipe can follow. */
  const patterns = ref<Schemas['OwnPatternOut'][]>([])
  const isWorking = ref(false)
  const isPreview = ref(false)
  const latest = useLatest<Plan>()
  const latestPreview = useLatest<Schemas['PreviewOut']>()
  const history = wishHistory(goals)
  const around = exploring(recipe, goals)
  let support: Schemas['SupportIn'][] = []
  let timer: ReturnType<typeof setTimeout> | undefined
  let from = 0

  /** How each path came out with its own preset, and the chosen one with the wish as it is. */
  const glances = computed(() => {
    const last = settled.value
    if (!last) return around.glances.value
    const own = glanceOf(last.status, last.after.per_serving.free_sugars_who_g)
    return { ...around.glances.value, [solvedFor.value]: own }
  })
  const original = computed(() => recipe.value?.versions[0])
  const at = () => ({ path: { recipe_id: recipe.value?.id ?? 0 } })

  async function open(id: number, start: () => BenchGoals, version?: number): Promise<void> {
    if (recipe.value?.id !== id) {
      recipe.value = undefined
      plan.value = undefined
      settled.value = undefined
      around.glances.value = {}
      around.checked.value = undefined
    }
    problem.value = ''
    const found = await ask(api.GET('/api/recipes/{recipe_id}', { params: { path: { recipe_id: id } } }))
    recipe.value = found
    from = version ?? 0
    goals.value = unfinished(found, from) ?? start()
    keepUnfinished(found, from, goals.value)
    history.begin()
    await Promise.all([solve(), lookForPatterns()])
  }

  async function lookForPatterns(): Promise<void> {
    const id = recipe.value?.id
    const found = await ask(api.GET('/api/recipes/{recipe_id}/patterns', { params: at() }))
    if (recipe.value?.id === id) patterns.value = found.patterns
  }

  /** Keeps a version as a pattern for other desserts, or lets go of it as one. */
  async function setPattern(number: number, isPattern: boolean): Promise<void> {
    const path = { recipe_id: recipe.value?.id ?? 0, number }
    recipe.value = await ask(
      api.POST('/api/recipes/{recipe_id}/versions/{number}/pattern', {
        params: { path },
        body: { is_pattern: isPattern },
      }),
    )
  }

  /** Lets go of the goals of the recipe that was on the bench before. */
  function forget(): void {
    goals.value = undefined
  }

  /** Changes the goals and solves anew; the last good plan stays on screen until the next one is there. */
  function change(changes: Partial<BenchGoals>): void {
    history.change(changes)
    rested()
    if (plan.value && isFollowed(changes)) void follow()
  }

  /** Keeps the wish as it is now, and asks for its plan once it rests. */
  function rested(): void {
    if (recipe.value && goals.value) keepUnfinished(recipe.value, from, goals.value)
    clearTimeout(timer)
    timer = setTimeout(() => void solve(), RELOAD_AFTER_MS)
  }

  /** Shows what the last plan's ingredients come to under the new wish, until the plan proper is there. */
  async function follow(): Promise<void> {
    const [last, wish] = [plan.value, goals.value]
    if (!recipe.value || !last || !wish) return
    const body = { ...wish, support }
    try {
      const found = await latestPreview((signal) =>
        ask(api.POST('/api/recipes/{recipe_id}/preview', { params: at(), body, signal })),
      )
      // The plan proper may have been quicker, or the recipe changed: then this is stale.
      if (!found || plan.value !== last || goals.value !== wish) return
      plan.value = overlaid(last, found)
      isPreview.value = true
    } catch {
      // The plan proper tells what is wrong.
    }
  }

  async function solve(): Promise<void> {
    if (!recipe.value || !goals.value) return
    const body = goals.value
    isWorking.value = true
    try {
      const answer = await latest((signal) =>
        ask(api.POST('/api/recipes/{recipe_id}/rework', { params: at(), body, signal })),
      )
      if (!answer) return
      plan.value = answer
      settled.value = answer
      solvedFor.value = body.path ?? ''
      support = supportOf(answer)
      isPreview.value = false
      problem.value = ''
      around.relaxed.value = undefined
      around.others.value = undefined
      around.checked.value = undefined
    } catch (error) {
      problem.value =
        error instanceof ApiError ? error.message : 'This could not be computed; the last plan stays.'
      if (error instanceof ApiError && error.code === 'nothing_to_rework') {
        // Nothing to take out: then it is judged by itself.
        plan.value = undefined
        await around.check().catch(() => undefined)
      }
    } finally {
      isWorking.value = false
    }
  }

  /** Changes the recipe itself, and plans anew. */
  async function edit(changes: Omit<Schemas['RecipeChangeIn'], 'revision'>): Promise<void> {
    if (!recipe.value) return
    const body = { ...changes, revision: recipe.value.revision }
    recipe.value = await ask(api.PATCH('/api/recipes/{recipe_id}', { params: at(), body }))
    await solve()
  }

  /** Cuts the same tin into another number of portions. */
  const cutInto = (servings: number): Promise<void> => edit({ servings })

  const setMethod = (method: Method): Promise<void> => edit({ method })

  async function keep(label: string): Promise<void> {
    if (!recipe.value || !goals.value) return
    const body = { ...goals.value, label, client_key: clientKey() }
    recipe.value = await ask(api.POST('/api/recipes/{recipe_id}/versions', { params: at(), body }))
  }

  return {
    recipe,
    goals,
    plan,
    settled,
    patterns,
    setPattern,
    problem,
    isWorking,
    isPreview,
    original,
    ...around,
    glances,
    canUndo: history.canUndo,
    canRedo: history.canRedo,
    undo: () => void (history.undo() && rested()),
    redo: () => void (history.redo() && rested()),
    open,
    forget,
    change,
    keep,
    cutInto,
    setMethod,
  }
})
