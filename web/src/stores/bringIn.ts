import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { api, ApiError, ask } from '../api/client'
import type { Checked, Decision, PortionKind, Reading, Recipe, Role, Schemas, ShownLine } from '../api/types'
import { useLatest } from '../composables/useLatest'
import { clientKey, draft, keepDraft } from '../logic/draft'

interface Kept {
  text: string
  cup: string | null
  servings: number | null
  decisions: Record<string, Decision>
  portions: PortionKind[]
  /** For how many portions a component is enough, where the user said so. */
  ownYields: Record<string, number>
  /** What the baker says that a line of the text is, by its words. */
  roles: Record<string, Role>
  /** What kind of dessert the baker says that a component is. */
  families: Record<string, string>
  clientKey: string
}

/** The server refuses longer texts as well; saying so here spares sending megabytes. */
const MOST_CHARACTERS = 200_000
const EMPTY: Kept = {
  text: '',
  cup: null,
  servings: null,
  decisions: {},
  portions: [],
  ownYields: {},
  roles: {},
  families: {},
  clientKey: '',
}

/** A recipe being brought in: the text, how it was read, and what was decided about its doubts. */
export const useBringIn = defineStore('bringIn', () => {
  const kept = ref<Kept>({ ...EMPTY, ...draft<Partial<Kept>>('bringIn', {}) })
  const reading = ref<Reading>()
  const analysis = ref<Schemas['AnalysisOut'] | null>(null)
  /** What each component was taken for, and how surely. */
  const kinds = ref<Checked[]>([])
  const problem = ref('')
  const isReading = ref(false)
  const latestRead = useLatest<Reading>()
  const latestKinds = useLatest<Schemas['CheckOut']>()
  const latestTotals = useLatest<Schemas['AnalysisOut']>()

  watch(kept, (value) => value.text.length <= MOST_CHARACTERS && keepDraft('bringIn', value), { deep: true })

  const lines = computed<ShownLine[]>(() =>
    (reading.value?.lines ?? []).map((line, index) => {
      const decisionKey = `${line.component}|${line.text}|${line.name}`
      const decision = kept.value.decisions[decisionKey]
      const asks = ['ask', 'conflict', 'unreadable'].includes(line.status)
      return { ...line, index, decisionKey, decision, isOpen: asks && !decision }
    }),
  )
  const open = computed(() => lines.value.filter((line) => line.isOpen))
  /** The lines that are in no total until they are decided, as the reading says: a line in conflict is in. */
  const leftOut = computed(() =>
    (reading.value?.left_out ?? []).filter((out) => lines.value[out.position]?.isOpen),
  )
  const servings = computed(
    () => kept.value.servings ?? reading.value?.portions?.count ?? analysis.value?.servings ?? 8,
  )
  const unit = computed(() => reading.value?.portions?.unit || 'serving')

  const weighed = computed<Schemas['LineIn'][]>(() => {
    const out = new Set(leftOut.value.map((line) => line.position))
    return lines.value.flatMap((line) => {
      if (line.decision?.isLeftOut) return []
      const ingredient = line.decision?.ingredient ?? line.ingredient
      const grams = line.decision?.grams ?? line.grams
      if (!ingredient || grams === null || out.has(line.index)) return []
      return [{ ingredient, grams, component: line.component, text: line.text }]
    })
  })

  const components = computed(() => [...new Set(weighed.value.map((line) => line.component ?? ''))])

  /** For how many portions each component is enough: as the text says, unless the user said otherwise. */
  const ownYields = computed<Record<string, number>>(() => {
    const said = Object.fromEntries(
      (reading.value?.component_yields ?? []).map((y) => [y.component, y.count]),
    )
    return Object.fromEntries(
      Object.entries({ ...said, ...kept.value.ownYields }).filter(
        ([component, count]) => components.value.includes(component) && count !== servings.value,
      ),
    )
  })

  async function setOwnYield(component: string, count: number): Promise<void> {
    kept.value.ownYields = { ...kept.value.ownYields, [component]: count }
    await total()
  }

  async function read(): Promise<void> {
    if (!kept.value.text.trim()) {
      reading.value = undefined
      problem.value = ''
      analysis.value = null
      return
    }
    if (kept.value.text.length > MOST_CHARACTERS) {
      problem.value = `This text has ${kept.value.text.length.toLocaleString()} characters; a recipe is far shorter.`
      return
    }
    isReading.value = true
    try {
      const answer = await latestRead((signal) =>
        ask(
          api.POST('/api/read', {
            body: { text: kept.value.text, cup: kept.value.cup, roles: said() },
            signal,
          }),
        ),
      )
      if (!answer) return
      // A page pasted as HTML becomes the recipe that it holds.
      if (answer.source) kept.value.text = answer.source
      reading.value = answer
      problem.value = ''
      await total()
    } catch (error) {
      problem.value = error instanceof ApiError ? error.message : 'This could not be read.'
    } finally {
      isReading.value = false
    }
  }

  /** What the baker says of lines, by their number in the text as it is now. */
  function said(): Record<number, Role> {
    const found: Record<number, Role> = {}
    kept.value.text.split(/\r\n|[\n\r]/).forEach((line, number) => {
      const role = kept.value.roles[line.trim()]
      if (role) found[number] = role
    })
    return found
  }

  async function setRole(line: string, role: Role | undefined): Promise<void> {
    const others = Object.fromEntries(Object.entries(kept.value.roles).filter(([key]) => key !== line.trim()))
    kept.value.roles = role ? { ...others, [line.trim()]: role } : others
    await read()
  }

  async function total(): Promise<void> {
    if (!weighed.value.length) {
      analysis.value = null
      kinds.value = []
      return
    }
    const answer = await latestTotals((signal) =>
      ask(
        api.POST('/api/analyse', {
          body: {
            lines: weighed.value,
            servings: servings.value,
            unit: unit.value,
            own_yields: ownYields.value,
          },
          signal,
        }),
      ),
    )
    if (answer) analysis.value = answer
    await judge()
  }

  /** Asks what kind of dessert each component is. */
  async function judge(): Promise<void> {
    const families = Object.fromEntries(
      Object.entries(kept.value.families).filter(([component]) => components.value.includes(component)),
    )
    const found = await latestKinds((signal) =>
      ask(
        api.POST('/api/check', {
          body: {
            lines: weighed.value,
            servings: servings.value,
            unit: unit.value,
            title: (reading.value?.title ?? '').slice(0, 200),
            method: (reading.value?.steps ?? []).join('\n').slice(0, 20_000),
            oven: reading.value?.oven ?? null,
            families,
          },
          signal,
        }),
      ),
    )
    if (found) kinds.value = found.components
  }

  async function setFamily(component: string, family: string): Promise<void> {
    kept.value.families = { ...kept.value.families, [component]: family }
    await judge()
  }

  async function decide(line: ShownLine, decision: Decision | undefined): Promise<void> {
    if (decision) kept.value.decisions[line.decisionKey] = decision
    else
      kept.value.decisions = Object.fromEntries(
        Object.entries(kept.value.decisions).filter(([key]) => key !== line.decisionKey),
      )
    await total()
  }

  async function keep(): Promise<Recipe> {
    kept.value.clientKey ||= clientKey()
    const recipe = await ask(
      api.POST('/api/recipes', {
        body: {
          title: reading.value?.title || 'Untitled dessert',
          source_text: kept.value.text,
          cup: reading.value?.cup ?? 'us',
          servings: servings.value,
          unit: unit.value,
          lines: weighed.value,
          portions: kept.value.portions,
          own_yields: ownYields.value,
          client_key: kept.value.clientKey,
        },
      }),
    )
    if (Object.keys(kept.value.families).length)
      keepDraft('kinds', { ...draft('kinds', {}), [recipe.id]: kept.value.families })
    clear()
    return recipe
  }

  function clear(): void {
    kept.value = { ...EMPTY, decisions: {}, portions: [], ownYields: {}, families: {} }
    reading.value = undefined
    analysis.value = null
    problem.value = ''
  }

  const bringFile = (name: string, content: string): Promise<Schemas['ImportOut']> =>
    ask(api.POST('/api/import', { body: { name, content, client_key: clientKey() } }))

  return {
    bringFile,
    setRole,
    kinds,
    setFamily,
    leftOut,
    kept,
    reading,
    analysis,
    problem,
    isReading,
    lines,
    open,
    servings,
    unit,
    weighed,
    components,
    ownYields,
    setOwnYield,
    read,
    total,
    decide,
    keep,
    clear,
  }
})
