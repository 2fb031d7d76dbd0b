<script setup lang="ts">
import { percent } from '../logic/format'

defineProps<{
  /** What stands before and behind the share. */
  words: [before: string, after: string]
  share: number
  min: number
  max: number
  label: string
}>()
const emit = defineEmits<{ change: [share: number] }>()
</script>

<template>
  <label class="slide">
    <span
      >{{ words[0] }} <b>{{ percent(share) }}</b> {{ words[1] }}</span
    >
    <v-slider
      :model-value="share"
      :min="min"
      :max="max"
      :step="0.05"
      color="sun"
      :aria-label="label"
      @update:model-value="emit('change', $event)"
    />
  </label>
</template>

<style scoped>
.slide {
  display: block;
}
</style>
