<script setup lang="ts">
import type { Choices, PathSide } from '../api/types'
import { grams, kcal, list, percent } from '../logic/format'

const props = defineProps<{
  /** The path on the bench. */
  path: string
  sides: PathSide[]
  paths: Choices['paths']
  isWorking: boolean
}>()
const emit = defineEmits<{ choose: [side: PathSide, isSame: boolean] }>()
/** Whether all are for the wish on the bench, or each for its own usual one. */
const isSame = defineModel<boolean>('same', { required: true })
const BEATEN =
  'Beaten: another does as well or better in balance, free sugar, energy, sweetness, taste of sweeteners and work.'
const balance = { balanced: 'in balance', strained: 'at its edge', unmet: 'falls short' }
const ROWS: { name: string; of: (side: PathSide) => string; best?: (side: PathSide) => number }[] = [
  { name: 'Balance', of: (s) => (s.status ? balance[s.status] : s.problem) },
  {
    name: 'Free sugar',
    of: (s) => grams(s.per_serving?.free_sugars_who_g ?? 0),
    best: (s) => s.per_serving?.free_sugars_who_g ?? Infinity,
  },
  {
    name: 'Free sugar, UK',
    of: (s) => grams(s.per_serving?.free_sugars_uk_g ?? 0),
    best: (s) => s.per_serving?.free_sugars_uk_g ?? Infinity,
  },
  {
    name: 'Added sugar, US',
    of: (s) => grams(s.per_serving?.added_sugars_us_g ?? 0),
    best: (s) => s.per_serving?.added_sugars_us_g ?? Infinity,
  },
  {
    name: 'Refined sugar',
    of: (s) => grams(s.per_serving?.refined_sugar_g ?? 0),
    best: (s) => s.per_serving?.refined_sugar_g ?? Infinity,
  },
  {
    name: 'Energy',
    of: (s) => kcal(s.per_serving?.energy_kcal ?? 0),
    best: (s) => s.per_serving?.energy_kcal ?? Infinity,
  },
  { name: 'Sweetness', of: (s) => percent(s.sweetness), best: (s) => -s.sweetness },
  {
    name: 'of it by sweeteners',
    of: (s) => percent(s.from_sweeteners),
    best: (s) => 20 * s.from_sweeteners,
  },
  { name: 'Comes in', of: (s) => list(s.new) || 'nothing' },
  { name: 'Lines changed', of: (s) => String(s.changed), best: (s) => s.changed },
  { name: 'Work', of: (s) => String(s.effort), best: (s) => s.effort },
  { name: 'Priced at', of: (s) => (s.cost === null ? '–' : s.cost.toFixed(2)) },
  { name: 'Cautions', of: (s) => String(s.cautions) },
]

function isBest(row: (typeof ROWS)[number], side: PathSide): boolean {
  if (!row.best || !side.status) return false
  const values = props.sides.filter((s) => s.status).map(row.best)
  if (Math.max(...values) - Math.min(...values) < 0.05) return false
  return row.best(side) <= Math.min(...values) + 1e-9
}

function nameOf(key: string): string {
  return props.paths.find((p) => p.key === key)?.name ?? key
}
</script>

<template>
  <section class="sides" aria-label="Paths side by side" :aria-busy="isWorking">
    <p class="small">
      <label><input v-model="isSame" type="radio" :value="true" /> all for the wish above</label>
      <label><input v-model="isSame" type="radio" :value="false" /> each with its own usual wish</label>
      <span class="quiet"
        >Figures of one portion; bold is the best of its row.
        {{ sides.some((s) => s.beaten_by) ? BEATEN : '' }}</span
      >
    </p>
    <div class="scroll" tabindex="0" role="group" aria-label="Table of the paths">
      <table v-if="sides.length">
        <thead>
          <tr>
            <td></td>
            <th v-for="side in sides" :key="side.path" scope="col" :class="{ beaten: side.beaten_by }">
              <button type="button" :aria-pressed="side.path === path" @click="emit('choose', side, isSame)">
                {{ side.name }}
              </button>
              <small v-if="side.beaten_by" :title="BEATEN">beaten by {{ nameOf(side.beaten_by) }}</small>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in ROWS" :key="row.name">
            <th scope="row">{{ row.name }}</th>
            <td
              v-for="side in sides"
              :key="side.path"
              :class="{ best: isBest(row, side), beaten: side.beaten_by }"
              :title="row.name === 'Balance' ? side.unmet.join('; ') : undefined"
            >
              {{ side.status || row.name === 'Balance' ? row.of(side) : '–' }}
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else class="quiet">Solving all five …</p>
    </div>
  </section>
</template>

<style scoped>
.sides {
  padding: 10px 0 14px;
  border-bottom: 1px solid var(--hair);
}
p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
}
.scroll {
  overflow-x: auto;
}
table {
  font-size: 0.9rem;
}
th,
td {
  min-width: 104px;
}
thead button {
  font-weight: 700;
  text-decoration: underline;
  text-decoration-color: var(--sun);
  text-decoration-thickness: 2px;
}
thead button[aria-pressed='true'] {
  background: color-mix(in srgb, var(--sun) 22%, transparent);
}
tbody th,
thead td {
  position: sticky;
  left: 0;
  background: var(--paper);
}
.best {
  font-weight: 750;
}
td.beaten {
  color: var(--quiet);
}
</style>
