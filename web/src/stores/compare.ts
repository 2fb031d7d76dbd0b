import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api, ask } from '../api/client'
import type { Apart, Compared } from '../api/types'
import { useLatest } from '../composables/useLatest'

/** Two desserts beside each other. */
export const useCompare = defineStore('compare', () => {
  const found = ref<Apart>()
  const latest = useLatest<Apart>()

  async function load(
    first: Compared,
    second: Compared,
    definition: string,
    portion: number | null,
  ): Promise<void> {
    const body = { first, second, definition, portion_g: portion }
    const answer = await latest((signal) => ask(api.POST('/api/compare', { body, signal })))
    if (answer) found.value = answer
  }

  return { found, load }
})
