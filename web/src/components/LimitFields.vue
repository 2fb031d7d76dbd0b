<script setup lang="ts">
import { grams, percent } from '../logic/format'
import type { BenchGoals } from '../stores/bench'
import { useHousehold } from '../stores/household'

defineProps<{ goals: BenchGoals }>()
const emit = defineEmits<{ change: [changes: Partial<BenchGoals>] }>()
const household = useHousehold()

function limit(name: 'most_energy_kcal' | 'most_free_sugar_g' | 'most_cost', event: Event): void {
  const text = (event.target as HTMLInputElement).value
  const value = Number(text.replace(',', '.'))
  const least = name === 'most_energy_kcal' ? 1 : 0
  emit('change', { [name]: text.trim() && Number.isFinite(value) && value >= least ? value : null })
}

function limitToShare(share: number): void {
  emit('change', { most_free_sugar_g: Math.round(share * household.settings.daily_limit_g * 10) / 10 })
}
</script>

<template>
  <label
    >Energy at most
    <input
      type="number"
      min="1"
      max="5000"
      :value="goals.most_energy_kcal ?? ''"
      aria-label="Energy at most, kcal"
      @change="limit('most_energy_kcal', $event)"
    />
    kcal</label
  >
  <label
    >Free sugar at most
    <input
      type="number"
      min="0"
      max="500"
      step="0.5"
      :value="goals.most_free_sugar_g ?? ''"
      aria-label="Free sugar at most, grams"
      @change="limit('most_free_sugar_g', $event)"
    />
    g</label
  >
  <p class="small">
    Of the daily {{ grams(household.settings.daily_limit_g) }}:
    <v-btn
      v-for="share in [0.1, 0.2, 0.3, 0.5]"
      :key="share"
      size="small"
      variant="text"
      @click="limitToShare(share)"
      >{{ percent(share) }}</v-btn
    >
  </p>
  <label v-if="Object.keys(household.settings.prices).length"
    >Priced things at most
    <input
      type="number"
      min="0"
      step="0.05"
      :value="goals.most_cost ?? ''"
      aria-label="Cost at most, in your prices"
      @change="limit('most_cost', $event)"
    />
    in your prices; what has none counts nothing</label
  >
</template>

<style scoped>
label {
  display: block;
}
input {
  width: 84px;
  color: inherit;
  background: none;
  border-bottom: 2px solid var(--sun);
}
</style>
