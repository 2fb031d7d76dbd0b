<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Choices } from '../api/client'
import { percent } from '../logic/format'
import { useBench, type BenchGoals } from '../stores/bench'

const props = defineProps<{ goals: BenchGoals; choices: Choices }>()
const emit = defineEmits<{ change: [changes: Partial<BenchGoals>] }>()
const bench = useBench()
const MOST_PERCENT = 80

const path = computed(() => props.choices.paths.find((p) => p.key === props.goals.path))
/** What the main component's kind of dessert takes of each. */
const usual = computed(() => {
  const family = bench.plan?.balance[0]?.family
  return props.choices.families.find((f) => f.key === family)?.caps ?? {}
})

/** What was typed that is no share of a batter, and where. */
const wrong = ref<{ kind: string; text: string }>()

function shownOf(kind: string): string {
  if (wrong.value?.kind === kind) return wrong.value.text
  const share = props.goals.caps[kind]
  return share === undefined ? '' : String(Math.round(100 * share))
}

function setCap(kind: string, text: string): void {
  const value = Number(text.replace(',', '.'))
  const isSet = text.trim() !== ''
  wrong.value = isSet && !(value >= 0 && value <= MOST_PERCENT) ? { kind, text } : undefined
  if (wrong.value) return
  const others = Object.entries(props.goals.caps).filter(([key]) => key !== kind)
  const caps = Object.fromEntries(isSet ? [...others, [kind, value / 100] as const] : others)
  emit('change', { caps })
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
      <input
        type="number"
        min="0"
        :max="MOST_PERCENT"
        :aria-invalid="wrong?.kind === cap.key"
        step="1"
        :aria-label="`Most ${cap.name}, per cent of the batter`"
        :placeholder="percent(usual[cap.key] ?? 0)"
        :value="shownOf(cap.key)"
        @change="setCap(cap.key, ($event.target as HTMLInputElement).value)"
      />
    </label>
    <p v-if="wrong" class="small wrong" role="alert">
      {{ choices.caps.find((cap) => cap.key === wrong?.kind)?.name }}: 0 to {{ MOST_PERCENT }} % of the
      batter, or empty. Nothing was changed.
    </p>
    <p class="small">
      Empty is what bakers find this kind of dessert takes; more is told and may turn out gummy.
    </p>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin-top: 12px;
}
legend {
  font-weight: 700;
  margin-bottom: 6px;
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
input,
select {
  width: 84px;
  color: inherit;
  background: var(--paper);
  border-bottom: 2px solid var(--sun);
}
select {
  width: auto;
}
.wrong {
  color: var(--ember);
}
.wrong::first-letter {
  text-transform: uppercase;
}
input::placeholder {
  color: var(--quiet);
  opacity: 1;
}
</style>
