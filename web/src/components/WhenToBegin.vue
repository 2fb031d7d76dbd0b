<script setup lang="ts">
import DayClock from './DayClock.vue'
import { minutesText } from '../logic/clock'
import { plural } from '../logic/format'
import type { Schedule, Settings } from '../api/types'

defineProps<{
  serve: string
  sleep: string
  others: Settings['planned']
  besideKey: string
  pins: Record<string, string>
  schedule: Schedule | undefined
  calendar: string
}>()
const emit = defineEmits<{
  serve: [iso: string]
  sleep: [from: string, to: string]
  beside: [key: string]
  pin: [id: string, iso: string]
  letGo: []
}>()
const entered = (event: Event): string => (event.target as HTMLInputElement | HTMLSelectElement).value
</script>

<template>
  <section class="no-print" aria-labelledby="clock-title">
    <h2 id="clock-title">When to begin</h2>
    <p class="asks">
      <label
        >on the table at <input :value="serve" type="datetime-local" @change="emit('serve', entered($event))"
      /></label>
      <label
        >asleep from
        <input
          type="time"
          :value="sleep.slice(0, 5)"
          @change="emit('sleep', entered($event), sleep.slice(6))"
      /></label>
      <label
        >to
        <input
          type="time"
          :value="sleep.slice(6)"
          @change="emit('sleep', sleep.slice(0, 5), entered($event))"
      /></label>
    </p>
    <p v-if="others.length" class="asks">
      <label
        >on one day with
        <select :value="besideKey" @change="emit('beside', entered($event))">
          <option value="">nothing else</option>
          <option v-for="bake in others" :key="bake.version" :value="`${bake.recipe}/${bake.version}`">
            {{ bake.title }}, {{ bake.label }}
          </option>
        </select></label
      >
    </p>
    <p v-if="Object.keys(pins).length" class="small">
      {{ Object.keys(pins).length }} {{ plural(Object.keys(pins).length, 'step') }} moved by you.
      <button type="button" class="plain" @click="emit('letGo')">Plan all anew</button>
    </p>
    <template v-if="schedule?.feasible && schedule.start">
      <p class="begin">
        begin at
        <b class="display">{{ schedule.start.slice(11, 16) }}</b>
        <template v-if="schedule.start.slice(0, 10) !== serve.slice(0, 10)"> the day before</template>,
        {{ minutesText(schedule.makespan_min ?? 0) }} ahead
        <a :href="calendar" class="plain small">into a calendar</a>
      </p>
      <DayClock :schedule="schedule" :pins="pins" @pin="(id, iso) => emit('pin', id, iso)" />
    </template>
    <div v-else-if="schedule" class="problem">
      <p>
        It can’t be ready by then:
        <template v-for="(clash, n) in schedule.clashes" :key="clash"
          ><template v-if="n">; </template>{{ clash }}</template
        >.
      </p>
      <v-btn
        v-if="schedule.earliest"
        size="small"
        variant="outlined"
        @click="emit('serve', schedule.earliest)"
        >Serve at {{ schedule.earliest.slice(11, 16) }} on {{ schedule.earliest.slice(0, 10) }} instead</v-btn
      >
    </div>
  </section>
</template>

<style scoped>
.asks {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
}
input[type='datetime-local'],
input[type='time'] {
  font: inherit;
  color: inherit;
  border-bottom: 2px solid var(--sun);
  padding: 2px 4px;
  background: none;
}
.begin {
  margin: 14px 0 10px;
}
.begin b {
  font-size: 2.2rem;
}
.plain {
  color: inherit;
}
.problem {
  padding: 12px 0;
}
h2 {
  margin-bottom: 8px;
}
</style>
