<script setup lang="ts">
import { computed, onMounted, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Apart, Compared, Ingredient } from '../api/types'
import IngredientPicker from '../components/IngredientPicker.vue'
import MakesBars from '../components/MakesBars.vue'
import NumberField from '../components/NumberField.vue'
import { change, grams, gramsTenths, kcal, number, percent } from '../logic/format'
import { useCompare } from '../stores/compare'
import { useHousehold } from '../stores/household'
import { useNotices } from '../stores/notices'
import { useShelf } from '../stores/shelf'

const store = useCompare()
const shelf = useShelf()
const household = useHousehold()
const notices = useNotices()
const route = useRoute()
const router = useRouter()
const options = computed(() =>
  (shelf.recipes ?? []).flatMap((row) =>
    row.versions.map((v) => ({
      key: `${row.id}.${v.id}`,
      name: v.number === 1 ? row.title : `${row.title}, ${v.label}`,
    })),
  ),
)
const first = computed(() => String(route.query.first ?? options.value[0]?.key ?? ''))
const second = computed(() => String(route.query.second ?? options.value[1]?.key ?? ''))
const definition = computed(() => String(route.query.counting ?? 'free_sugars_who_g'))
const portion = computed(() => Number(route.query.portion) || null)

function side(key: string): Compared | undefined {
  if (key.startsWith('food:')) return { food: key.slice(5) }
  const [recipe, version] = key.split('.').map(Number)
  return recipe && version ? { recipe_id: recipe, version_id: version } : undefined
}

function ask(changes: Record<string, string | undefined>): void {
  void router.replace({ query: { ...route.query, ...changes } })
}

function pick(which: 'first' | 'second', food: Ingredient): void {
  ask({ [which]: `food:${food.key}` })
}

type Row = { name: string; told: (side: Apart['first']) => string; value: (side: Apart['first']) => number }
const sugars = computed(() => household.choices?.definitions ?? [])
const rows = computed<Row[]>(() => [
  ...sugars.value.map((d) => ({
    name: d.name,
    value: (s: Apart['first']) => s.portion[d.key as 'free_sugars_who_g'],
    told: (s: Apart['first']) => gramsTenths(s.portion[d.key as 'free_sugars_who_g']),
  })),
  { name: 'Energy', value: (s) => s.portion.energy_kcal, told: (s) => kcal(s.portion.energy_kcal) },
  {
    name: 'Sweetness, as sugar',
    value: (s) => s.sweetness,
    told: (s) => `${percent(s.sweetness)} of its weight`,
  },
  { name: 'Water', value: (s) => s.portion.water_g, told: (s) => gramsTenths(s.portion.water_g) },
  { name: 'Fat', value: (s) => s.portion.fat_g, told: (s) => gramsTenths(s.portion.fat_g) },
  {
    name: 'What sets it: starch, egg, binders',
    value: (s) => s.structure_g,
    told: (s) => gramsTenths(s.structure_g),
  },
  { name: 'Fibre', value: (s) => s.portion.fibre_g, told: (s) => gramsTenths(s.portion.fibre_g) },
  { name: 'Gas that lifts it', value: (s) => s.lift_g, told: (s) => `${number(1000 * s.lift_g)} mg` },
  { name: 'Foods to fetch', value: (s) => s.foods, told: (s) => number(s.foods) },
  { name: 'Work, in lines', value: (s) => s.effort, told: (s) => number(s.effort) },
  ...(store.found?.first.cost !== null && store.found?.second.cost !== null
    ? [
        {
          name: `Cost${household.settings.currency ? ` in ${household.settings.currency}` : ''}`,
          value: (s: Apart['first']) => s.cost ?? 0,
          told: (s: Apart['first']) => number(s.cost ?? 0),
        },
      ]
    : []),
])

type Lasts = Apart['first_lasts']

const minutes = (value: number | null): string =>
  value === null ? 'not told' : value < 120 ? `${value} min` : `${number(Math.round(value / 6) / 10)} h`
const lasting = computed(() => {
  const found = store.found
  if (!found) return []
  const row = (name: string, told: (one: Lasts) => string) => ({
    name,
    first: told(found.first_lasts),
    second: told(found.second_lasts),
  })
  return [
    row('Hands at work', (one) => minutes(one.hands_on_min)),
    row('Waiting', (one) => minutes(one.waiting_min)),
    row('How free its water is, an estimate', (one) =>
      one.activity === null ? 'not of this kind' : one.activity.toFixed(3),
    ),
    row('Keeps', (one) => one.keeping.join(' ') || 'not known'),
  ]
})

onMounted(() => {
  shelf.load().catch(notices.complain)
  household.load().catch(notices.complain)
})
watch(
  [first, second, definition, portion],
  () => {
    const [one, two] = [side(first.value), side(second.value)]
    if (one && two) store.load(one, two, definition.value, portion.value).catch(notices.complain)
  },
  { immediate: true },
)
</script>

<template>
  <section class="place">
    <header class="head">
      <h1>Compare</h1>
      <span class="quiet">any two desserts, at the same portion</span>
    </header>
    <p class="asked">
      <span v-for="which in ['first', 'second'] as const" :key="which" class="one">
        <select
          :value="which === 'first' ? first : second"
          :aria-label="`The ${which} dessert`"
          @change="ask({ [which]: ($event.target as HTMLSelectElement).value })"
        >
          <option
            v-if="(which === 'first' ? first : second).startsWith('food:')"
            :value="which === 'first' ? first : second"
          >
            {{ which === 'first' ? store.found?.first.title : store.found?.second.title }}
          </option>
          <option v-for="option in options" :key="option.key" :value="option.key">{{ option.name }}</option>
        </select>
        <IngredientPicker :label="`or a bought thing as the ${which}`" @pick="pick(which, $event)" />
      </span>
    </p>
    <p class="asked">
      <label
        >counting
        <select :value="definition" @change="ask({ counting: ($event.target as HTMLSelectElement).value })">
          <option v-for="one in sugars" :key="one.key" :value="one.key">{{ one.name }}</option>
        </select></label
      >
      <span
        >portions of
        <NumberField
          :model-value="portion ?? (store.found ? Math.round(store.found.portion_g) : null)"
          name="The portion of both"
          unit="g"
          :min="1"
          :max="5000"
          :step="5"
          is-inline
          @update:model-value="ask({ portion: $event ? String($event) : undefined })"
      /></span>
    </p>
    <template v-if="store.found">
      <p class="words display">{{ store.found.words }}</p>
      <h2>What makes the difference</h2>
      <MakesBars :found="store.found" />
      <div class="scroll" tabindex="0" role="region" aria-label="Both in figures">
        <table>
          <thead>
            <tr>
              <th scope="col">in a portion of {{ grams(store.found.portion_g) }}</th>
              <th scope="col" class="figure">{{ store.found.first.title }}</th>
              <th scope="col" class="figure">{{ store.found.second.title }}</th>
              <th scope="col" class="figure">change</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.name">
              <th scope="row">{{ row.name }}</th>
              <td class="figure">{{ row.told(store.found.first) }}</td>
              <td class="figure">
                <b>{{ row.told(store.found.second) }}</b>
              </td>
              <td class="figure quiet">
                {{ change(row.value(store.found.first), row.value(store.found.second)) }}
              </td>
            </tr>
            <tr v-for="row in lasting" :key="row.name">
              <th scope="row">{{ row.name }}</th>
              <td class="figure">{{ row.first }}</td>
              <td class="figure">{{ row.second }}</td>
              <td></td>
            </tr>
            <tr>
              <th scope="row">It is a</th>
              <td class="figure">{{ store.found.first.families.join(', ') }}</td>
              <td class="figure">{{ store.found.second.families.join(', ') }}</td>
              <td></td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
    <p v-else class="quiet">Two desserts on the shelf are needed, or one and a bought thing.</p>
  </section>
</template>

<style scoped>
.asked {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 34px;
  align-items: baseline;
  margin: 0 0 8px;
}
.one {
  flex: 1 1 320px;
  max-width: 520px;
}
select {
  color: inherit;
  background: var(--paper);
  border-bottom: 2px solid var(--sun);
  font: inherit;
  font-weight: 650;
  max-width: 100%;
}
.one select {
  font-size: 1.15rem;
}
.words {
  font-size: clamp(1.2rem, 1rem + 0.9vw, 1.6rem);
  margin: 14px 0 20px;
}
.scroll {
  overflow-x: auto;
  margin-top: 26px;
}
.figure {
  text-align: right;
}
@media print {
  .asked {
    display: none;
  }
}
</style>
