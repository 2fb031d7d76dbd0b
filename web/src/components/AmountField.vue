<script setup lang="ts">
import { ref, watch } from 'vue'
import { number } from '../logic/format'

const props = defineProps<{
  /** The amount shown [g]. */
  grams: number
  /** One household measure of it [g]: what an arrow key steps by. */
  step: number
  label: string
}>()
const emit = defineEmits<{ change: [grams: number] }>()
const typed = ref('')
const isWrong = ref(false)

watch(() => props.grams, show, { immediate: true })

function show(): void {
  typed.value = number(props.grams)
  isWrong.value = false
}

function settle(): void {
  if (typed.value === number(props.grams)) return
  const value = Number(typed.value.replace(',', '.').replace(/\s*g$/, ''))
  isWrong.value = !typed.value.trim() || !Number.isFinite(value) || value < 0 || value > 100000
  if (!isWrong.value) emit('change', value)
}

function move(steps: number): void {
  emit('change', Math.max(0, Math.round((props.grams + steps * props.step) * 100) / 100))
}
</script>

<template>
  <span class="amount">
    <input
      v-model="typed"
      inputmode="decimal"
      size="5"
      :aria-label="label"
      :aria-invalid="isWrong"
      title="Type an amount to keep it; arrows step by a household measure"
      @change="settle"
      @keydown.enter.prevent="settle"
      @keydown.escape="show"
      @keydown.up.prevent.stop="move(1)"
      @keydown.down.prevent.stop="move(-1)"
    />
    g
    <span v-if="isWrong" class="wrong" role="alert">0 to 100,000 g</span>
  </span>
</template>

<style scoped>
.amount {
  white-space: nowrap;
}
input {
  width: 4.2ch;
  font: inherit;
  font-weight: 700;
  text-align: right;
  color: inherit;
  background: none;
  border-bottom: 1px dotted var(--quiet);
}
input:focus {
  border-bottom: 2px solid var(--sun);
}
input[aria-invalid='true'] {
  border-bottom: 2px solid var(--ember);
}
.wrong {
  display: block;
  font-size: 0.82rem;
  color: var(--ember);
}
</style>
