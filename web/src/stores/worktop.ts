import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { api, ask } from '../api/client'
import { versionAt } from '../api/paths'
import type { BakeDay, Panels, Schedule, Timer } from '../api/types'
import { useLatest } from '../composables/useLatest'
import { clientKey } from '../logic/draft'

/** Bake day, its clock, and the timers: what is left of them is counted from the server's word, never from this machine's clock. */
export const useWorktop = defineStore('worktop', () => {
  const day = ref<BakeDay>()
  const schedule = ref<Schedule>()
  const told = ref<Timer[]>([])
  const panels = ref<Panels>()
  const toldAt = ref(0)
  const beat = ref(0)
  const latestPlan = useLatest<Schedule>()

  const timers = computed(() =>
    told.value.map((timer) => {
      const left = timer.left_s - (beat.value - toldAt.value) / 1000
      if (!timer.repeats || left > 0) return { ...timer, left_s: left }
      const rounds = Math.floor(-left / timer.seconds) + 1
      return { ...timer, left_s: left + rounds * timer.seconds, rung: timer.rung + rounds }
    }),
  )

  async function load(recipe: number, version: number): Promise<void> {
    if (day.value?.version_id !== version) schedule.value = undefined
    day.value = await ask(
      api.GET('/api/recipes/{recipe_id}/versions/{version_id}/bake-day', versionAt(recipe, version)),
    )
  }

  /** What a pack of it would say; asked for when it is looked at. */
  async function loadPanels(version: number): Promise<void> {
    if (panels.value?.version_id === version) return
    panels.value = await ask(
      api.GET('/api/versions/{version_id}/panels', { params: { path: { version_id: version } } }),
    )
  }

  async function say(recipe: number, version: number, key: string, text: string): Promise<void> {
    day.value = await ask(
      api.POST('/api/recipes/{recipe_id}/versions/{version_id}/words', {
        ...versionAt(recipe, version),
        body: { key, text },
      }),
    )
  }

  async function move(recipe: number, version: number, position: number, step: string): Promise<void> {
    day.value = await ask(
      api.POST('/api/recipes/{recipe_id}/versions/{version_id}/goes-in', {
        ...versionAt(recipe, version),
        body: { position, step },
      }),
    )
  }

  /** Plans the day; gives nothing where a later question overtook this one. */
  async function plan(
    recipe: number,
    version: number,
    serve: string,
    sleep: string,
    beside: { recipe_id: number; version_id: number }[] = [],
    pins: Record<string, string> = {},
  ): Promise<Schedule | undefined> {
    const found = await latestPlan((signal) =>
      ask(
        api.POST('/api/recipes/{recipe_id}/versions/{version_id}/schedule', {
          ...versionAt(recipe, version),
          body: { serve, sleep, from_now: true, beside, pins },
          signal,
        }),
      ),
    )
    if (found) schedule.value = found
    return found
  }

  async function loadTimers(): Promise<void> {
    const answer = await ask(api.GET('/api/timers', {}))
    told.value = answer.timers
    toldAt.value = beat.value = performance.now()
  }

  async function start(
    name: string,
    seconds: number,
    step: number | null = null,
    repeats = false,
  ): Promise<void> {
    await ask(
      api.POST('/api/timers', {
        body: {
          name,
          seconds,
          step,
          repeats,
          recipe_id: day.value?.recipe_id ?? null,
          version_id: day.value?.version_id ?? null,
          client_key: clientKey(),
        },
      }),
    )
    await loadTimers()
  }

  async function stop(id: number): Promise<void> {
    await ask(api.DELETE('/api/timers/{timer_id}', { params: { path: { timer_id: id } } }))
    await loadTimers()
  }

  async function goOn(id: number): Promise<void> {
    await ask(api.POST('/api/timers/{timer_id}/go-on', { params: { path: { timer_id: id } } }))
    await loadTimers()
  }

  function tick(): void {
    beat.value = performance.now()
  }

  return {
    panels,
    loadPanels,
    day,
    schedule,
    timers,
    load,
    say,
    move,
    plan,
    loadTimers,
    start,
    stop,
    goOn,
    tick,
  }
})
