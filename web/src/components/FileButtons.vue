<script setup lang="ts">
import { ref } from 'vue'
import { api, ask } from '../api/client'
import { clientKey } from '../logic/draft'
import { useNotices } from '../stores/notices'

const emit = defineEmits<{
  /** Recipe text out of a file, for the reader. */
  text: [text: string]
  /** An own file went to the shelf. */
  recipe: [id: number]
}>()
const notices = useNotices()
const input = ref<HTMLInputElement>()
const MOST_BYTES = 900_000

async function take(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  try {
    if (file.size > MOST_BYTES) {
      notices.say(`${file.name} is larger than any recipe; nothing was changed.`)
      return
    }
    const found = await ask(
      api.POST('/api/import', {
        body: { name: file.name, content: await file.text(), client_key: clientKey() },
      }),
    )
    if (found.recipe_id !== null) emit('recipe', found.recipe_id)
    else emit('text', found.text)
  } catch (error) {
    notices.complain(error)
  } finally {
    if (input.value) input.value.value = ''
  }
}
</script>

<template>
  <span>
    <input
      ref="input"
      type="file"
      accept=".html,.htm,.json,.jsonld,.csv,.txt"
      class="hidden-words"
      aria-label="A recipe file"
      tabindex="-1"
      @change="take"
    />
    <v-btn @click="input?.click()">From a file</v-btn>
  </span>
</template>
