import { computed, ref, type Ref } from 'vue'
import { api, ask } from '../../api/client'
import type {
  BenchGoals,
  Checked,
  FrontierPoint,
  Goals,
  PathGlance,
  PathSide,
  Plan,
  Recipe,
  Relaxation,
  Schemas,
} from '../../api/types'

const WORDS = { balanced: 'balanced', strained: 'at its edge', unmet: 'falls short' }

/** How a path came out, for its small sun; `undefined` where it has nothing to cut. */
export function glanceOf(status: Plan['status'] | undefined | null, freeSugar: number): PathGlance {
  return { status: status ?? 'none', freeSugar, words: status ? WORDS[status] : 'nothing to cut' }
}

/** What lies around the wish: the other paths, bigger cuts, the smallest changes. */
export function exploring(recipe: Ref<Recipe | undefined>, goals: Ref<BenchGoals | undefined>) {
  const glances = ref<Record<string, PathGlance>>({})
  const relaxed = ref<Relaxation[]>()
  const checked = ref<Checked[]>()
  const others = ref<Schemas['OtherOut'][]>()
  const eaters = computed(() => JSON.stringify([goals.value?.diets, goals.value?.avoid, goals.value?.eaters]))
  const at = () => ({ path: { recipe_id: recipe.value?.id ?? 0 } })

  async function sides(body: Goals): Promise<PathSide[]> {
    if (!recipe.value) return []
    return (await ask(api.POST('/api/recipes/{recipe_id}/paths', { params: at(), body }))).paths
  }

  /** Solves every path with its own preset for who eats it, for the small suns. */
  async function glance(): Promise<void> {
    const id = recipe.value?.id
    const wish = eaters.value
    const { diets, avoid, eaters: table } = goals.value ?? {}
    const found = await sides({ diets, avoid, eaters: table })
    if (recipe.value?.id !== id || wish !== eaters.value) return
    glances.value = Object.fromEntries(
      found.map((side) => [side.path, glanceOf(side.status, side.per_serving?.free_sugars_who_g ?? 0)]),
    )
  }

  /** What each sugar cut costs, all other wishes as they are. */
  async function frontier(): Promise<FrontierPoint[]> {
    if (!recipe.value || !goals.value) return []
    const body = goals.value
    return (await ask(api.POST('/api/recipes/{recipe_id}/frontier', { params: at(), body }))).points
  }

  /** What a little more sweetness and a bigger cut cost in the other goals. */
  async function nudges(): Promise<Relaxation[]> {
    if (!recipe.value || !goals.value) return []
    const body = goals.value
    return (await ask(api.POST('/api/recipes/{recipe_id}/sensitivity', { params: at(), body }))).nudges
  }

  /** Finds the smallest changes that would bring the wish into balance. */
  async function relax(): Promise<void> {
    if (!recipe.value || !goals.value) return
    const wish = goals.value
    const found = await ask(api.POST('/api/recipes/{recipe_id}/relaxations', { params: at(), body: wish }))
    if (goals.value === wish) relaxed.value = found.relaxations
  }

  /** Finds plans for the same wish that do it otherwise and are nearly as good. */
  async function lookForOthers(): Promise<void> {
    if (!recipe.value || !goals.value) return
    const wish = goals.value
    const found = await ask(api.POST('/api/recipes/{recipe_id}/others', { params: at(), body: wish }))
    if (goals.value === wish) others.value = found.others
  }

  /** Judges the recipe by itself, each component as the kind of dessert that the baker says it is. */
  async function check(): Promise<void> {
    if (!recipe.value) return
    const id = recipe.value.id
    const body = { families: goals.value?.families ?? {} }
    const found = await ask(api.POST('/api/recipes/{recipe_id}/check', { params: at(), body }))
    if (recipe.value?.id === id) checked.value = found.components
  }

  return {
    checked,
    check,
    glances,
    relaxed,
    others,
    lookForOthers,
    eaters,
    sides,
    glance,
    frontier,
    nudges,
    relax,
  }
}
