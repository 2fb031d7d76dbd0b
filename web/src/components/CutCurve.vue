<script setup lang="ts">
import { computed, ref } from 'vue'
import type { BenchGoals, FrontierPoint, Relaxation } from '../api/types'
import { CURVE, FEET, GRID, nearest, place, xOf, yOf } from '../logic/cutCurve'
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
const emit = defineEmits<{
  choose: [wish: { cut: number; keep_sweet: number }]
  take: [changes: Record<string, unknown>]
}>()
const isOpen = defineModel<boolean>('open', { required: true })
const placed = computed(() => place(props.points))
const picture = ref<SVGSVGElement>()
const isDragging = ref(false)
const last = ref(-1)

/** A point of the front is a wish: its cut, and as sweet as it then can stay. */
function choose(point: FrontierPoint): void {
  emit('choose', { cut: point.cut, keep_sweet: point.keep_sweet })
}

/** Takes the point under the finger while it is drawn along the front. */
function drag(event: PointerEvent): void {
  if (!isDragging.value || !picture.value) return
  const box = picture.value.getBoundingClientRect()
  const n = nearest(placed.value, ((event.clientX - box.left) / box.width) * CURVE.width)
  const point = placed.value[n]
  if (!point || n === last.value) return
  last.value = n
  choose(point)
}

function take(event: PointerEvent): void {
  isDragging.value = true
  last.value = -1
  picture.value?.setPointerCapture(event.pointerId)
  drag(event)
}

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
    <p v-if="isWorking && !points.length" class="quiet small">Trying twelve cuts …</p>
    <template v-if="points.length">
      <svg
        ref="picture"
        class="front"
        :viewBox="`0 0 ${CURVE.width} ${CURVE.height}`"
        role="group"
        aria-label="How sweet it can stay at each cut"
        @pointerdown="take"
        @pointermove="drag"
        @pointerup="isDragging = false"
        @pointercancel="isDragging = false"
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
          <circle class="wish" :cx="xOf(goals.cut ?? 0)" :cy="yOf(goals.keep_sweet ?? 1)" r="8" />
        </g>
        <g
          v-for="point in placed"
          :key="point.cut"
          class="point"
          :class="point.status"
          role="button"
          tabindex="0"
          :aria-label="says(point)"
          @keydown.enter="choose(point)"
          @keydown.space.prevent="choose(point)"
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
        Across the cut, up how sweet it can stay. ● balanced, ◆ at its edge, ✕ can’t be had. ○ is your wish:
        draw it along.
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
.front {
  touch-action: none;
  cursor: grab;
}
.wish {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
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
