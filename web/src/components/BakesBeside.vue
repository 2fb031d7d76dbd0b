<script setup lang="ts">
import { computed } from 'vue'
import type { Aspect, BakeRecord, Judged } from '../api/types'
import { briefDay } from '../logic/days'
import { grams, number, ovenHeat, plural } from '../logic/format'

const props = defineProps<{
  one: Judged
  other: Judged | undefined
  /** What it may be put beside: the same dessert's first. */
  offered: BakeRecord[]
  aspects: Aspect[]
}>()
const emit = defineEmits<{ choose: [id: number] }>()
const FEELS: Record<string, string> = {
  '': '',
  holds: 'held its shape',
  drops: 'dropped after 2 or 3 seconds',
  pours: 'poured',
}
const sides = computed(() => [props.one, ...(props.other ? [props.other] : [])])
const sorted = computed(() => {
  const mine = props.offered.filter((b) => b.id !== props.one.bake.id)
  return [
    ...mine.filter((b) => b.recipe_id === props.one.bake.recipe_id),
    ...mine.filter((b) => b.recipe_id !== props.one.bake.recipe_id),
  ]
})

/** What is told of both, in the order that a baker looks: batter, rise, edge, time, taste. */
const rows = computed(() => {
  const done: { name: string; told: string[] }[] = [
    {
      name: 'Free sugar',
      told: sides.value.map(
        ({ bake }) => `${grams(bake.portions[0]?.free_sugars_who_g ?? 0)} in one ${bake.unit}`,
      ),
    },
    { name: 'Batter', told: sides.value.map(({ bake }) => FEELS[bake.feel] ?? '') },
    {
      name: 'In the oven',
      told: sides.value.map(({ bake }) =>
        [
          bake.minutes !== null && `${number(bake.minutes)} min`,
          bake.oven_c !== null && ovenHeat(bake.oven_c),
        ]
          .filter(Boolean)
          .join(' at '),
      ),
    },
    ...['rise', 'colour', 'crumb', 'moisture', 'sweetness', 'flavour', 'bitter', 'cooling', 'liked'].map(
      (key) => {
        const aspect = props.aspects.find((a) => a.key === key)
        return {
          name: aspect?.name ?? key,
          told: sides.value.map(({ mean }) => {
            const value = mean[key]
            return value === undefined ? '' : (aspect?.words[String(Math.round(value))] ?? '')
          }),
        }
      },
    ),
    {
      name: 'Sheets',
      told: sides.value.map(({ tastings }) => `${tastings.length} ${plural(tastings.length, 'taster')}`),
    },
    { name: 'Notes', told: sides.value.map(({ bake }) => bake.notes) },
  ]
  return done.filter((row) => row.told.some((words) => words))
})
</script>

<template>
  <div v-if="sorted.length" class="beside">
    <table>
      <thead>
        <tr>
          <td></td>
          <th scope="col">{{ one.bake.label }}, {{ briefDay(one.bake.baked_on) }}</th>
          <th scope="col">
            <select
              :value="other?.bake.id ?? 0"
              aria-label="The bake beside it"
              @change="emit('choose', Number(($event.target as HTMLSelectElement).value))"
            >
              <option :value="0" disabled>beside another bake …</option>
              <option v-for="bake in sorted" :key="bake.id" :value="bake.id">
                {{ bake.title }}, {{ bake.label }}, {{ briefDay(bake.baked_on) }}
              </option>
            </select>
          </th>
        </tr>
      </thead>
      <tbody v-if="other">
        <tr v-for="row in rows" :key="row.name" :class="{ differs: row.told[0] !== row.told[1] }">
          <th scope="row">{{ row.name }}</th>
          <td v-for="(words, n) in row.told" :key="n">{{ words || '–' }}</td>
        </tr>
        <tr v-if="sides.some((side) => side.bake.photos.length)">
          <th scope="row">Picture</th>
          <td v-for="side in sides" :key="side.bake.id">
            <img
              v-for="id in side.bake.photos.slice(0, 1)"
              :key="id"
              :src="`/api/photos/${id}`"
              :alt="`${side.bake.title}, ${side.bake.label}`"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
  <p v-else class="quiet">Bake it a second time, another way, to put two beside each other.</p>
</template>

<style scoped>
.beside {
  overflow-x: auto;
}
th[scope='row'] {
  color: var(--quiet);
  white-space: nowrap;
  width: 140px;
}
thead th {
  font-weight: 700;
}
.differs td {
  font-weight: 650;
}
select {
  max-width: 320px;
  border-bottom: 2px solid var(--sun);
  font-weight: 650;
}
img {
  max-width: 100%;
  max-height: 180px;
  border-radius: 12px;
}
</style>
