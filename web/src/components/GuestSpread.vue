<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/types'
import { grams } from '../logic/format'

const props = defineProps<{ found: Schemas['AfternoonOut'] }>()
const WIDTH = 560
/** How wide a sum stands, at its largest. */
const SAID = 90
/** How two neighbours in a bar are told apart without colour: by how their hatching runs. */
const TURNS = [0, 45, 90, 135, 22, 67, 112, 157]
const most = computed(() => Math.max(props.found.before_g, props.found.most_g, 1))
const limit = computed(() => (props.found.most_g / most.value) * WIDTH)
const bars = computed(() =>
  [
    { name: 'before', key: 'free_sugar_before_g' as const, y: 22 },
    { name: 'after', key: 'free_sugar_g' as const, y: 62 },
  ].map((bar) => {
    let at = 0
    const parts = props.found.desserts.map((one, n) => {
      const width = (one[bar.key] / most.value) * WIDTH
      const part = { n, x: at, width, title: `${one.title}: ${grams(one[bar.key])}` }
      at += width
      return part
    })
    // A sum that would stand across the line of the limit stands behind it.
    const said = at <= limit.value && limit.value < at + SAID ? limit.value : at
    return { ...bar, parts, total: props.found.desserts.reduce((sum, one) => sum + one[bar.key], 0), said }
  }),
)
const says = computed(
  () =>
    `Free sugar of one guest: ${grams(props.found.before_g)} before, ${grams(props.found.free_sugar_g)} after; ` +
    `at most ${grams(props.found.most_g)}`,
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH + 160} 112`" role="img" :aria-label="says">
    <defs>
      <pattern
        v-for="(turn, n) in TURNS"
        :id="`hatch-${n}`"
        :key="n"
        width="7"
        height="7"
        patternUnits="userSpaceOnUse"
        :patternTransform="`rotate(${turn})`"
      >
        <rect width="7" height="7" class="ground" />
        <line x1="0" x2="0" y1="0" y2="7" class="line" />
      </pattern>
    </defs>
    <g v-for="bar in bars" :key="bar.name">
      <text x="0" :y="bar.y + 19">{{ bar.name }}</text>
      <g :transform="`translate(84 ${bar.y})`">
        <rect
          v-for="part in bar.parts"
          :key="part.n"
          :x="part.x"
          y="0"
          :width="Math.max(part.width, 0.5)"
          height="28"
          :fill="`url(#hatch-${part.n})`"
          class="part"
        >
          <title>{{ part.title }}</title>
        </rect>
        <text :x="bar.said + 8" y="19" class="total">{{ grams(bar.total) }}</text>
      </g>
    </g>
    <g transform="translate(84 0)">
      <line class="limit" :x1="limit" :x2="limit" y1="12" y2="98" />
      <text :x="limit" y="110" text-anchor="middle">at most {{ grams(found.most_g) }}</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 720px;
  display: block;
  margin-bottom: 14px;
}
text {
  font-size: 13px;
  fill: var(--ink);
}
@media (max-width: 600px) {
  text {
    font-size: 23px;
  }
}
.total {
  font-weight: 650;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.ground {
  fill: color-mix(in srgb, var(--sun) 55%, var(--paper));
}
.line {
  stroke: #5c3420;
  stroke-width: 1.2;
}
.part {
  stroke: var(--paper);
  stroke-width: 1.5;
}
.limit {
  stroke: var(--ember);
  stroke-width: 2.5;
}
</style>
