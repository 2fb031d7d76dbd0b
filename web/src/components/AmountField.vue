<script setup lang="ts">
import { ref } from 'vue'
import { number } from '../logic/format'
import NumberField from './NumberField.vue'

defineProps<{
  /** The amount shown [g]. */
  grams: number
  /** One household measure of it [g]: what an arrow key steps by. */
  step: number
  label: string
}>()
const emit = defineEmits<{ change: [grams: number] }>()
/** A field is made when it is needed: two dozen of them would take longer to paint than the plan to solve. */
const isOpen = ref(false)

function set(grams: number | null): void {
  if (grams !== null) emit('change', grams)
}

function close(): void {
  isOpen.value = false
}
</script>

<template>
  <NumberField
    v-if="isOpen"
    :model-value="Math.round(grams * 100) / 100"
    :name="label"
    :step="step"
    unit="g"
    is-inline
    is-focused
    @update:model-value="set"
    @leave="close"
  />
  <button
    v-else
    type="button"
    class="amount"
    :aria-label="`${label}: ${number(grams)} g`"
    title="Type an amount to keep it; arrows step by a household measure"
    @click="isOpen = true"
    @keydown.up.prevent.stop="isOpen = true"
    @keydown.down.prevent.stop="isOpen = true"
  >
    <b>{{ number(grams) }}</b> g
  </button>
</template>

<style scoped>
.amount {
  white-space: nowrap;
  color: inherit;
  font: inherit;
}
b {
  border-bottom: 1px dotted var(--quiet);
}
</style>
