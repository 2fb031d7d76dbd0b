<script setup lang="ts">
import { computed } from 'vue'
import { useDisplay } from 'vuetify'
import type { SumRow } from '../api/types'
import { grams, number } from '../logic/format'

const props = defineProps<{
  rows: { key: string; name: string; row: SumRow | undefined }[]
  /** What one row may hold [g], where there is a limit; rows of unequal length have none drawn. */
  limit: number | null
  label: string
}>()
const HEIGHT = 190
const LEFT = 46
const { smAndDown } = useDisplay()
const width = computed(() => (smAndDown.value ? 380 : 860))

const bars = computed(() =>
  props.rows.map(({ key, name, row }) => ({
    key,
    name,
    eaten: row?.sugar_g ?? 0,
    slips: row?.slips_g ?? 0,
    would: Math.max((row?.sugar_g ?? 0) + (row?.saved_g ?? 0), 0),
  })),
)
const most = computed(() =>
  Math.max(1, (props.limit ?? 0) * 1.05, ...bars.value.flatMap((b) => [b.eaten, b.would])),
)
/** Round steps of an axis that has four or five of them. */
const ticks = computed(() => {
  const rough = most.value / 4
  const power = 10 ** Math.floor(Math.log10(rough))
  const step = [1, 2, 5, 10].map((n) => n * power).find((n) => n >= rough) ?? rough
  return Array.from({ length: Math.floor(most.value / step) + 1 }, (_, n) => n * step)
})
const step = computed(() => (width.value - LEFT) / Math.max(bars.value.length, 1))
const every = computed(() => Math.ceil(bars.value.length / (smAndDown.value ? 5 : 12)))
function y(value: number): number {
  return HEIGHT + 10 - (HEIGHT * value) / most.value
}
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${HEIGHT + 44}`" role="img" :aria-label="label">
    <g v-for="tick in ticks" :key="tick">
      <line class="grid" :x1="LEFT" :x2="width" :y1="y(tick)" :y2="y(tick)" />
      <text class="tick" :x="LEFT - 8" :y="y(tick) + 4">{{ number(tick) }}</text>
    </g>
    <text class="tick" :x="LEFT - 8" y="8">g</text>
    <g v-for="(bar, n) in bars" :key="bar.key" :transform="`translate(${LEFT + n * step}, 0)`">
      <title>
        {{ bar.name }}: {{ grams(bar.eaten) }} eaten, {{ grams(bar.slips) }} of it slips,
        {{ grams(bar.would) }} in the originals
      </title>
      <rect
        class="would"
        :x="step * 0.14"
        :width="step * 0.72"
        :y="y(bar.would)"
        :height="Math.max(HEIGHT + 10 - y(bar.would), 0)"
      />
      <rect
        class="eaten"
        :x="step * 0.14"
        :width="step * 0.72"
        :y="y(bar.eaten)"
        :height="Math.max(HEIGHT + 10 - y(bar.eaten), 0)"
      />
      <rect
        class="slips"
        :x="step * 0.14"
        :width="step * 0.72"
        :y="y(bar.slips)"
        :height="Math.max(HEIGHT + 10 - y(bar.slips), 0)"
      />
      <text v-if="n % every === 0" class="name" :x="step / 2" :y="HEIGHT + 30">{{ bar.name }}</text>
    </g>
    <template v-if="limit !== null">
      <line class="limit" :x1="LEFT" :x2="width" :y1="y(limit)" :y2="y(limit)" />
      <text class="limit-name" :x="width - 4" :y="y(limit) - 5">limit {{ grams(limit) }}</text>
    </template>
    <path class="ground" :d="`M${LEFT} ${HEIGHT + 10}H${width}`" />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  overflow: visible;
}
.grid {
  stroke: var(--hair);
}
.tick,
.name,
.limit-name {
  font-size: 11.5px;
  fill: var(--quiet);
  /* Read over a bar too. */
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.tick,
.limit-name {
  text-anchor: end;
}
.name {
  text-anchor: middle;
}
.limit {
  stroke: var(--ink);
  stroke-dasharray: 2 6;
  stroke-width: 1.6;
}
.limit-name {
  fill: var(--ink);
  font-weight: 650;
}
.ground {
  stroke: #8a5531;
  stroke-width: 3;
}
.would {
  fill: color-mix(in srgb, var(--sun) 14%, var(--paper));
  stroke: var(--sun);
  stroke-width: 1.3;
}
.would[height='0'] {
  stroke: none;
}
.eaten {
  fill: var(--sun);
}
.slips {
  fill: #8a5531;
}
</style>
