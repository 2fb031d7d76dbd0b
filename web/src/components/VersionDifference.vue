<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Difference, Recipe, Schemas } from '../api/types'
import { change, grams, kcal, list } from '../logic/format'

const props = defineProps<{ versions: Recipe['versions']; difference: Difference | undefined }>()
const emit = defineEmits<{ close: []; choose: [first: number, second: number] }>()
const first = ref(props.versions[0]?.number ?? 1)
const second = ref(props.versions.at(-1)?.number ?? 1)
const same = computed(() =>
  (props.difference?.lines ?? []).filter((one) => !one.is_changed).map((one) => one.name),
)
const FIGURES: {
  key: 'free_sugars_who_g' | 'energy_kcal' | 'sucrose_equivalent_g' | 'mass_g'
  name: string
}[] = [
  { key: 'free_sugars_who_g', name: 'Free sugar' },
  { key: 'energy_kcal', name: 'Energy' },
  { key: 'sucrose_equivalent_g', name: 'Sweetness' },
  { key: 'mass_g', name: 'Weight' },
]

watch([first, second], () => emit('choose', first.value, second.value), { immediate: true })

function figure(totals: Schemas['TotalsOut'], key: (typeof FIGURES)[number]['key']): string {
  return key === 'energy_kcal' ? kcal(totals[key]) : grams(totals[key])
}
</script>

<template>
  <section class="sheet">
    <h2>Two versions compared</h2>
    <table v-if="difference">
      <thead>
        <tr>
          <td></td>
          <th v-for="side in [1, 2]" :key="side" scope="col">
            <select
              :value="side === 1 ? first : second"
              :aria-label="side === 1 ? 'First version' : 'Second version'"
              @change="
                side === 1
                  ? (first = Number(($event.target as HTMLSelectElement).value))
                  : (second = Number(($event.target as HTMLSelectElement).value))
              "
            >
              <option v-for="version in versions" :key="version.number" :value="version.number">
                {{ version.label }}
              </option>
            </select>
          </th>
          <th scope="col">difference</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="line in difference.lines.filter((one) => one.is_changed)"
          :key="line.component + line.ingredient"
        >
          <th scope="row">
            {{ line.name }}<small v-if="line.component"> {{ line.component }}</small>
          </th>
          <td>
            {{ line.first_g ? grams(line.first_g) : '—' }}<small v-if="line.first_g">{{ line.first }}</small>
          </td>
          <td>
            {{ line.second_g ? grams(line.second_g) : '—'
            }}<small v-if="line.second_g">{{ line.second }}</small>
          </td>
          <td>{{ line.words }}</td>
        </tr>
      </tbody>
      <tbody v-if="same.length">
        <tr>
          <th scope="row" colspan="4" class="same">As before: {{ list(same) }}</th>
        </tr>
      </tbody>
      <tfoot>
        <tr v-for="row in FIGURES" :key="row.key">
          <th scope="row">{{ row.name }} in one {{ versions[0]?.unit }}</th>
          <td>{{ figure(difference.first, row.key) }}</td>
          <td>{{ figure(difference.second, row.key) }}</td>
          <td>{{ change(difference.first[row.key], difference.second[row.key]) }}</td>
        </tr>
      </tfoot>
    </table>
    <v-btn @click="emit('close')">Close</v-btn>
  </section>
</template>

<style scoped>
.sheet {
  padding: 22px 26px;
  border-radius: 18px;
  background: var(--card);
  overflow: auto;
}
table {
  margin: 10px 0 16px;
}
tbody th {
  font-weight: 650;
}
select {
  max-width: 180px;
  font-weight: 650;
  color: inherit;
  border-bottom: 2px solid var(--sun);
}
small {
  color: var(--quiet);
}
tbody .same {
  font-weight: 400;
  color: var(--quiet);
}
tbody th:not(.same)::first-letter {
  text-transform: uppercase;
}
tfoot th {
  font-weight: 500;
}
</style>
