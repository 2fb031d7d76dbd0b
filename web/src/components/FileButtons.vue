<script setup lang="ts">
import { ref } from 'vue'

const emit = defineEmits<{
  /** A file was chosen. */
  file: [file: File]
}>()
const input = ref<HTMLInputElement>()

function take(event: Event): void {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (file) emit('file', file)
  if (input.value) input.value.value = ''
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
