import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api, ask, type RecipeSummary } from '../api/client'

export const useShelf = defineStore('shelf', () => {
  const recipes = ref<RecipeSummary[]>()

  async function load(): Promise<void> {
    recipes.value = (await ask(api.GET('/api/recipes'))).recipes
  }

  async function remove(id: number): Promise<void> {
    await ask(api.DELETE('/api/recipes/{recipe_id}', { params: { path: { recipe_id: id } } }))
    await load()
  }

  async function restore(id: number): Promise<void> {
    await ask(api.POST('/api/recipes/{recipe_id}/restore', { params: { path: { recipe_id: id } } }))
    await load()
  }

  return { recipes, load, remove, restore }
})
