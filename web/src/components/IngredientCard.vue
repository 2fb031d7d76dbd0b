<script setup lang="ts">
import { computed } from 'vue'
import { grams, kcal, number } from '../logic/format'
import type { Detail } from '../api/types'

const props = defineProps<{ detail: Detail }>()
defineEmits<{ remove: [] }>()

const COUNTS: Record<string, string> = {
  refined: 'refined, added and free sugar everywhere',
  preserve: 'mostly refined sugar; in the UK its fruit counts as free as well',
  unrefined: 'free and added sugar, but not refined',
  juice: 'free sugar (WHO, UK), not added in the US',
  concentrate: 'free sugar; in the US what exceeds single-strength juice is added',
  puree: 'free sugar in the UK only: the fruit is broken up',
  intrinsic: 'sugar of the whole food, free nowhere',
  milk: 'milk sugar, free nowhere',
  none: 'no sugar to count',
}
const NAMES: [keyof Detail['composition'], string][] = [
  ['water_g', 'water'],
  ['sucrose_g', 'sucrose'],
  ['glucose_g', 'glucose'],
  ['fructose_g', 'fructose'],
  ['lactose_g', 'lactose'],
  ['maltose_g', 'maltose'],
  ['galactose_g', 'galactose'],
  ['starch_g', 'starch'],
  ['fibre_g', 'fibre'],
  ['fat_g', 'fat'],
  ['protein_g', 'protein'],
  ['erythritol_g', 'erythritol'],
  ['xylitol_g', 'xylitol'],
  ['sorbitol_g', 'sorbitol'],
  ['maltitol_g', 'maltitol'],
  ['allulose_g', 'allulose'],
  ['inulin_g', 'inulin'],
  ['polydextrose_g', 'polydextrose'],
  ['dextrin_g', 'dextrins of syrup'],
  ['alcohol_g', 'alcohol'],
  ['glycosides_g', 'sweet glycosides'],
  ['ash_g', 'ash'],
]
const HAND: Record<string, string> = {
  split: 'sugars by kind',
  hold: 'water it holds',
  acid: 'acidity',
  ash: 'ash',
  sugars: 'total sugars',
}
const parts = computed(() =>
  NAMES.map(([key, name]) => ({ name, value: props.detail.composition[key] })).filter(
    (part) => part.value > 0.04,
  ),
)
const byHand = computed(() => props.detail.by_hand.map((word) => HAND[word] ?? word).join(', '))
const counts = computed(() => COUNTS[props.detail.sugar_kind] ?? '')
</script>

<template>
  <article>
    <header class="head">
      <h2>{{ detail.name }}</h2>
      <v-btn
        v-if="detail.key.startsWith('own_')"
        size="small"
        variant="text"
        class="push"
        @click="$emit('remove')"
        >Put it away</v-btn
      >
    </header>
    <p class="figures">
      <span
        ><b class="display">{{ kcal(detail.energy_kcal) }}</b> in 100 g</span
      >
      <span
        ><b class="display">{{ grams(detail.total_sugars_g) }}</b> sugars</span
      >
      <span v-if="detail.sweetness !== null"
        ><b class="display">{{ number(detail.sweetness) }}</b> as sweet, where sugar is 100</span
      >
      <span v-else><b class="display">intense</b> sweetness levels off</span>
    </p>
    <p v-if="detail.total_sugars_g > 0.5"><b>Its sugar counts as</b> {{ counts }}.</p>

    <div class="columns">
      <section>
        <h3>What 100 g hold</h3>
        <ul>
          <li v-for="part in parts" :key="part.name">
            <span>{{ part.name }}</span>
            <span class="bar" :style="{ width: `${part.value}%` }" />
            <span class="figure">{{ grams(part.value) }}</span>
          </li>
        </ul>
      </section>
      <section>
        <h3>What it weighs</h3>
        <ul>
          <li v-for="measure in detail.measures" :key="measure.unit + measure.form" class="weight">
            <span v-if="measure.unit === 'edible'">100 g {{ measure.form }}</span>
            <span v-else
              >one {{ measure.unit === 'each' ? 'piece' : measure.unit
              }}<template v-if="measure.form">, {{ measure.form }}</template></span
            >
            <span class="figure">{{ grams(measure.grams) }}</span>
          </li>
        </ul>
        <p class="quiet small">US cup and spoons; other cups in proportion.</p>
      </section>
    </div>
    <p v-if="detail.allergens.length">
      <b>Allergens</b>
      {{
        detail.allergens
          .map((a) => `${a.name} (${a.is_us && a.is_eu ? 'US and EU' : a.is_eu ? 'EU' : 'US'} list)`)
          .join(', ')
      }}
    </p>
    <p v-if="detail.not_for_diets.length"><b>Not for</b> {{ detail.not_for_diets.join(', ') }}</p>
    <p v-if="detail.names.length > 1" class="small">
      <b>Also read as</b> {{ detail.names.slice(1).join(', ') }}
    </p>
    <p class="quiet small">
      Source: {{ detail.source_words }}<template v-if="detail.locator">; {{ detail.locator }}</template
      >.
      <template v-if="byHand"
        >By hand, from memory or judgement: {{ byHand }}. Household weights: memory.</template
      >
    </p>
  </article>
</template>

<style scoped>
article {
  display: grid;
  gap: 14px;
}
.head {
  margin: 0;
}
h2 {
  font-size: 1.7rem;
}
h2::first-letter {
  text-transform: uppercase;
}
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 28px;
}
.figures b {
  font-size: 1.5rem;
}
.columns {
  display: grid;
  grid-template-columns: 1.3fr 1fr;
  gap: 40px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0;
}
li {
  display: grid;
  grid-template-columns: 104px 1fr 70px;
  align-items: center;
  padding: 2px 0;
}
.bar {
  height: 9px;
  min-width: 2px;
  border-radius: 5px;
  background: var(--sun);
}
.weight {
  grid-template-columns: 1fr 70px;
  border-bottom: 1px solid var(--hair);
}
.figure {
  text-align: right;
}
@media (max-width: 700px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
    gap: 12px;
  }
}
</style>
