<script setup lang="ts">
import type { SumRow } from '../api/types'
import { grams, kcal, number, percent } from '../logic/format'

defineProps<{ rows: SumRow[]; total: SumRow; what: string; names?: Record<string, string> }>()
</script>

<template>
  <div class="wide-table" tabindex="0" role="region" :aria-label="`Sums by ${what.toLowerCase()}`">
    <table>
      <thead>
        <tr>
          <th>{{ what }}</th>
          <th class="figure">portions</th>
          <th class="figure">sugar eaten</th>
          <th class="figure">of it slips</th>
          <th class="figure">against the limit</th>
          <th class="figure">saved</th>
          <th class="figure wide">smaller slices</th>
          <th class="figure wide">energy saved</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in [...rows, total]" :key="row.key || 'all'" :class="{ all: row === total }">
          <td>{{ names?.[row.key] ?? row.name }}</td>
          <td class="figure">{{ number(row.portions) }}</td>
          <td class="figure">
            <b>{{ grams(row.sugar_g) }}</b>
          </td>
          <td class="figure">{{ row.slips_g > 0.05 ? grams(row.slips_g) : '' }}</td>
          <td class="figure">
            <template v-if="row.limit_g"
              >{{ percent(row.sugar_g / row.limit_g) }} of {{ grams(row.limit_g) }}</template
            >
          </td>
          <td class="figure saved">{{ grams(row.saved_g) }}</td>
          <td class="figure wide">{{ Math.abs(row.smaller_g) > 0.05 ? grams(row.smaller_g) : '' }}</td>
          <td class="figure wide">{{ kcal(row.saved_kcal) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.wide-table {
  overflow-x: auto;
}
.figure {
  text-align: right;
  white-space: nowrap;
}
th {
  color: var(--quiet);
  font-size: 0.88rem;
}
.saved {
  color: var(--leaf);
}
.all td {
  font-weight: 700;
  border-top: 2px solid var(--hair);
}
@media (max-width: 700px) {
  .wide {
    display: none;
  }
  td,
  th {
    padding-right: 5px;
    font-size: 0.82rem;
    white-space: normal;
  }
}
</style>
