<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Method } from '../api/types'
import { ovenHeat } from '../logic/format'
import HeatField from './HeatField.vue'
import NumberField from './NumberField.vue'

const props = defineProps<{ method: Method }>()
const emit = defineEmits<{ change: [method: Method] }>()
const isEditing = ref(false)
const steps = ref('')
const oven = ref<number | null>(null)
const isFan = ref(false)
const low = ref<number | null>(null)
const high = ref<number | null>(null)

const span = (from: number, to: number): string => (from === to ? `${from}` : `${from}–${to}`)
const facts = computed(() =>
  [
    props.method.oven &&
      `oven ${ovenHeat(props.method.oven.temperature_c)}${props.method.oven.is_fan ? ', fan' : ''}`,
    props.method.bake_minutes &&
      `${span(props.method.bake_minutes[0] ?? 0, props.method.bake_minutes[1] ?? 0)} minutes`,
    props.method.tin?.text,
  ]
    .filter(Boolean)
    .join(' · '),
)

function edit(): void {
  steps.value = props.method.steps.map((step) => step.text).join('\n')
  oven.value = props.method.oven?.temperature_c ?? null
  isFan.value = props.method.oven?.is_fan ?? false
  low.value = props.method.bake_minutes?.[0] ?? null
  high.value = props.method.bake_minutes?.[1] ?? null
  isEditing.value = true
}

function settle(): void {
  const known = new Map(props.method.steps.map((step) => [step.text, step]))
  const texts = steps.value
    .split(/\n+/)
    .map((text) => text.trim())
    .filter(Boolean)
  const from = low.value ?? high.value
  emit('change', {
    // The times of a step that reads differently are read anew.
    steps: texts.map((text) => known.get(text) ?? { text }) as Method['steps'],
    oven: oven.value === null ? null : { temperature_c: oven.value, is_fan: isFan.value },
    bake_minutes: from === null ? null : [from, high.value ?? from],
    tin: props.method.tin,
  })
  isEditing.value = false
}
</script>

<template>
  <section class="method" aria-labelledby="method-title">
    <header>
      <h2 id="method-title">The method</h2>
      <span class="quiet small"
        >as the recipe has it<template v-if="facts">; {{ facts }}</template></span
      >
      <v-btn v-if="!isEditing" size="small" variant="text" aria-label="Edit the method" @click="edit"
        >Edit</v-btn
      >
    </header>
    <form v-if="isEditing" @submit.prevent="settle">
      <v-textarea v-model="steps" label="Steps, one on each line" variant="underlined" auto-grow rows="4" />
      <p class="facts">
        <HeatField v-model="oven" label="Oven" :min="40" :max="350" is-optional />
        <label><input v-model="isFan" type="checkbox" /> fan</label>
        <NumberField v-model="low" label="Bakes from, minutes" :max="1000" is-optional />
        <NumberField v-model="high" label="to" :max="1000" is-optional />
      </p>
      <span class="actions">
        <v-btn type="submit" size="small" color="primary" variant="flat">Keep the method</v-btn>
        <v-btn size="small" variant="text" @click="isEditing = false">Leave it</v-btn>
      </span>
    </form>
    <ol v-else-if="method.steps.length">
      <li v-for="(step, n) in method.steps" :key="n">{{ step.text }}</li>
    </ol>
    <p v-else class="quiet">The recipe tells no method. Edit writes one down.</p>
  </section>
</template>

<style scoped>
.method {
  content-visibility: auto;
  contain-intrinsic-height: auto 260px;
  margin-top: 26px;
  border-top: 1px solid var(--hair);
  padding-top: 14px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 14px;
}
ol {
  padding-left: 1.4em;
  max-width: 62ch;
}
li {
  padding: 3px 0;
}
.actions {
  display: block;
  margin-top: 12px;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 18px;
  align-items: end;
}
.facts > :deep(.v-input) {
  flex: 0 1 150px;
}
</style>
