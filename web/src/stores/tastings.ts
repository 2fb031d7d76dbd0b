import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api, ask } from '../api/client'
import type { Aspect, BakeRecord, Judged, Progress, Schemas, Sheet, ToldApart } from '../api/types'
import { useLatest } from '../composables/useLatest'
import { clientKey } from '../logic/draft'
import { isoDay } from '../logic/days'

/** Bakes, their sheets, what probably caused what, and where a dessert stands. */
export const useTastings = defineStore('tastings', () => {
  const bakes = ref<BakeRecord[]>([])
  const total = ref(0)
  const aspects = ref<Aspect[]>([])
  const judged = ref<Judged>()
  const beside = ref<Judged>()
  const progress = ref<Progress>()
  const tests = ref<ToldApart[]>([])
  const waiting = ref<Schemas['ToTasteOut'][]>([])
  const latest = useLatest<[Judged, Progress, ToldApart[]]>()

  async function load(count = 20): Promise<void> {
    const found = await ask(api.GET('/api/bakes', { params: { query: { count: String(count) } } }))
    bakes.value = found.bakes
    total.value = found.total
    if (!aspects.value.length) aspects.value = (await ask(api.GET('/api/score-sheet'))).aspects
  }

  async function loadWaiting(): Promise<void> {
    waiting.value = (await ask(api.GET('/api/untasted'))).bakes
  }

  async function open(bakeId: number): Promise<void> {
    const path = { bake_id: bakeId }
    const found = await latest(async (signal) => {
      const [one, told] = await Promise.all([
        ask(api.GET('/api/bakes/{bake_id}/judged', { params: { path }, signal })),
        ask(api.GET('/api/bakes/{bake_id}/tests', { params: { path }, signal })),
      ])
      const stands = await ask(
        api.GET('/api/recipes/{recipe_id}/progress', {
          params: { path: { recipe_id: one.bake.recipe_id } },
          signal,
        }),
      )
      return [one, stands, told.tests]
    })
    if (!found) return
    if (found[0].bake.id !== judged.value?.bake.id) beside.value = undefined
    ;[judged.value, progress.value, tests.value] = found
  }

  /** The bake that is put beside the open one. */
  async function putBeside(bakeId: number): Promise<void> {
    beside.value = await ask(
      api.GET('/api/bakes/{bake_id}/judged', { params: { path: { bake_id: bakeId } } }),
    )
  }

  async function again(): Promise<void> {
    await Promise.all([load(Math.max(bakes.value.length, 20)), judged.value && open(judged.value.bake.id)])
  }

  async function taste(sheet: Sheet, key: string): Promise<Schemas['TastingOut']> {
    const bake = judged.value?.bake
    if (!bake) throw new Error('no bake is open')
    const today = isoDay(new Date())
    const body = {
      ...sheet,
      bake_id: bake.id,
      tasted_on: today < bake.baked_on ? bake.baked_on : today,
      client_key: key,
    }
    const made = await ask(api.POST('/api/tastings', { body }))
    await again()
    return made
  }

  async function removeTasting(id: number): Promise<void> {
    await ask(api.DELETE('/api/tastings/{tasting_id}', { params: { path: { tasting_id: id } } }))
    await again()
  }

  async function restoreTasting(id: number): Promise<void> {
    await ask(api.POST('/api/tastings/{tasting_id}/restore', { params: { path: { tasting_id: id } } }))
    await again()
  }

  async function change(changes: Schemas['BakeChangesIn']): Promise<string> {
    if (!judged.value) return ''
    const path = { bake_id: judged.value.bake.id }
    const found = await ask(api.PATCH('/api/bakes/{bake_id}', { params: { path }, body: changes }))
    judged.value = { ...judged.value, bake: found.bake }
    await again()
    return found.figures
  }

  async function accept(cause: string): Promise<Schemas['AcceptedOut']> {
    const path = { bake_id: judged.value?.bake.id ?? 0 }
    const body = { cause, client_key: clientKey() }
    const made = await ask(api.POST('/api/bakes/{bake_id}/trial', { params: { path }, body }))
    await again()
    return made
  }

  async function addPhoto(content: string): Promise<void> {
    const path = { bake_id: judged.value?.bake.id ?? 0 }
    await ask(
      api.POST('/api/bakes/{bake_id}/photos', {
        params: { path },
        body: { content, client_key: clientKey() },
      }),
    )
    await again()
  }

  async function removePhoto(id: number): Promise<void> {
    await ask(api.DELETE('/api/photos/{photo_id}', { params: { path: { photo_id: id } } }))
    await again()
  }

  async function restorePhoto(id: number): Promise<void> {
    await ask(api.POST('/api/photos/{photo_id}/restore', { params: { path: { photo_id: id } } }))
    await again()
  }

  async function beginTaper(target: number): Promise<void> {
    const path = { recipe_id: progress.value?.recipe_id ?? 0 }
    progress.value = await ask(
      api.POST('/api/recipes/{recipe_id}/taper', { params: { path }, body: { target, path: 'less' } }),
    )
  }

  async function endTaper(): Promise<void> {
    const path = { recipe_id: progress.value?.recipe_id ?? 0 }
    progress.value = await ask(api.DELETE('/api/recipes/{recipe_id}/taper', { params: { path } }))
  }

  async function nextStep(): Promise<number> {
    const path = { recipe_id: progress.value?.recipe_id ?? 0 }
    const made = await ask(
      api.POST('/api/recipes/{recipe_id}/taper/next', {
        params: { path },
        body: { client_key: clientKey() },
      }),
    )
    await again()
    return made.version_id
  }

  async function noteTest(
    otherId: number,
    test: ToldApart['result']['test'],
    tries: number,
    right: number,
  ): Promise<void> {
    const bake = judged.value?.bake.id ?? 0
    const body = {
      bake_id: bake,
      other_id: otherId,
      test: test as 'triangle' | 'pair' | 'preference',
      tries,
      right,
      tried_on: isoDay(new Date()),
      client_key: clientKey(),
    }
    await ask(api.POST('/api/tests', { body }))
    await open(bake)
  }

  return {
    bakes,
    total,
    aspects,
    judged,
    beside,
    putBeside,
    progress,
    tests,
    waiting,
    loadWaiting,
    load,
    open,
    taste,
    removeTasting,
    restoreTasting,
    change,
    accept,
    addPhoto,
    removePhoto,
    restorePhoto,
    beginTaper,
    endTaper,
    nextStep,
    noteTest,
  }
})
