<script setup lang="ts">
import { ref } from 'vue'

defineProps<{ isBusy: boolean }>()
const emit = defineEmits<{ save: []; bringBack: [file: File] }>()
const input = ref<HTMLInputElement>()

function take(event: Event): void {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (file) emit('bringBack', file)
  if (input.value) input.value.value = ''
}
</script>

<template>
  <footer class="copy">
    <p class="quiet small">
      All that you keep lies on this machine: recipes, bakes, slices, your products and prices.
    </p>
    <input
      ref="input"
      type="file"
      accept=".json"
      class="hidden-words"
      aria-label="A backup file"
      tabindex="-1"
      @change="take"
    />
    <span class="actions">
      <v-btn size="small" :loading="isBusy" @click="emit('save')">Save a copy of everything</v-btn>
      <v-btn size="small" variant="text" :disabled="isBusy" @click="input?.click()">Bring back a copy</v-btn>
    </span>
  </footer>
</template>

<style scoped>
.copy {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 20px;
  padding-top: 28px;
}
</style>
