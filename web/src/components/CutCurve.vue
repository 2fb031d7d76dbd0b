<script setup lang="ts">
import { computed } from 'vue'
import type { BenchGoals, FrontierPoint, Relaxation } from '../api/types'
import { CURVE, FEET, GRID, place, xOf } from '../logic/cutCurve'
import { grams, kcal, percent } from '../logic/format'
import OfferList from './OfferList.vue'

const props = defineProps<{
  goals: BenchGoals
  points: FrontierPoint[]
  /** What going a little further costs. */
  further: Relaxation[]
  isWorking: boolean
  isLooking: boolean
}>()
const emit = defineEmits<{ choose: [cut: number]; take: [changes: Record<string, unknown>] }>()
const isOpen = defineModel<boolean>('open', { required: true })
const placed = computed(() => place(props.points))
const words = { balanced: 'balanced', strained: 'at its edge', unmet: 'can’t be had' }

function says(point: FrontierPoint): string {
  const held = `${grams(point.free_sugars_who_g)} free sugar, ${kcal(point.energy_kcal)}`
  const off = `${words[point.status]}, furthest off in ${point.off_in.toLowerCase()}`
  return `Cut ${percent(point.cut)}: ${percent(point.sweetness)} as sweet, ${held}; ${off}`
}
</script>

<template>
  <details class="curve" @toggle="isOpen = ($event.target as HTMLDetailsElement).open">
    <summary><b>What a bigger cut costs</b></summary>
    <p v-if="isWorking && !points.length" class="quiet small">Trying ten cuts …</p>
    <template v-if="points.length">
      <svg
        :viewBox="`0 0 ${CURVE.width} ${CURVE.height}`"
        role="group"
        aria-label="Sweetness kept at each cut"
      >
        <g class="grid" aria-hidden="true">
          <template v-for="line in GRID" :key="line.share">
            <line :x1="CURVE.left" :x2="CURVE.width - CURVE.right" :y1="line.y" :y2="line.y" />
            <text :x="CURVE.left - 4" :y="line.y + 3.5" text-anchor="end">{{ percent(line.share) }}</text>
          </template>
          <text v-for="foot in FEET" :key="foot.share" :x="foot.x" :y="CURVE.height - 8" text-anchor="middle">
            {{ percent(foot.share) }}
          </text>
          <line
            class="now"
            :x1="xOf(goals.cut ?? 0)"
            :x2="xOf(goals.cut ?? 0)"
            :y1="CURVE.top"
            :y2="CURVE.height - CURVE.bottom"
          />
          <polyline :points="placed.map((p) => `${p.x},${p.y}`).join(' ')" />
        </g>
        <g
          v-for="point in placed"
          :key="point.cut"
          class="point"
          :class="point.status"
          role="button"
          tabindex="0"
          :aria-label="says(point)"
          @click="emit('choose', point.cut)"
          @keydown.enter="emit('choose', point.cut)"
          @keydown.space.prevent="emit('choose', point.cut)"
        >
          <title>{{ says(point) }}</title>
          <circle class="reach" :cx="point.x" :cy="point.y" r="12" />
          <circle v-if="point.status === 'balanced'" :cx="point.x" :cy="point.y" r="5" />
          <path
            v-else-if="point.status === 'strained'"
            :transform="`translate(${point.x} ${point.y})`"
            d="M0-6.5 6.5 0 0 6.5-6.5 0z"
          />
          <path v-else :transform="`translate(${point.x} ${point.y})`" d="M-5-5 5 5M5-5-5 5" class="cross" />
        </g>
      </svg>
      <p class="quiet small">
        Across the cut, up the sweetness kept. ● balanced, ◆ at its edge, ✕ can’t be had. Touch one to take
        it.
      </p>
      <p v-if="isLooking" class="quiet small" role="status">Looking a little further …</p>
      <OfferList
        v-else-if="further.length"
        :offers="further"
        label="What going a little further costs"
        @take="emit('take', $event)"
      />
    </template>
  </details>
</template>

<style scoped>
.curve {
  margin-top: 14px;
}
summary {
  cursor: pointer;
}
svg {
  width: 100%;
  overflow: visible;
}
.grid line {
  stroke: var(--hair);
}
.grid .now {
  stroke: var(--sun);
  stroke-width: 3;
}
polyline {
  fill: none;
  stroke: var(--quiet);
  stroke-width: 1.5;
}
text {
  font-size: 10.5px;
  fill: var(--quiet);
}
.point {
  cursor: pointer;
}
.reach {
  fill: transparent;
}
.balanced circle:not(.reach) {
  fill: var(--leaf);
}
.strained path {
  fill: var(--ember);
}
.cross {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
}
</style>
