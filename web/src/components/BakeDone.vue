<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { BakeRecord, Schemas } from '../api/types'
import { plural } from '../logic/format'
import HeatField from './HeatField.vue'
import NumberField from './NumberField.vue'
import TapWords from './TapWords.vue'

const props = defineProps<{ bake: BakeRecord; tins: string[]; currency: string }>()
const emit = defineEmits<{
  change: [changes: Schemas['BakeChangesIn']]
  photo: [content: string]
  removePhoto: [id: number]
}>()
const FEELS = [
  { key: 'holds', name: 'holds its shape' },
  { key: 'drops', name: 'drops after 2 or 3 seconds' },
  { key: 'pours', name: 'pours' },
] as const
/** One tap each; free words come after. */
const WORDS = [
  'rose well',
  'cracked on top',
  'browned early',
  'stuck to the tin',
  'cut cleanly',
  'sank a little',
  'batter was thick',
].map((word) => ({ key: word, name: word }))
const texts = ref({ tin: '', swapped: '', notes: '' })

/** What is typed and not kept yet is not written over by the answer to something older. */
watch(
  () => props.bake,
  (bake, before) => {
    for (const name of ['tin', 'swapped', 'notes'] as const) {
      if (bake.id !== before?.id || texts.value[name] === before[name]) texts.value[name] = bake[name]
    }
  },
  { immediate: true },
)

const noted = computed(() => texts.value.notes.split(', ').filter(Boolean))

function tap(word: string): void {
  texts.value.notes = (
    noted.value.includes(word) ? noted.value.filter((part) => part !== word) : [...noted.value, word]
  ).join(', ')
  keep('notes')
}

function keep(name: 'tin' | 'swapped' | 'notes'): void {
  if (texts.value[name] !== props.bake[name]) emit('change', { [name]: texts.value[name] })
}

/** Reads the chosen file and hands it on as base64; the server makes it small and takes out where it was taken. */
function choose(event: Event): void {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  if (!file) return
  const reader = new FileReader()
  reader.onload = () => emit('photo', String(reader.result).split(',')[1] ?? '')
  reader.readAsDataURL(file)
  field.value = ''
}
</script>

<template>
  <div class="done">
    <p class="line">
      The batter
      <TapWords
        label="How the batter felt"
        :words="FEELS"
        :chosen="[bake.feel]"
        @tap="emit('change', { feel: bake.feel === $event ? '' : ($event as typeof bake.feel) })"
      />
    </p>
    <p class="line">
      <span
        >baked
        <NumberField
          :model-value="bake.minutes"
          name="Minutes that it baked"
          unit="min"
          :max="6000"
          is-inline
          is-optional
          @update:model-value="emit('change', { minutes: $event })"
      /></span>
      <span
        >at
        <HeatField
          :model-value="bake.oven_c"
          name="What the oven's dial said"
          :min="0"
          :max="400"
          is-inline
          is-optional
          @update:model-value="emit('change', { oven_c: $event })"
      /></span>
      <span v-if="bake.portions.length === 1"
        >cut into
        <NumberField
          :model-value="bake.portions[0]?.servings ?? null"
          name="Pieces that it was cut into"
          :min="1"
          :max="1000"
          is-inline
          is-whole
          @update:model-value="$event && emit('change', { pieces: $event })"
        />
        {{ plural(2, bake.unit) }}</span
      >
      <span
        >left over
        <NumberField
          :model-value="bake.leftovers"
          name="Portions left over"
          :max="1000"
          is-inline
          is-optional
          @update:model-value="emit('change', { leftovers: $event })"
      /></span>
      <span
        >cost
        <NumberField
          :model-value="bake.cost"
          name="What it cost"
          :unit="currency || undefined"
          is-inline
          is-optional
          @update:model-value="emit('change', { cost: $event })"
      /></span>
    </p>
    <div class="two">
      <v-combobox
        v-model="texts.tin"
        :items="tins"
        label="Tin"
        maxlength="120"
        hide-details
        @blur="keep('tin')"
      />
      <v-text-field
        v-model="texts.swapped"
        label="Swapped on the day"
        maxlength="1000"
        hide-details
        @blur="keep('swapped')"
      />
    </div>
    <TapWords label="Notes of one tap" :words="WORDS" :chosen="noted" @tap="tap" />
    <v-text-field v-model="texts.notes" label="Notes" maxlength="4000" hide-details @blur="keep('notes')" />
    <div class="photos">
      <figure v-for="id in bake.photos" :key="id">
        <img :src="`/api/photos/${id}`" :alt="`${bake.title}, as it came out`" />
        <button
          type="button"
          class="off"
          :aria-label="`Take the picture of ${bake.title} away`"
          @click="emit('removePhoto', id)"
        >
          ×
        </button>
      </figure>
      <label class="add"
        >Add a picture<input type="file" accept="image/jpeg,image/png,image/webp" @change="choose"
      /></label>
    </div>
  </div>
</template>

<style scoped>
.done {
  display: grid;
  gap: 10px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: baseline;
  margin: 0;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1.4fr;
  gap: 14px;
}
.photos {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
figure {
  position: relative;
  margin: 0;
}
img {
  height: 116px;
  border-radius: 14px;
  display: block;
}
.off {
  position: absolute;
  top: 4px;
  right: 4px;
  width: 28px;
  height: 28px;
  border-radius: 50%;
  background: var(--paper);
}
.add {
  padding: 10px 16px;
  border: 2px dashed var(--hair);
  border-radius: 14px;
  cursor: pointer;
}
.add input {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.add:focus-within {
  outline: 3px solid var(--water);
}
</style>
