<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Ingredient, Schemas, UsualSlips } from '../api/types'
import { isoDay } from '../logic/days'
import { draft, keepDraft } from '../logic/draft'
import { grams } from '../logic/format'
import IngredientPicker from './IngredientPicker.vue'
import NumberField from './NumberField.vue'

const props = defineProps<{ usual: UsualSlips; people: string[]; isSending: boolean }>()
const emit = defineEmits<{ log: [slip: Schemas['SlipIn']] }>()
const chosen = ref('')
const who = ref(draft('who', ''))
const times = ref(1)
const isOther = ref(false)
const name = ref('')
const food = ref<string | null>(null)
const weight = ref<number | null>(20)
const sugars = ref<number | null>(null)
const kind = ref('refined')
const slip = computed(() => props.usual.slips.find((s) => s.key === chosen.value))

function now(): { eaten_on: string; eaten_at: number; who: string } {
  const date = new Date()
  keepDraft('who', who.value)
  return { eaten_on: isoDay(date), eaten_at: 60 * date.getHours() + date.getMinutes(), who: who.value }
}

function log(): void {
  if (!slip.value || props.isSending) return
  const { name: said, grams: g, energy_kcal, sugars_g, kind: sort } = slip.value
  const n = times.value
  emit('log', {
    ...now(),
    name: said,
    grams: g * n,
    energy_kcal: energy_kcal * n,
    sugars_g: sugars_g * n,
    kind: sort,
    ingredient: '',
  })
}

function logOther(): void {
  if (!weight.value || props.isSending) return
  emit('log', {
    ...now(),
    name: name.value,
    grams: weight.value,
    ingredient: food.value ?? '',
    sugars_g: food.value ? null : sugars.value,
    kind: kind.value,
  })
}

function pick(ingredient: Ingredient): void {
  food.value = ingredient.key
  name.value = ingredient.name
}

/** The next slip is another one. */
function logged(): void {
  chosen.value = ''
  times.value = 1
  name.value = ''
  food.value = null
}
defineExpose({ logged })
</script>

<template>
  <aside class="slip" aria-labelledby="slip-title">
    <h2 id="slip-title">Something else</h2>
    <p class="quiet small">What was not baked here counts too. No shame in it: it is a diary.</p>
    <div class="usual" role="group" aria-label="Usual slips">
      <button
        v-for="one in usual.slips"
        :key="one.key"
        type="button"
        :class="{ chosen: one.key === chosen }"
        :aria-pressed="one.key === chosen"
        @click="chosen = one.key === chosen ? '' : one.key"
      >
        {{ one.name }}
      </button>
    </div>
    <form v-if="slip" class="line" @submit.prevent="log">
      <span
        ><NumberField v-model="times" name="How many" :min="0.5" :max="20" :step="0.5" is-inline /> ×</span
      >
      <v-combobox v-model="who" :items="people" label="Who" maxlength="60" hide-details />
      <v-btn type="submit" variant="flat" color="primary" :loading="isSending"
        >Log {{ grams(slip.sugars_g * times) }}</v-btn
      >
    </form>
    <button type="button" class="more" :aria-expanded="isOther" @click="isOther = !isOther">
      {{ isOther ? 'less' : 'by its pack, or a food of the pantry' }}
    </button>
    <form v-if="isOther" class="other" @submit.prevent="logOther">
      <v-text-field v-model="name" label="What it was" maxlength="120" hide-details />
      <IngredientPicker label="or a food of the pantry" @pick="pick" />
      <p class="line">
        <span
          ><NumberField v-model="weight" name="How much" :min="0.1" :max="20000" unit="g" is-inline
        /></span>
        <template v-if="!food">
          <span
            >with
            <NumberField v-model="sugars" name="Sugar in it" :max="20000" unit="g" is-inline is-optional />
            of</span
          >
          <select v-model="kind" aria-label="Which sugar it is">
            <option v-for="one in usual.kinds" :key="one.key" :value="one.key">{{ one.name }}</option>
          </select>
        </template>
      </p>
      <v-combobox v-model="who" :items="people" label="Who" maxlength="60" hide-details />
      <v-btn type="submit" variant="tonal" :loading="isSending">Log it</v-btn>
    </form>
  </aside>
</template>

<style scoped>
.slip {
  padding: 18px 20px;
  border-radius: 20px;
  background: var(--band);
}
.usual {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.usual button {
  padding: 7px 12px;
  border-radius: 999px;
  background: var(--paper);
}
.usual button.chosen {
  background: var(--sun);
  color: #2c1a10;
  font-weight: 700;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  margin: 12px 0;
}
.line > .v-combobox {
  min-width: 120px;
}
.more {
  margin-top: 10px;
  text-decoration: underline;
}
.other {
  display: grid;
  gap: 10px;
  padding-top: 10px;
}
select {
  max-width: 100%;
  border-bottom: 1px dotted var(--quiet);
}
</style>
