<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schedule } from '../api/types'
import { bars, clockTime, later } from '../logic/clock'

const props = defineProps<{
  schedule: Schedule
  /** When some tasks begin by the cook's own word, by their ids. */
  pins: Record<string, string>
}>()
const emit = defineEmits<{ pin: [id: string, iso: string] }>()
const line = ref<HTMLElement>()
const dragged = ref<{ id: string; from: number; by: number }>()

type Task = Schedule['tasks'][number]

function grab(event: PointerEvent, task: Task): void {
  ;(event.target as HTMLElement).setPointerCapture(event.pointerId)
  dragged.value = { id: task.id, from: event.clientX, by: 0 }
}

function drag(event: PointerEvent): void {
  if (dragged.value) dragged.value = { ...dragged.value, by: event.clientX - dragged.value.from }
}

/** Lets go of a bar: what it was moved by becomes minutes, on a line where long waits are drawn shorter. */
function drop(task: Task, left: number): void {
  const moved = dragged.value
  dragged.value = undefined
  const width = line.value?.clientWidth
  if (!moved || !width || Math.abs(moved.by) < 4) return
  const minutes = drawn.value.minutesAt(left + moved.by / width) - drawn.value.minutesAt(left)
  move(task, minutes)
}

function move(task: Task, minutes: number): void {
  const iso = later(task.start, minutes)
  if (iso !== task.start.slice(0, 16)) emit('pin', task.id, iso)
}
const served = computed(() => props.schedule.tasks.reduce((last, t) => (t.end > last ? t.end : last), ''))
const drawn = computed(() => bars(props.schedule.tasks))
const rows = computed(() => Math.max(...drawn.value.bars.map((bar) => bar.row), 0) + 1)
const WHERE: Record<string, string> = {
  oven: 'in the oven',
  fridge: 'in the fridge',
  freezer: 'in the freezer',
  hob: 'on the heat',
}

function where(task: Schedule['tasks'][number]): string {
  if (task.occupies === 'oven' && !/\bbak|roast/i.test(task.text)) return 'hot at'
  const place = WHERE[task.occupies]
  return place ? `${place} until` : ''
}
</script>

<template>
  <div class="clock">
    <div ref="line" class="line" :style="{ height: `${rows * 26 + 34}px` }" aria-hidden="true">
      <span v-for="mark in drawn.marks" :key="mark.iso" class="mark" :style="{ left: `${mark.at * 100}%` }">{{
        clockTime(mark.iso, served)
      }}</span>
      <span
        v-for="bar in drawn.bars"
        :key="bar.task.id"
        class="bar"
        :class="[bar.task.occupies, { pinned: bar.task.id in pins }]"
        :title="`${bar.task.text} (drag it to another time)`"
        :style="{
          left: `${bar.left * 100}%`,
          width: `${bar.width * 100}%`,
          top: `${bar.row * 26 + 28}px`,
          transform: dragged?.id === bar.task.id ? `translateX(${dragged.by}px)` : undefined,
        }"
        @pointerdown.prevent="grab($event, bar.task)"
        @pointermove="drag"
        @pointerup="drop(bar.task, bar.left)"
        @pointercancel="dragged = undefined"
      >
        <i :style="{ width: `${bar.width ? (bar.hands / bar.width) * 100 : 0}%` }"></i>
      </span>
    </div>
    <p class="quiet small key">
      <i class="swatch hands"></i> your hands <i class="swatch oven"></i> oven
      <i class="swatch fridge"></i> cold <i class="swatch"></i> waits by itself; long waits are drawn shorter
    </p>
    <ol class="list">
      <li v-for="task in schedule.tasks" :key="task.id">
        <b
          tabindex="0"
          role="button"
          :class="{ pinned: task.id in pins }"
          :aria-label="`${clockTime(task.start, served)}, ${task.text.slice(0, 60)}: arrow left or right moves it by five minutes`"
          @keydown.left.prevent="move(task, -5)"
          @keydown.right.prevent="move(task, 5)"
          >{{ clockTime(task.start, served) }}</b
        >
        <span
          >{{ task.text }}
          <span v-if="where(task)" class="quiet small"
            >{{ where(task) }} {{ clockTime(task.end, served) }}</span
          >
        </span>
      </li>
      <li class="served">
        <b>{{ clockTime(served, served) }}</b><span>on the table</span>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.line {
  position: relative;
  border-bottom: 1px solid var(--hair);
  margin-right: 30px;
}
.mark {
  position: absolute;
  top: 0;
  font-size: 0.82rem;
  color: var(--quiet);
  border-left: 1px solid var(--hair);
  padding-left: 4px;
  height: 100%;
  white-space: nowrap;
}
.bar {
  cursor: grab;
  touch-action: none;
  position: absolute;
  height: 20px;
  min-width: 3px;
  border-radius: 5px;
  background: var(--band);
  overflow: hidden;
  border: 1px solid var(--hair);
}
.swatch {
  display: inline-block;
  width: 14px;
  height: 14px;
  vertical-align: -2px;
  border-radius: 4px;
  border: 1px solid var(--hair);
  background: var(--band);
  margin-left: 10px;
}
.bar i {
  display: block;
  height: 100%;
}
.bar i,
.swatch.hands {
  background: rgb(var(--v-theme-primary));
}
.bar.oven,
.swatch.oven {
  background: var(--sun);
}
.bar.hob {
  background: color-mix(in srgb, var(--sun) 55%, var(--band));
}
.bar.fridge,
.bar.freezer,
.swatch.fridge {
  background: color-mix(in srgb, var(--water) 45%, var(--paper));
}
.key {
  margin: 8px 0 14px;
}
.list {
  list-style: none;
  padding: 0;
  margin: 0;
}
.list li {
  display: grid;
  grid-template-columns: 6.2em 1fr;
  gap: 10px;
  padding: 7px 0;
  border-top: 1px solid var(--hair);
}
.list b {
  font-family: var(--display);
}
.served {
  font-weight: 700;
}
.bar.pinned {
  outline: 2px solid var(--ember);
}
b.pinned {
  color: var(--ember);
}
</style>
