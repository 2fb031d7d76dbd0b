<script setup lang="ts">
import type { Schemas } from '../api/types'
import { grams, kcal, span } from '../logic/format'

type Totals = Schemas['TotalsOut']

const props = defineProps<{
  /** The analysis of the original and of the rework. */
  before: Schemas['AnalysisOut']
  after: Schemas['AnalysisOut']
  /** How far the figures of a portion may be off. */
  doubt: Schemas['PlanDoubtOut'] | null
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

/** Between what a figure of a portion lies nine times in ten. */
function between(side: 'before' | 'after', key: string): string {
  const one = props.doubt?.[side].figures.find((figure) => figure.key === key)
  if (!one || one.high - one.low < 0.05) return ''
  return span(one.low, one.high, key === 'energy_kcal')
}

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
        <td>
          {{ shown(before.per_serving, row.key)
          }}<small v-if="between('before', row.key)" class="quiet">{{ between('before', row.key) }}</small>
        </td>
        <td>
          <b>{{ shown(after.per_serving, row.key) }}</b><small
            v-if="between('after', row.key)"
            class="quiet"
            >{{ between('after', row.key) }}</small
          >
        </td>
        <td>{{ shown(before.batch, row.key) }}</td>
        <td>
          <b>{{ shown(after.batch, row.key) }}</b>
        </td>
      </tr>
    </tbody>
  </table>
  <template v-if="doubt">
    <p class="small quiet">
      The small figures: between what it lies nine times in ten, by how each amount is measured and how well
      each food is known.
    </p>
    <p v-if="doubt.as_sweet" class="small">
      {{ doubt.as_sweet.words.charAt(0).toUpperCase() + doubt.as_sweet.words.slice(1) }}.
      <template v-if="doubt.after.narrowing[0]">
        To know it better: {{ doubt.after.narrowing[0].words }}.
      </template>
    </p>
  </template>
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
td small {
  display: block;
  white-space: nowrap;
}
</style>
