<script setup lang="ts">
import { grams, percent } from '../logic/format'
import type { BenchGoals } from '../api/types'
import NumberField from './NumberField.vue'
import PickList from './PickList.vue'

const props = defineProps<{
  goals: BenchGoals
  /** The household's daily limit of free sugar [g]. */
  dailyLimit: number
  /** Whether any price is known, so that a portion's cost can be limited. */
  hasPrices: boolean
}>()
const emit = defineEmits<{ change: [changes: Partial<BenchGoals>] }>()

const SURE = [
  { key: '', name: 'by the figures' },
  { key: '0.8', name: '8 times in 10' },
  { key: '0.9', name: '9 times in 10' },
  { key: '0.95', name: '19 times in 20' },
]

function limitToShare(share: number): void {
  emit('change', { most_free_sugar_g: Math.round(share * props.dailyLimit * 10) / 10 })
}
</script>

<template>
  <label
    >Energy at most
    <NumberField
      :model-value="goals.most_energy_kcal ?? null"
      name="Energy at most, kcal"
      :min="1"
      :max="5000"
      :step="10"
      is-inline
      is-optional
      @update:model-value="emit('change', { most_energy_kcal: $event })"
    />
    kcal</label
  >
  <label
    >Free sugar at most
    <NumberField
      :model-value="goals.most_free_sugar_g ?? null"
      name="Free sugar at most, grams"
      :max="500"
      :step="0.5"
      is-inline
      is-optional
      @update:model-value="emit('change', { most_free_sugar_g: $event })"
    />
    g</label
  >
  <p class="small">
    Of the daily {{ grams(dailyLimit) }}:
    <v-btn
      v-for="share in [0.1, 0.2, 0.3, 0.5]"
      :key="share"
      size="small"
      variant="text"
      @click="limitToShare(share)"
      >{{ percent(share) }}</v-btn
    >
  </p>
  <label v-if="hasPrices"
    >Priced things at most
    <NumberField
      :model-value="goals.most_cost ?? null"
      name="Cost at most, in your prices"
      :max="10000"
      :step="0.05"
      is-inline
      is-optional
      @update:model-value="emit('change', { most_cost: $event })"
    />
    in your prices; what has none counts nothing</label
  >
  <PickList
    legend="How surely the wish is to hold, spoons and foods being what they are"
    :items="SURE"
    :chosen="[String(goals.confidence ?? '')]"
    is-single
    @toggle="emit('change', { confidence: Number($event) || null })"
  />
</template>

<style scoped>
label {
  display: block;
}
</style>
