import { defineStore } from 'pinia'
import { ref } from 'vue'
import { useLatest } from '../composables/useLatest'
import { api, ask } from '../api/client'
import type { Ledger, Schemas } from '../api/types'
import { addDays, isoDay } from '../logic/days'
import { clientKey } from '../logic/draft'

export const useLedger = defineStore('ledger', () => {
  const days = ref(14)
  const latestSpan = useLatest<Ledger>()
  const ledger = ref<Ledger>()

  async function load(): Promise<void> {
    const until = isoDay(new Date())
    const since = addDays(until, 1 - days.value)
    const found = await latestSpan((signal) =>
      ask(api.GET('/api/ledger', { params: { query: { since, until } }, signal })),
    )
    if (found) ledger.value = found
  }

  async function bake(versionId: number, day: string): Promise<Schemas['BakeOut'] | undefined> {
    const body = { version_id: versionId, baked_on: day, client_key: clientKey() }
    return (await ask(api.POST('/api/bakes', { body }))).bakes[0]
  }

  async function eat(
    bakeId: number,
    day: string,
    count: number,
    who: string,
  ): Promise<Schemas['ServingOut']> {
    const body = { bake_id: bakeId, eaten_on: day, count, who, client_key: clientKey() }
    const noted = await ask(api.POST('/api/servings', { body }))
    await load()
    return noted
  }

  async function remove(id: number): Promise<void> {
    await ask(api.DELETE('/api/servings/{serving_id}', { params: { path: { serving_id: id } } }))
    await load()
  }

  async function restore(id: number): Promise<void> {
    await ask(api.POST('/api/servings/{serving_id}/restore', { params: { path: { serving_id: id } } }))
    await load()
  }

  return { days, ledger, load, bake, eat, remove, restore }
})
