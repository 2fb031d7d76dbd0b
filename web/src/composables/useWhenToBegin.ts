import { computed, ref } from 'vue'
import { draft, keepDraft } from '../logic/draft'
import { withPlanned } from '../logic/planned'
import { useHousehold } from '../stores/household'
import { useNotices } from '../stores/notices'
import { useWorktop } from '../stores/worktop'
import type { Schedule } from '../api/types'

const USUAL_HOUR = 16

function tomorrowAt(hour: number): string {
  const at = new Date(Date.now() + 86_400_000)
  const two = (n: number): string => String(n).padStart(2, '0')
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}T${two(hour)}:00`
}

/** A version's day planned back from its serving: what the cook asked of it, kept by version, and what came of it. */
export function useWhenToBegin(bake: { readonly id: number; readonly version: number }) {
  const worktop = useWorktop()
  const household = useHousehold()
  const notices = useNotices()

  /** Local, `YYYY-MM-DDTHH:MM`; empty while it is being typed. */
  const serve = ref('')
  /** When some steps begin by the cook's own word: a step's id to its local time. */
  const pins = ref<Record<string, string>>({})
  /** What else is baked for the same time, `recipe/version`. */
  const besideKey = ref('')
  const sleep = computed(() => household.settings.sleep)
  const others = computed(() => household.settings.planned.filter((one) => one.version !== bake.version))
  const beside = computed(() => {
    const other = others.value.find((one) => `${one.recipe}/${one.version}` === besideKey.value)
    return other ? [{ recipe_id: other.recipe, version_id: other.version }] : []
  })
  const calendar = computed(() => {
    const moved = Object.entries(pins.value).map(([key, at]) => `${key}@${at}`)
    const besides = beside.value.length ? besideKey.value : ''
    return `/api/recipes/${bake.id}/versions/${bake.version}/schedule.ics?serve=${serve.value}&sleep=${sleep.value}&beside=${besides}&pins=${moved.join(',')}`
  })

  let wentWith: Record<string, string> = {}
  let isPinning = false

  function forgetMoves(): void {
    pins.value = wentWith = {}
  }

  function takeUp(): void {
    serve.value = draft(`serve.${bake.version}`, tomorrowAt(USUAL_HOUR))
    besideKey.value = draft(`beside.${bake.version}`, '')
    pins.value = draft(`pins.${bake.version}`, {})
    wentWith = {}
  }
  takeUp()

  async function plan(): Promise<Schedule | undefined> {
    if (!serve.value) return undefined
    keepDraft(`serve.${bake.version}`, serve.value)
    keepDraft(`pins.${bake.version}`, pins.value)
    const found = await worktop
      .plan(bake.id, bake.version, serve.value, sleep.value, beside.value, pins.value)
      .catch((error: unknown) => {
        notices.complain(error)
        return undefined
      })
    if (found?.feasible) wentWith = pins.value
    return found
  }

  /** Plans what the cook chose, and remembers it among what is planned to be baked. */
  async function choose(): Promise<Schedule | undefined> {
    const found = await plan()
    const start = worktop.schedule?.start
    if (start && worktop.day) {
      const planned = {
        recipe: bake.id,
        version: bake.version,
        title: worktop.day.method.title,
        label: worktop.day.label,
        serve: serve.value,
        start,
      }
      await household
        .change({ planned: withPlanned(household.settings.planned, planned) })
        .catch(notices.complain)
    }
    return found
  }

  /** One move at a time: what is pressed while the day is planned is not heard. */
  async function pin(id: string, iso: string): Promise<void> {
    if (isPinning) return
    isPinning = true
    try {
      pins.value = { ...pins.value, [id]: iso }
      const found = await choose()
      if (!found || found.feasible) return
      // Back to the last that went.
      pins.value = wentWith
      await choose()
      notices.say(`It can’t begin at ${iso.slice(11, 16)}: ${found.clashes.join('; ') || 'there is no way'}.`)
    } finally {
      isPinning = false
    }
  }

  function letGo(): void {
    const before = pins.value
    forgetMoves()
    void choose()
    notices.say('All steps are planned anew.', {
      label: 'Undo',
      run: () => {
        pins.value = before
        void choose()
      },
    })
  }

  /** At another time of serving nothing is where it was moved to. */
  function serveAt(iso: string): void {
    serve.value = iso
    forgetMoves()
    void choose()
  }

  function bakeBeside(key: string): void {
    besideKey.value = key
    keepDraft(`beside.${bake.version}`, key)
    forgetMoves()
    void choose()
  }

  async function changeSleep(from: string, to: string): Promise<void> {
    const hours = from && to ? `${from}-${to}` : ''
    await household.change({ sleep: hours }).catch(notices.complain)
    await choose()
  }

  return {
    serve,
    sleep,
    pins,
    besideKey,
    others,
    calendar,
    takeUp,
    plan,
    pin,
    letGo,
    serveAt,
    bakeBeside,
    changeSleep,
  }
}
