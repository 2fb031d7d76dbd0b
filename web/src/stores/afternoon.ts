import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import { api, ask } from '../api/client'
import type { Schemas } from '../api/types'
import { useLatest } from '../composables/useLatest'
import { draft, keepDraft } from '../logic/draft'

export interface OnTheTable {
  recipe_id: number
  portions: number
}

/** Several desserts for one table: what is on it, what a guest may eat, and which cut for which loses least. */
export const useAfternoon = defineStore('afternoon', () => {
  const desserts = ref<OnTheTable[]>(draft('afternoon', []))
  const most = ref<number>(draft('afternoon-most', 15))
  const found = ref<Schemas['AfternoonOut']>()
  const isWorking = ref(false)
  const latest = useLatest<Schemas['AfternoonOut']>()

  watch(desserts, (value) => keepDraft('afternoon', value), { deep: true })
  watch(most, (value) => keepDraft('afternoon-most', value))

  function put(recipe: number): void {
    const others = desserts.value.filter((one) => one.recipe_id !== recipe)
    desserts.value =
      others.length < desserts.value.length ? others : [...others, { recipe_id: recipe, portions: 1 }]
  }

  async function solve(table: { diets: string[]; eaters: string[] }): Promise<void> {
    if (!desserts.value.length) {
      found.value = undefined
      return
    }
    isWorking.value = true
    try {
      const body = { most_g: most.value, desserts: desserts.value, ...table }
      const answer = await latest((signal) => ask(api.POST('/api/afternoon', { body, signal })))
      if (answer) found.value = answer
    } finally {
      isWorking.value = false
    }
  }

  return { desserts, most, found, isWorking, put, solve }
})
