import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api, ask } from '../api/client'
import type { Detail, Ingredient, Label, Product, Sweetener } from '../api/types'
import { useLatest } from '../composables/useLatest'
import { clientKey } from '../logic/draft'

export const usePantry = defineStore('pantry', () => {
  const found = ref<Ingredient[]>([])
  const detail = ref<Detail>()
  const sweeteners = ref<Sweetener[]>([])
  const latestSearch = useLatest<Ingredient[]>()
  const latestCompare = useLatest<Sweetener[]>()

  async function search(words: string): Promise<void> {
    const answer = await latestSearch(
      async (signal) =>
        (await ask(api.GET('/api/pantry', { params: { query: { q: words } }, signal }))).ingredients,
    )
    if (answer) found.value = answer
  }

  const latestFind = useLatest<Ingredient[]>()
  const latestDetail = useLatest<Detail>()

  /** Looks a food up for a field; what the place shows stays. */
  const find = (words: string): Promise<Ingredient[] | undefined> =>
    latestFind((signal) =>
      ask(api.GET('/api/pantry', { params: { query: { q: words } }, signal })).then((a) => a.ingredients),
    )

  async function open(key: string): Promise<void> {
    const found = await latestDetail((signal) =>
      ask(api.GET('/api/pantry/{key}', { params: { path: { key } }, signal })),
    )
    if (found) detail.value = found
  }

  async function compare(sugar: number, batter: number): Promise<void> {
    const query = { sugar: String(sugar), batter: String(batter) }
    const answer = await latestCompare(
      async (signal) => (await ask(api.GET('/api/sweeteners', { params: { query }, signal }))).sweeteners,
    )
    if (answer) sweeteners.value = answer
  }

  const readLabel = (body: Label): Promise<Product> => ask(api.POST('/api/labels', { body }))
  const keepProduct = (label: Label): Promise<Product> =>
    ask(api.POST('/api/products', { body: { ...label, client_key: clientKey() } }))

  async function removeProduct(key: string): Promise<void> {
    await ask(api.DELETE('/api/products/{key}', { params: { path: { key } } }))
  }

  async function restoreProduct(key: string): Promise<void> {
    await ask(api.POST('/api/products/{key}/restore', { params: { path: { key } } }))
  }

  return {
    found,
    detail,
    sweeteners,
    search,
    find,
    open,
    compare,
    readLabel,
    keepProduct,
    removeProduct,
    restoreProduct,
  }
})
