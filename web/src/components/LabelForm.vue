<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Ingredient, Label, Product } from '../api/types'
import { grams, kcal } from '../logic/format'
import IngredientPicker from './IngredientPicker.vue'
import NumberField from './NumberField.vue'

defineProps<{
  /** What the label describes, as far as it is worked out. */
  read: Product | undefined
  problem: string
}>()
const emit = defineEmits<{
  /** The label reads differently now. */
  label: [label: Label]
  keep: [label: Label]
}>()
const name = ref('')
const like = ref<Ingredient>()
const law = ref<'eu' | 'us'>('eu')
const typed = ref<Record<string, number | null>>({ basis_g: 100 })
const isCupLikeSugar = ref(false)
let timer: ReturnType<typeof setTimeout> | undefined

const FIELDS = computed(() => [
  { key: 'energy_kcal', name: 'Energy', unit: 'kcal' },
  ...(law.value === 'eu' ? [{ key: 'energy_kj', name: 'Energy', unit: 'kJ' }] : []),
  { key: 'fat_g', name: 'Fat', unit: 'g' },
  { key: 'carbohydrate_g', name: law.value === 'eu' ? 'Carbohydrate' : 'Total carbohydrate', unit: 'g' },
  { key: 'sugars_g', name: law.value === 'eu' ? 'of which sugars' : 'Total sugars', unit: 'g' },
  { key: 'added_sugars_g', name: 'Added sugars', unit: 'g' },
  { key: 'polyols_g', name: law.value === 'eu' ? 'of which polyols' : 'Sugar alcohol', unit: 'g' },
  { key: 'fibre_g', name: 'Fibre', unit: 'g' },
  { key: 'protein_g', name: 'Protein', unit: 'g' },
  { key: 'salt_g', name: 'Salt', unit: 'g' },
])

function label(): Label | undefined {
  if (!name.value.trim() || !like.value) return undefined
  const figures = Object.fromEntries(
    [...FIELDS.value.map((f) => f.key), 'cup_g'].map((key) => [key, typed.value[key] ?? null]),
  )
  return {
    name: name.value,
    like: like.value.key,
    law: law.value,
    basis_g: typed.value.basis_g ?? 100,
    is_cup_like_sugar: isCupLikeSugar.value,
    ...figures,
  }
}

function put(key: string, value: number | null): void {
  typed.value[key] = value
  changed()
}

function changed(): void {
  clearTimeout(timer)
  timer = setTimeout(() => {
    const body = label()
    if (body) emit('label', body)
  }, 250)
}

function keep(): void {
  const body = label()
  if (body) emit('keep', body)
}
</script>

<template>
  <form class="form" @submit.prevent="keep" @input="changed" @change="changed">
    <div>
      <h2>What the pack says</h2>
      <v-text-field v-model="name" label="Name of the product" maxlength="80" />
      <IngredientPicker
        label="It is something like"
        @pick="
          (item) => {
            like = item
            changed()
          }
        "
      />
      <fieldset>
        <legend class="hidden-words">Kind of label</legend>
        <label><input v-model="law" type="radio" value="eu" /> EU: fibre apart from carbohydrate</label>
        <label><input v-model="law" type="radio" value="us" /> US: fibre within carbohydrate</label>
      </fieldset>
      <div class="grid">
        <NumberField
          :model-value="typed.basis_g ?? null"
          :label="law === 'us' ? 'Serving' : 'Figures are for'"
          :min="0.1"
          :max="1000"
          unit="g"
          is-live
          @update:model-value="put('basis_g', $event)"
        />
        <NumberField
          v-for="field in FIELDS"
          :key="field.key"
          :model-value="typed[field.key] ?? null"
          :label="`${field.name}, ${field.unit}`"
          is-optional
          is-live
          @update:model-value="put(field.key, $event)"
        />
        <NumberField
          :model-value="typed.cup_g ?? null"
          label="A US cup weighs, g"
          :max="600"
          is-optional
          is-live
          @update:model-value="put('cup_g', $event)"
        />
      </div>
      <label class="like"
        ><input v-model="isCupLikeSugar" type="checkbox" /> The pack says: use one cup like a cup of
        sugar</label
      >
    </div>
    <div>
      <h2>What that makes</h2>
      <p v-if="problem" class="told" role="alert">{{ problem }}</p>
      <template v-else-if="read">
        <ul v-if="read.contradictions.length" class="told">
          <li v-for="item in read.contradictions" :key="item">{{ item }}</li>
        </ul>
        <p class="sum">
          <b class="display">{{ kcal(read.ingredient.energy_kcal) }}</b>,
          <b class="display">{{ grams(read.ingredient.total_sugars_g) }}</b> sugars,
          {{ grams(read.ingredient.free_sugars_who_g) }} of them free,
          {{ grams(read.ingredient.water_g) }} water in 100 g
        </p>
        <p v-if="read.estimated.length" class="quiet">
          Not on the pack, so estimated:
          {{ read.estimated.map((e) => e.replace(/_(g|kcal)$/, '').replaceAll('_', ' ')).join(', ') }}.
        </p>
      </template>
      <p v-else class="quiet">
        Give it a name and something it is like; then type what the pack says. The rest is taken from that
        food and marked as an estimate.
      </p>
      <v-btn type="submit" variant="flat" color="primary" :disabled="!read || !!problem"
        >Keep it in my pantry</v-btn
      >
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 1.3fr 1fr;
  gap: 48px;
}
.form > div {
  display: grid;
  gap: 12px;
  align-content: start;
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 20px 18px;
}
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
}
.form .v-btn {
  justify-self: start;
}
.sum b {
  font-size: 1.4rem;
}
ul.told {
  padding-left: 28px;
}
@media (max-width: 800px) {
  .form {
    grid-template-columns: minmax(0, 1fr);
    gap: 20px;
  }
}
</style>
