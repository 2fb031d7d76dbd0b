<script setup lang="ts">
import { computed } from 'vue'
import { change, grams, kcal, kcalChange, number, percent } from '../logic/format'
import { arcPath, mostGrams, SKY, sunAt } from '../logic/sunArc'

const props = defineProps<{
  /** Free sugar of one portion before and after [g]. */
  before: number
  after: number
  /** Energy of one portion before and after [kcal]. */
  kcalBefore: number
  kcalAfter: number
  /** The household's daily limit of free sugar [g]. */
  limit: number
  /** What one portion is called, and what it weighs [g]. */
  unit: string
  portionG: number
  /** Between what the free sugar of the rework lies nine times in ten, in words; empty where that is not known. */
  between: string
}>()

const most = computed(() => mostGrams(props.limit, props.before, props.after))
const old = computed(() => sunAt(props.before, most.value))
const now = computed(() => sunAt(props.after, most.value))
const limitY = computed(() => sunAt(props.limit, most.value).y)
const says = computed(
  () =>
    `Free sugar in one ${props.unit}: ${grams(props.before)} in the original, ${grams(props.after)} in the rework, ` +
    `${percent(props.after / props.limit)} of the daily limit of ${grams(props.limit)}`,
)
</script>

<template>
  <figure class="arc">
    <svg :viewBox="`0 0 ${SKY.width} ${SKY.height}`" role="img" :aria-label="says">
      <line class="limit" x1="14" :x2="SKY.width - 14" :y1="limitY" :y2="limitY" />
      <text class="label" :x="SKY.width - 14" :y="limitY - 7">a day’s limit, {{ grams(limit) }}</text>
      <path class="way" :d="arcPath()" />
      <path class="hill back" d="M0 166c52-14 92 6 150-1s96-13 152-4 66 6 98-3v54H0z" />
      <g class="old">
        <circle :cx="old.x" :cy="old.y" r="22" />
        <text :x="old.x - 30" :y="old.y + 5">{{ grams(before) }}</text>
      </g>
      <g class="now" :style="{ transform: `translate(${now.x}px, ${now.y}px)` }">
        <path class="rays" d="M0-38v-8M27-27l6-6M38 0h8M-27-27l-6-6M-38 0h-8M27 27l6 6M-27 27l-6 6" />
        <circle r="31" />
        <text y="8">{{ number(after) }}</text>
      </g>
      <path class="hill" d="M0 178c46-9 90 8 146 1s104-12 156-2 68 3 98-4v39H0z" />
      <text class="ground" x="14" y="202">one {{ unit }}, {{ grams(portionG) }}</text>
      <text class="ground end" :x="SKY.width - 14" y="202">{{ percent(after / limit) }} of a day</text>
    </svg>
    <figcaption>
      <span
        ><b class="display big">{{ change(before, after) }}</b> free sugar<br />
        <v-menu v-if="between" location="top" offset="6">
          <template #activator="{ props: opener }">
            <button type="button" class="quiet doubt" v-bind="opener">
              {{ grams(before) }} → {{ grams(after) }}
            </button>
          </template>
          <p class="between">{{ grams(after) }}, {{ between }}: so far it may be off, nine times in ten</p>
        </v-menu>
        <span v-else class="quiet">{{ grams(before) }} → {{ grams(after) }}</span></span
      >
      <span
        ><b class="display big">{{ kcalChange(kcalBefore, kcalAfter) }}</b> energy<br /><span class="quiet"
          >{{ number(kcalBefore) }} → {{ kcal(kcalAfter) }}</span
        ></span
      >
    </figcaption>
  </figure>
</template>

<style scoped>
.arc {
  margin: 0;
  border-radius: 20px;
  overflow: hidden;
  background: linear-gradient(color-mix(in srgb, var(--sun) 22%, var(--paper)), var(--paper) 70%);
}
svg {
  display: block;
  width: 100%;
}
.between {
  margin: 0;
  padding: 10px 16px;
  border-radius: 12px;
  background: var(--card);
  box-shadow: 0 10px 34px #0004;
}
.doubt {
  border-bottom: 1px dotted;
}
.limit {
  stroke: var(--quiet);
  stroke-dasharray: 2 6;
  stroke-width: 1.5;
}
.way {
  fill: none;
  stroke: var(--sun);
  stroke-width: 1.5;
  stroke-dasharray: 1 5;
  stroke-linecap: round;
}
.label {
  text-anchor: end;
}
.label,
.ground {
  font-size: 12.5px;
  fill: var(--quiet);
}
.hill {
  fill: #5c3420;
}
.hill.back {
  fill: #8a5531;
}
.ground {
  fill: #ffeeda;
}
.end {
  text-anchor: end;
}
.old circle {
  fill: color-mix(in srgb, var(--sun) 16%, var(--paper));
  stroke: var(--sun);
  stroke-width: 2;
}
.old text,
.now text {
  text-anchor: middle;
  font-weight: 650;
  font-size: 15px;
  fill: var(--ink);
}
.old text {
  text-anchor: end;
  paint-order: stroke;
  stroke: color-mix(in srgb, var(--sun) 16%, var(--paper));
  stroke-width: 5px;
}
.now {
  transition: transform 0.35s ease;
}
.now circle {
  fill: #e8a020;
}
.rays {
  stroke: #e8a020;
  stroke-width: 3;
  stroke-linecap: round;
}
.now text {
  font-family: var(--display);
  font-size: 23px;
  fill: #2e1b12;
}
figcaption {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  padding: 12px 16px 14px;
  background: var(--card);
  font-size: 0.92rem;
}
.big {
  font-size: 1.7rem;
  margin-right: 4px;
}
</style>
