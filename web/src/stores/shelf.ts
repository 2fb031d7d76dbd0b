import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { api, ask } from '../api/client'
import type { ShelfRow, Schemas } from '../api/types'
import { useLatest } from '../composables/useLatest'

const WINDOW = 60
const MOST_AT_ONCE = 500

/** The shelf, a window at a time: what is shown of the recipes whose title holds the words. */
export const useShelf = defineStore('shelf', () => {
  const recipes = ref<ShelfRow[]>()
  const total = ref(0)
  const words = ref('')
  const latest = useLatest<Schemas['RecipesOut']>()
  const left = computed(() => total.value - (recipes.value?.length ?? 0))

  function window(start: number, count = WINDOW): Promise<Schemas['RecipesOut'] | undefined> {
    const query = { q: words.value, start: String(start), count: String(count) }
    return latest((signal) => ask(api.GET('/api/recipes', { params: { query }, signal })))
  }

  /** Loads the shelf anew, as much of it as is shown. */
  async function load(shown = recipes.value?.length ?? 0): Promise<void> {
    const found = await window(0, shown > WINDOW ? Math.min(shown, MOST_AT_ONCE) : WINDOW)
    if (!found) return
    recipes.value = found.recipes
    total.value = found.total
  }

  async function find(wanted: string): Promise<void> {
    words.value = wanted.trim()
    await load(0)
  }

  async function more(): Promise<void> {
    const found = await window(recipes.value?.length ?? 0)
    if (!found) return
    const known = new Set(recipes.value?.map((row) => row.id))
    recipes.value = [...(recipes.value ?? []), ...found.recipes.filter((row) => !known.has(row.id))]
    total.value = found.total
  }

  async function remove(id: number): Promise<void> {
    await ask(api.DELETE('/api/recipes/{recipe_id}', { params: { path: { recipe_id: id } } }))
    await load()
  }

  async function restore(id: number): Promise<void> {
    await ask(api.POST('/api/recipes/{recipe_id}/restore', { params: { path: { recipe_id: id } } }))
    await load()
  }

  return { recipes, total, left, words, load, find, more, remove, restore }
})
