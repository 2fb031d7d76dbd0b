<script setup lang="ts">
import { computed } from 'vue'
import { useDisplay } from 'vuetify'
import type { Ledger } from '../api/types'
import { daysBetween, longDay, shortDay } from '../logic/days'
import { grams } from '../logic/format'

const props = defineProps<{
  ledger: Ledger
  /** The household's daily limit of free sugar [g]. */
  limit: number
}>()
const HEIGHT = 150
const { smAndDown } = useDisplay()
const width = computed(() => (smAndDown.value ? 360 : 720))

const bars = computed(() => {
  const known = new Map(props.ledger.days.map((d) => [d.day, d]))
  return daysBetween(props.ledger.since, props.ledger.until).map((day) => {
    const found = known.get(day)
    const eaten = found?.free_sugars_who_g ?? 0
    return { day, eaten, would: Math.max(eaten + (found?.saved_free_sugars_who_g ?? 0), 0) }
  })
})
const most = computed(() => Math.max(props.limit * 1.1, ...bars.value.map((b) => Math.max(b.would, b.eaten))))
const step = computed(() => (width.value - 20) / bars.value.length)
const every = computed(() => Math.ceil(bars.value.length / (smAndDown.value ? 5 : 14)))
function tall(value: number): number {
  return (HEIGHT * value) / most.value
}
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 0 ${width} ${HEIGHT + 34}`"
      role="group"
      aria-label="Free sugar eaten each day, and what the originals would have held"
    >
      <line class="limit" x1="0" :x2="width" :y1="HEIGHT - tall(limit) + 8" :y2="HEIGHT - tall(limit) + 8" />
      <g v-for="(bar, n) in bars" :key="bar.day" :transform="`translate(${10 + n * step}, 8)`">
        <title>
          {{ longDay(bar.day) }}: {{ grams(bar.eaten) }} eaten, {{ grams(bar.would) }} in the originals
        </title>
        <rect
          class="would"
          :x="step * 0.14"
          :width="step * 0.62"
          :y="HEIGHT - tall(bar.would)"
          :height="tall(bar.would)"
          rx="5"
        />
        <rect
          class="eaten"
          :x="step * 0.14"
          :width="step * 0.62"
          :y="HEIGHT - tall(bar.eaten)"
          :height="tall(bar.eaten)"
          rx="5"
        />
        <text
          v-if="bar.eaten > 0 && step > 20"
          class="figure"
          :x="step * 0.45"
          :y="HEIGHT - tall(bar.eaten) - 5"
        >
          {{ Math.round(bar.eaten) }}
        </text>
        <text v-if="n % every === 0" class="day" :x="step * 0.45" :y="HEIGHT + 20">
          {{ shortDay(bar.day) }}
        </text>
      </g>
      <path class="ground" :d="`M0 ${HEIGHT + 8}h${width}`" />
    </svg>
    <figcaption class="quiet small">
      <span class="dots" /> a day’s limit for one, {{ grams(limit) }} &nbsp; <span class="key eaten" /> eaten
      &nbsp; <span class="key would" /> what as many grams of the originals hold
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 18px 0 8px;
}
svg {
  width: 100%;
  overflow: visible;
}
.limit {
  stroke: var(--quiet);
  stroke-dasharray: 2 6;
  stroke-width: 1.5;
}
.day,
.figure {
  font-size: 11.5px;
  fill: var(--quiet);
}
.day,
.figure {
  text-anchor: middle;
}
.figure {
  fill: var(--ink);
  font-weight: 650;
}
.ground {
  stroke: #8a5531;
  stroke-width: 3;
}
rect.would {
  fill: color-mix(in srgb, var(--sun) 14%, var(--paper));
  stroke: var(--sun);
  stroke-width: 1.4;
}
rect.would[height='0'] {
  stroke: none;
}
rect.eaten {
  fill: var(--sun);
}
.key {
  display: inline-block;
  width: 12px;
  height: 12px;
  border-radius: 3px;
  border: 1.5px solid var(--sun);
  vertical-align: -1px;
}
.dots {
  display: inline-block;
  width: 26px;
  border-top: 2px dotted var(--quiet);
  vertical-align: 4px;
}
.key.eaten {
  background: var(--sun);
}
</style>
