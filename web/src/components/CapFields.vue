<script setup lang="ts">
import { computed } from 'vue'
import type { BenchGoals, Choices } from '../api/types'
import { percent } from '../logic/format'
import NumberField from './NumberField.vue'

const props = defineProps<{ goals: BenchGoals; choices: Choices; family: string | undefined }>()
const emit = defineEmits<{ change: [changes: Partial<BenchGoals>] }>()
const MOST_PERCENT = 80

const path = computed(() => props.choices.paths.find((p) => p.key === props.goals.path))
/** What the main component's kind of dessert takes of each. */
const usual = computed(() => props.choices.families.find((f) => f.key === props.family)?.caps ?? {})

function setCap(kind: string, value: number | null): void {
  const others = Object.entries(props.goals.caps).filter(([key]) => key !== kind)
  const caps = Object.fromEntries(value === null ? others : [...others, [kind, value / 100] as const])
  emit('change', { caps })
}

function shareOf(kind: string): number | null {
  const share = props.goals.caps[kind]
  return share === undefined ? null : Math.round(100 * share)
}
</script>

<template>
  <fieldset>
    <legend>How much of it</legend>
    <label class="row"
      ><span>New sweeteners at most</span>
      <select
        aria-label="New sweeteners at most"
        :value="goals.most_new ?? ''"
        @change="
          emit('change', {
            most_new: ($event.target as HTMLSelectElement).value
              ? Number(($event.target as HTMLSelectElement).value)
              : null,
          })
        "
      >
        <option value="">{{ path?.most_new }}, as usual</option>
        <option v-for="count in [1, 2, 3, 4, 5]" :key="count" :value="count">{{ count }}</option>
      </select>
    </label>
    <label v-for="cap in choices.caps" :key="cap.key" class="row"
      ><span>{{ cap.name }}, % of the batter</span>
      <NumberField
        :model-value="shareOf(cap.key)"
        :name="`Most ${cap.name}, per cent of the batter`"
        :max="MOST_PERCENT"
        unit="%"
        :placeholder="percent(usual[cap.key] ?? 0)"
        is-inline
        is-optional
        @update:model-value="setCap(cap.key, $event)"
      />
    </label>
    <p class="small">
      Empty is what bakers find this kind of dessert takes, of fruit less in a pale crumb; more is told and
      may turn out gummy.
    </p>
  </fieldset>
</template>

<style scoped>
fieldset {
  margin-top: 12px;
}
.row {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 3px 0;
}
.row span::first-letter {
  text-transform: uppercase;
}
select {
  color: inherit;
  background: var(--paper);
  border-bottom: 2px solid var(--sun);
}
select {
  width: auto;
}
</style>
