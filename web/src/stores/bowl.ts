import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api, ask } from '../api/client'
import { versionAt } from '../api/paths'
import type { WeighedIn, WayOn } from '../api/types'

/** What is in the bowl of a bake under way. */
export const useBowl = defineStore('bowl', () => {
  const bowl = ref<WeighedIn>()

  const at = '/api/recipes/{recipe_id}/versions/{version_id}/weigh-in'

  async function load(recipe: number, version: number): Promise<void> {
    if (bowl.value?.version_id !== version) bowl.value = undefined
    bowl.value = await ask(api.GET(at, versionAt(recipe, version)))
  }

  async function weigh(position: number, step: number, grams: number | null): Promise<void> {
    if (!bowl.value) return
    const { recipe_id, version_id } = bowl.value
    bowl.value = await ask(
      api.POST(at, { ...versionAt(recipe_id, version_id), body: { position, step, grams } }),
    )
  }

  async function choose(kind: WayOn['kind']): Promise<void> {
    if (!bowl.value) return
    const { recipe_id, version_id } = bowl.value
    bowl.value = await ask(api.POST(`${at}/choice`, { ...versionAt(recipe_id, version_id), body: { kind } }))
  }

  async function beginAgain(): Promise<void> {
    if (!bowl.value) return
    const { recipe_id, version_id } = bowl.value
    bowl.value = await ask(api.DELETE(at, versionAt(recipe_id, version_id)))
  }

  return { bowl, load, weigh, choose, beginAgain }
})
