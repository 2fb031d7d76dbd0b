<script setup lang="ts">
import type { Schemas } from '../api/types'
import { grams, kcal } from '../logic/format'

type Totals = Schemas['TotalsOut']

defineProps<{
  /** The analysis of the original and of the rework. */
  before: Schemas['AnalysisOut']
  after: Schemas['AnalysisOut']
}>()

const rows: { key: keyof Totals; name: string; means?: string }[] = [
  { key: 'mass_g', name: 'Weight' },
  { key: 'energy_kcal', name: 'Energy' },
  { key: 'free_sugars_who_g', name: 'Free sugar', means: 'WHO: added, honey, syrups, juice' },
  { key: 'free_sugars_uk_g', name: 'Free sugar, UK', means: 'also puréed and powdered fruit' },
  { key: 'added_sugars_us_g', name: 'Added sugar, US', means: 'as on a US label' },
  { key: 'refined_sugar_g', name: 'Refined sugar', means: 'white, brown, icing, cane and corn syrup' },
  { key: 'total_sugars_g', name: 'All sugars', means: 'fruit and milk included' },
  { key: 'sucrose_equivalent_g', name: 'Sweetness', means: 'grams of sugar that taste as sweet' },
  { key: 'water_g', name: 'Water' },
  { key: 'fat_g', name: 'Fat' },
  { key: 'protein_g', name: 'Protein' },
  { key: 'fibre_g', name: 'Fibre' },
]

function shown(totals: Totals, key: keyof Totals): string {
  return key === 'energy_kcal' ? kcal(totals[key]) : grams(totals[key])
}
</script>

<template>
  <table>
    <thead>
      <tr>
        <th scope="col"></th>
        <th scope="col">one {{ before.unit }}</th>
        <th scope="col">reworked</th>
        <th scope="col">the whole</th>
        <th scope="col">reworked</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.key">
        <th scope="row">
          {{ row.name }}<small v-if="row.means" class="quiet">{{ row.means }}</small>
        </th>
        <td>{{ shown(before.per_serving, row.key) }}</td>
        <td>
          <b>{{ shown(after.per_serving, row.key) }}</b>
        </td>
        <td>{{ shown(before.batch, row.key) }}</td>
        <td>
          <b>{{ shown(after.batch, row.key) }}</b>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  margin-top: 8px;
}
th,
td {
  text-align: right;
}
th:first-child {
  text-align: left;
}
</style>
