<script setup lang="ts">
import { computed } from 'vue'
import type { Metric } from '../api/types'
import { crumbLine, LINE } from '../logic/crumbLines'

const props = defineProps<{
  /** The balance of one component. */
  metrics: Metric[]
  /** What the list is about, for a screen reader. */
  label: string
}>()
const rows = computed(() => props.metrics.map(crumbLine))
</script>

<template>
  <ul class="lines" :aria-label="label">
    <li v-for="row in rows" :key="row.key" :class="row.mark">
      <span class="name" aria-hidden="true">{{ row.name }}</span>
      <svg :viewBox="`0 0 ${LINE.width} 22`" role="img" :aria-label="row.says">
        <line class="whole" x1="4" :x2="LINE.width - 4" y1="11" y2="11" />
        <line v-if="row.norm" class="norm" :x1="row.norm[0]" :x2="row.norm[1]" y1="17" y2="17" />
        <line class="band" :x1="LINE.middle - LINE.half" :x2="LINE.middle + LINE.half" y1="11" y2="11" />
        <circle class="ring" :cx="row.ringX" cy="11" r="5" />
        <g class="mark" :style="{ transform: `translate(${row.markX}px, 11px)` }">
          <circle v-if="row.mark === 'round'" r="5.5" />
          <path v-else-if="row.mark === 'diamond'" d="M0-7 7 0 0 7-7 0z" />
          <path v-else d="M0-8 8 6H-8z" />
        </g>
      </svg>
      <span class="words" aria-hidden="true">{{ row.words }}</span>
    </li>
  </ul>
</template>

<style scoped>
.lines {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: grid;
  grid-template-columns: 92px minmax(110px, 1fr) minmax(104px, 0.9fr);
  align-items: center;
  gap: 10px;
  padding: 3px 0;
  font-size: 0.9rem;
}
.name {
  font-weight: 600;
}
.whole {
  stroke: var(--hair);
  stroke-width: 2;
}
.norm {
  stroke: color-mix(in srgb, var(--leaf) 55%, var(--paper));
  stroke-width: 2;
}
.band {
  stroke: color-mix(in srgb, var(--sun) 48%, var(--paper));
  stroke-width: 8;
  stroke-linecap: round;
}
.ring {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.8;
}
.mark {
  fill: var(--leaf);
  transition: transform 0.3s ease;
}
.diamond .mark,
.triangle .mark {
  fill: var(--ember);
}
.diamond .words,
.triangle .words {
  color: var(--ember);
  font-weight: 600;
}
.words {
  line-height: 1.2;
}
</style>
