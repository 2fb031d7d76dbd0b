<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/types'
import { grams, heat } from '../logic/format'

type Picture = NonNullable<Schemas['WorkedOut']['picture']>
const props = defineProps<{ picture: Picture }>()

/** What goes in fills the width; all else is drawn to it. */
const whole = computed(() => Math.max(...props.picture.parts.map((part) => sum(part.amounts)), 1))
const KINDS = ['water', 'sugars', 'all else'] as const

function sum(amounts: readonly number[]): number {
  return amounts.reduce((a, b) => a + b, 0)
}

/** Tins from above, the largest side as wide as the picture allows. */
const SIDE = 150
const scale = computed(
  () =>
    SIDE /
    Math.max(...props.picture.parts.map((part) => Math.max(part.amounts[0] ?? 1, part.amounts[1] ?? 1)), 1),
)

/** Where each of several small ones lies: rows of four at most. */
function places(part: Picture['parts'][number]): { x: number; y: number }[] {
  const [long = 0, wide = 0, , many = 1] = part.amounts
  const step = (n: number): number => n * scale.value + 6
  const across = Math.min(many, 4)
  return Array.from({ length: many }, (_, n) => ({
    x: (n % across) * step(long),
    y: Math.floor(n / across) * step(wide || long),
  }))
}

function box(part: Picture['parts'][number]): { width: number; height: number } {
  const [long = 0, wide = 0, , many = 1] = part.amounts
  const across = Math.min(many, 4)
  const rows = Math.ceil(many / across)
  return {
    width: across * (long * scale.value + 6),
    height: rows * ((wide || long) * scale.value + 6),
  }
}

/** How large a tin that is cut is drawn: its longest side as wide as there is room. */
const cutScale = computed(() => 300 / Math.max(...props.picture.parts.map((part) => part.amounts[0] ?? 1), 1))
const cutHeight = (part: Picture['parts'][number]): number =>
  ((part.amounts[1] || (part.amounts[0] ?? 0) * (part.amounts[4] ?? 1)) as number) * cutScale.value

/** The rim and every cut, as one path in centimetres. */
function cutLines(part: Picture['parts'][number]): string {
  const [long = 0, wide = 0, rows = 0, columns = 1, share = 1] = part.amounts
  if (wide) {
    const across = Array.from({ length: rows + 1 }, (_, n) => `M0 ${(wide * n) / rows}H${long}`)
    const down = Array.from({ length: columns + 1 }, (_, n) => `M${(long * n) / columns} 0V${wide}`)
    return [...across, ...down].join('')
  }
  const rim = long / 2
  const inner = rows ? rim * Math.sqrt(rows / (rows + columns)) : 0
  const at = (radius: number, turn: number): string =>
    `${rim - radius * Math.cos(Math.PI * 2 * share * turn)} ${rim - radius * Math.sin(Math.PI * 2 * share * turn)}`
  const arc = (radius: number): string =>
    share < 1
      ? `M${at(radius, 0)}A${radius} ${radius} 0 0 1 ${at(radius, 1)}`
      : `M${at(radius, 0)}A${radius} ${radius} 0 1 1 ${at(radius, 0.5)}A${radius} ${radius} 0 1 1 ${at(radius, 0)}`
  const cuts = (from: number, to: number, count: number): string[] =>
    Array.from(
      { length: count + (share < 1 ? 1 : 0) },
      (_, n) => `M${at(from, n / count)}L${at(to, n / count)}`,
    )
  return [
    arc(rim),
    ...(inner ? [arc(inner), ...cuts(0, inner, rows)] : []),
    ...cuts(inner, rim, columns),
  ].join('')
}

const coolest = computed(() => Math.min(...props.picture.parts.map((part) => part.amounts[0] ?? 0)))
const hottest = computed(() => Math.max(...props.picture.parts.map((part) => part.amounts[1] ?? 0)))
const along = (celsius: number): number =>
  (100 * (celsius - coolest.value)) / Math.max(hottest.value - coolest.value, 1)
</script>

<template>
  <figure v-if="picture.kind === 'masses'" class="masses" aria-label="What goes in and what comes out">
    <div v-for="part in picture.parts" :key="part.name" class="mass" :class="{ chosen: part.is_chosen }">
      <span>{{ part.name }}</span>
      <i :style="{ width: `${(100 * sum(part.amounts)) / whole}%` }">
        <b
          v-for="(amount, n) in part.amounts"
          :key="n"
          :class="['water', 'sugars', 'rest'][n]"
          :style="{ flexGrow: amount }"
          :title="`${KINDS[n]}: ${grams(amount)}`"
        />
      </i>
      <small>{{ grams(sum(part.amounts)) }}</small>
    </div>
    <figcaption class="quiet small">
      <b class="water" /> water <b class="sugars" /> sugars <b class="rest" /> all else
    </figcaption>
  </figure>
  <figure v-else-if="picture.kind === 'tins'" class="tins" aria-label="Both tins from above, to scale">
    <div v-for="part in picture.parts" :key="part.name">
      <svg
        :width="box(part).width"
        :height="box(part).height"
        :viewBox="`0 0 ${box(part).width} ${box(part).height}`"
        aria-hidden="true"
      >
        <template v-for="(at, n) in places(part)" :key="n">
          <circle
            v-if="!part.amounts[1]"
            :cx="at.x + ((part.amounts[0] ?? 0) * scale) / 2 + 3"
            :cy="at.y + ((part.amounts[0] ?? 0) * scale) / 2 + 3"
            :r="((part.amounts[0] ?? 0) * scale) / 2"
            :class="{ chosen: part.is_chosen }"
          />
          <rect
            v-else
            :x="at.x + 3"
            :y="at.y + 3"
            :width="(part.amounts[0] ?? 0) * scale"
            :height="(part.amounts[1] ?? 0) * scale"
            rx="5"
            :class="{ chosen: part.is_chosen }"
          />
        </template>
      </svg>
      <span class="quiet small"
        >{{ part.name }}, {{ Math.round((part.amounts[2] ?? 0) * 10) / 10 }} cm deep</span
      >
    </div>
  </figure>
  <figure v-else-if="picture.kind === 'cuts'" class="tins" aria-label="Where to cut">
    <svg
      v-for="(part, n) in picture.parts"
      :key="n"
      class="cut"
      :width="(part.amounts[0] ?? 0) * cutScale"
      :height="cutHeight(part)"
      :viewBox="`0 0 ${part.amounts[0] ?? 0} ${cutHeight(part) / cutScale}`"
      aria-hidden="true"
    >
      <path :d="cutLines(part)" />
    </svg>
  </figure>
  <figure v-else class="heats" aria-label="The stages of boiled sugar, cooler to hotter">
    <div v-for="part in picture.parts" :key="part.name" :class="{ chosen: part.is_chosen }">
      <span>{{ part.name }}</span>
      <i
        ><b
          :style="{
            left: `${along(part.amounts[0] ?? 0)}%`,
            width: `${Math.max(along(part.amounts[1] ?? 0) - along(part.amounts[0] ?? 0), 1.5)}%`,
          }"
      /></i>
      <small>{{ heat(part.amounts[0] ?? 0) }}</small>
    </div>
  </figure>
</template>

<style scoped>
figure {
  margin: 4px 0 20px;
  max-width: 640px;
}
.mass,
.heats > div {
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr) 78px;
  gap: 12px;
  align-items: center;
  margin: 6px 0;
  color: var(--quiet);
}
.chosen > span,
.chosen > small {
  color: var(--ink);
  font-weight: 700;
}
.mass i {
  display: flex;
  height: 22px;
  min-width: 3px;
  border-radius: 4px;
  overflow: hidden;
}
.mass i b {
  flex-basis: 0;
}
.water {
  background: var(--water, #8fb3c9);
}
.sugars {
  background: var(--sun);
}
.rest {
  background: var(--band);
}
figcaption {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-top: 8px;
}
figcaption b {
  width: 14px;
  height: 14px;
  border-radius: 3px;
  margin-left: 10px;
}
figcaption b:first-child {
  margin-left: 0;
}
.tins {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 34px;
  max-width: none;
}
.tins > div {
  display: grid;
  gap: 6px;
}
circle,
rect {
  fill: none;
  stroke: var(--quiet);
  stroke-width: 2;
}
circle.chosen,
rect.chosen {
  fill: var(--band);
  stroke: var(--sun);
  stroke-width: 3;
}
.heats i {
  position: relative;
  height: 18px;
  border-bottom: 1px solid var(--hair);
}
.heats i b {
  position: absolute;
  top: 2px;
  bottom: 2px;
  border-radius: 4px;
  background: var(--band);
}
.heats .chosen i b {
  background: var(--sun);
}
svg {
  max-width: 100%;
}
.cut {
  overflow: visible;
}
.cut path {
  fill: none;
  stroke: var(--sun);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
</style>
