import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import {
  api,
  ApiError,
  ask,
  type Goals,
  type Plan,
  type PlanLine,
  type Recipe,
  type Schemas,
} from '../api/client'
import { useLatest } from '../composables/useLatest'
import { clientKey, draft, keepDraft } from '../logic/draft'

export type BenchGoals = Required<Omit<Goals, 'cup'>>
export type PathSide = Schemas['PathSideOut']
export type FrontierPoint = Schemas['FrontierPointOut']
export type Relaxation = Schemas['RelaxationOut']

/** Free sugar of one portion, and how a path's own preset comes out. */
export interface PathGlance {
  status: Plan['status'] | 'none'
  freeSugar: number
  words: string
}

/** A wish as the browser keeps it over a reload, and the recipe it was made for. */
interface Unfinished {
  title: string
  lines: number
  /** The kept version that it began with, 0 for none. */
  from: number
  goals: BenchGoals
}

const RELOAD_AFTER_MS = 160
/** One drag of a slider is one step back. */
const SLID = new Set(['cut', 'keep_sweet'])
const ONE_DRAG_MS = 700
/** What a slider or a typed amount moves: followed at once by a preview, before the plan proper. */
const FOLLOWED = new Set([
  'cut',
  'keep_sweet',
  'locks',
  'amounts',
  'most_energy_kcal',
  'most_free_sugar_g',
  'most_cost',
])
/** Whether a preview must know of a line: it came in, or moves by pieces as eggs do. */
const isSupport = (line: PlanLine) =>
  line.position === null || (Math.abs(line.after_g - line.before_g) > 0.01 && line.after_g > 0)

/** The recipe on the bench: its goals, the plan for them, and the steps back. */
export const useBench = defineStore('bench', () => {
  const recipe = ref<Recipe>()
  const goals = ref<BenchGoals>()
  const plan = ref<Plan>()
  const problem = ref('')
  const isWorking = ref(false)
  const glances = ref<Record<string, PathGlance>>({})
  const isPreview = ref(false)
  const relaxed = ref<Relaxation[]>()
  /** What the last plan proper brought in: a preview moves its amounts and must not start from its own. */
  const support = ref<Schemas['SupportIn'][]>([])
  const past = ref<BenchGoals[]>([])
  const future = ref<BenchGoals[]>([])
  const latest = useLatest<Plan>()
  const latestPreview = useLatest<Schemas['PreviewOut']>()
  let timer: ReturnType<typeof setTimeout> | undefined
  let from = 0
  let lastSlid = ''
  let lastSlidAt = 0

  const original = computed(() => recipe.value?.versions[0])
  const eaters = computed(() => JSON.stringify([goals.value?.diets, goals.value?.avoid, goals.value?.eaters]))
  const canUndo = computed(() => past.value.length > 0)
  const canRedo = computed(() => future.value.length > 0)

  async function open(id: number, start: () => BenchGoals, version?: number): Promise<void> {
    if (recipe.value?.id !== id) {
      recipe.value = undefined
      plan.value = undefined
      glances.value = {}
    }
    problem.value = ''
    recipe.value = await ask(api.GET('/api/recipes/{recipe_id}', { params: { path: { recipe_id: id } } }))
    from = version ?? 0
    goals.value = unfinished(recipe.value) ?? start()
    keepUnfinished()
    past.value = []
    future.value = []
    await solve()
  }

  /** The wish that was last on the bench for this recipe, if it is still the same one. */
  function unfinished(shown: Recipe): BenchGoals | undefined {
    const kept = draft<Unfinished | null>(`bench.${shown.id}`, null)
    const isSame = kept?.title === shown.title && kept.lines === shown.versions[0]?.lines.length
    return isSame && (!from || kept.from === from) ? { ...kept.goals } : undefined
  }

  function keepUnfinished(): void {
    if (!recipe.value || !goals.value) return
    const lines = recipe.value.versions[0]?.lines.length ?? 0
    keepDraft(`bench.${recipe.value.id}`, { title: recipe.value.title, lines, from, goals: goals.value })
  }

  /** Lets go of the goals of the recipe that was on the bench before. */
  function forget(): void {
    goals.value = undefined
  }

  /** Changes the goals and solves anew; the last good plan stays on screen until the next one is there. */
  function change(changes: Partial<BenchGoals>): void {
    if (!goals.value) return
    const slid = Object.keys(changes).join()
    const isSameDrag = SLID.has(slid) && slid === lastSlid && Date.now() - lastSlidAt < ONE_DRAG_MS
    lastSlid = slid
    lastSlidAt = Date.now()
    if (!isSameDrag) past.value = [...past.value.slice(-49), goals.value]
    future.value = []
    goals.value = { ...goals.value, ...changes }
    keepUnfinished()
    if (plan.value && Object.keys(changes).every((key) => FOLLOWED.has(key))) void follow()
    schedule()
  }

  /** Shows what the last plan's ingredients come to under the new wish, until the plan proper is there. */
  async function follow(): Promise<void> {
    const [shown, last, body] = [recipe.value, plan.value, goals.value]
    if (!shown || !last || !body) return
    try {
      const found = await latestPreview((signal) =>
        ask(
          api.POST('/api/recipes/{recipe_id}/preview', {
            params: { path: { recipe_id: shown.id } },
            body: { ...body, support: support.value },
            signal,
          }),
        ),
      )
      // The plan proper may have been quicker, or the recipe changed: then this is stale.
      if (!found || plan.value !== last || goals.value !== body) return
      const amounts = new Map(found.lines.map((x) => [`${x.position}|${x.component}|${x.ingredient}`, x]))
      plan.value = {
        ...last,
        lines: last.lines.map((line) => {
          const now = amounts.get(`${line.position}|${line.component}|${line.ingredient}`)
          return now ? { ...line, after_g: now.after_g, household: now.household } : line
        }),
        balance: found.balance,
        after: { ...last.after, per_serving: found.per_serving },
        savings_per_serving: found.savings_per_serving,
      }
      isPreview.value = true
    } catch {
      // The plan proper tells what is wrong.
    }
  }

  function undo(): void {
    const before = past.value.pop()
    if (!before || !goals.value) return
    lastSlid = ''
    future.value.push(goals.value)
    goals.value = before
    keepUnfinished()
    schedule()
  }

  function redo(): void {
    const next = future.value.pop()
    if (!next || !goals.value) return
    past.value.push(goals.value)
    goals.value = next
    keepUnfinished()
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
      support.value = answer.lines
        .filter(isSupport)
        .map((line) => ({ component: line.component, ingredient: line.ingredient, grams: line.after_g }))
      isPreview.value = false
      problem.value = ''
      if (relaxed.value) relaxed.value = undefined
    } catch (error) {
      problem.value =
        error instanceof ApiError ? error.message : 'This could not be computed; the last plan stays.'
    } finally {
      isWorking.value = false
    }
  }

  async function sides(body: Goals): Promise<PathSide[]> {
    const id = recipe.value?.id
    if (!id) return []
    const found = await ask(
      api.POST('/api/recipes/{recipe_id}/paths', { params: { path: { recipe_id: id } }, body }),
    )
    return found.paths
  }

  /** Solves every path with its own preset for who eats it, for the small suns. */
  async function glance(): Promise<void> {
    const id = recipe.value?.id
    const wish = eaters.value
    const { diets, avoid, eaters: table } = goals.value ?? {}
    const found = await sides({ diets, avoid, eaters: table })
    if (recipe.value?.id !== id || wish !== eaters.value) return
    const words = { balanced: 'balanced', strained: 'at its edge', unmet: 'falls short' }
    glances.value = Object.fromEntries(
      found.map((side) => [
        side.path,
        {
          status: side.status ?? 'none',
          freeSugar: side.per_serving?.free_sugars_who_g ?? 0,
          words: side.status ? words[side.status] : 'nothing to cut',
        },
      ]),
    )
  }

  /** What each sugar cut costs, all other wishes as they are. */
  async function frontier(): Promise<FrontierPoint[]> {
    if (!recipe.value || !goals.value) return []
    const found = await ask(
      api.POST('/api/recipes/{recipe_id}/frontier', {
        params: { path: { recipe_id: recipe.value.id } },
        body: goals.value,
      }),
    )
    return found.points
  }

  /** What a little more sweetness and a bigger cut cost in the other goals. */
  async function nudges(): Promise<Relaxation[]> {
    if (!recipe.value || !goals.value) return []
    const found = await ask(
      api.POST('/api/recipes/{recipe_id}/sensitivity', {
        params: { path: { recipe_id: recipe.value.id } },
        body: goals.value,
      }),
    )
    return found.nudges
  }

  /** Finds the smallest changes that would bring the wish into balance. */
  async function relax(): Promise<void> {
    if (!recipe.value || !goals.value) return
    const wish = goals.value
    const found = await ask(
      api.POST('/api/recipes/{recipe_id}/relaxations', {
        params: { path: { recipe_id: recipe.value.id } },
        body: wish,
      }),
    )
    if (goals.value === wish) relaxed.value = found.relaxations
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
    isPreview,
    relaxed,
    glances,
    original,
    eaters,
    canUndo,
    canRedo,
    open,
    forget,
    change,
    undo,
    redo,
    glance,
    sides,
    frontier,
    nudges,
    relax,
    keep,
    cutInto,
  }
})
