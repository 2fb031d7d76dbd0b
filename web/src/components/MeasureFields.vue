<script setup lang="ts">
import type { Choices, Settings } from '../api/types'

/** How this household measures: what amounts are told in, whose cup, which scale of heat. */
defineProps<{ settings: Settings; cups: Choices['cups'] }>()
const emit = defineEmits<{ change: [changes: Partial<Settings>] }>()
const units = { recipe: 'as the recipe tells', grams: 'always by weight', spoons: 'by cups and spoons' }
const scales = { c: '°C', f: '°F' }
const papers = { a4: 'A4', letter: 'Letter' }
const value = (event: Event): string => (event.target as HTMLSelectElement).value
</script>

<template>
  <p class="measures">
    <label
      >amounts
      <select :value="settings.units" @change="emit('change', { units: value($event) as Settings['units'] })">
        <option v-for="(words, key) in units" :key="key" :value="key">{{ words }}</option>
      </select></label
    >
    <label
      >your cup
      <select :value="settings.cup" @change="emit('change', { cup: value($event) as Settings['cup'] })">
        <option value="">the recipe’s</option>
        <option v-for="cup in cups" :key="cup.key" :value="cup.key">
          {{ cup.name }}, {{ Math.round(cup.cup_ml) }} ml
        </option>
      </select></label
    >
    <label
      >heat in
      <select
        :value="settings.temperature"
        @change="emit('change', { temperature: value($event) as Settings['temperature'] })"
      >
        <option v-for="(words, key) in scales" :key="key" :value="key">{{ words }}</option>
      </select></label
    >
    <label
      >printed on
      <select :value="settings.paper" @change="emit('change', { paper: value($event) as Settings['paper'] })">
        <option v-for="(words, key) in papers" :key="key" :value="key">{{ words }}</option>
      </select></label
    >
  </p>
</template>

<style scoped>
.measures {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  margin: 0;
}
select {
  color: inherit;
  font: inherit;
  border-bottom: 2px solid var(--sun);
  font-weight: 650;
  max-width: 100%;
}
</style>
