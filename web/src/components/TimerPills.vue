<script setup lang="ts">
import type { Timer } from '../api/types'
import { countdown } from '../logic/clock'

defineProps<{ timers: readonly Timer[]; isLarge?: boolean }>()
defineEmits<{ stop: [timer: Timer] }>()
</script>

<template>
  <ul class="timers" :class="{ large: isLarge }" aria-label="Timers">
    <li v-for="timer in timers" :key="timer.id" :class="{ rings: timer.left_s <= 0 }">
      <span class="name">{{ timer.name }}<template v-if="timer.repeats">, again in</template></span>
      <b role="timer" :aria-label="`${timer.name}: ${countdown(timer.left_s)} left`">{{
        countdown(timer.left_s)
      }}</b>
      <button type="button" :aria-label="`Stop the timer ${timer.name}`" @click="$emit('stop', timer)">
        {{ timer.left_s <= 0 ? 'Done' : 'Stop' }}
      </button>
    </li>
  </ul>
</template>

<style scoped>
.timers {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
li {
  display: flex;
  align-items: center;
  gap: 10px;
  max-width: 100%;
  padding: 4px 6px 4px 14px;
  border: 1px solid var(--hair);
  border-radius: 999px;
  background: var(--card);
  color: var(--ink);
}
b {
  font-family: var(--display);
  font-size: 1.15rem;
  font-feature-settings: 'tnum';
}
.name {
  min-width: 0;
  max-width: 22ch;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
button {
  padding: 6px 12px;
  border-radius: 999px;
  background: var(--band);
}
.rings {
  border-color: var(--sun);
  box-shadow: 0 0 0 2px var(--sun);
}
.large li {
  padding: 8px 10px 8px 22px;
  font-size: 1.3rem;
}
.large b {
  font-size: 2rem;
}
.large button {
  min-height: 72px;
  min-width: 96px;
}
</style>
