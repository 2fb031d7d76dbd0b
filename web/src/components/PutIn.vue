<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Recipe, Schemas, ShelfRow } from '../api/types'
import { grams } from '../logic/format'
import NumberField from './NumberField.vue'

/** What a sum of the workshop made goes into a recipe of the shelf, as a version of its own. */
const props = defineProps<{
  makes: NonNullable<Schemas['WorkedOut']['makes']>
  /** The food that the sum was asked about: its line is the likeliest. */
  food?: string
  shelf: readonly ShelfRow[]
  recipe?: Recipe
  isBusy: boolean
}>()
const emit = defineEmits<{
  open: []
  choose: [id: number]
  keep: [version: number, position: number | null, grams: number | null]
}>()
const isOpen = ref(false)
const versionId = ref<number>()
/** A line's place; -1 for a line of its own. */
const position = ref(-1)
const wanted = ref<number | null>(null)
const version = computed(() => props.recipe?.versions.find((one) => one.id === versionId.value))

function open(): void {
  isOpen.value = true
  emit('open')
}

function place(): void {
  position.value = version.value?.lines.findIndex((line) => line.ingredient === props.food) ?? -1
}

function keep(): void {
  if (version.value) emit('keep', version.value.id, position.value < 0 ? null : position.value, wanted.value)
}

watch(
  () => props.recipe,
  (recipe) => {
    versionId.value = recipe?.versions.at(-1)?.id
    place()
  },
  { immediate: true },
)
watch(
  () => props.makes.name,
  () => {
    wanted.value = null
    place()
  },
)
</script>

<template>
  <v-btn v-if="!isOpen" variant="outlined" size="small" @click="open">Use in a recipe</v-btn>
  <form v-else class="put" aria-label="Use in a recipe" @submit.prevent="keep">
    <p v-if="!shelf.length" class="quiet">The shelf is empty: bring a recipe in first.</p>
    <template v-else>
      <label
        ><span>recipe</span>
        <select
          aria-label="recipe"
          :value="recipe?.id"
          @change="emit('choose', Number(($event.target as HTMLSelectElement).value))"
        >
          <option v-for="row in shelf" :key="row.id" :value="row.id">{{ row.title }}</option>
        </select></label
      >
      <label
        ><span>version</span>
        <select v-model="versionId" aria-label="version" @change="place">
          <option v-for="one in recipe?.versions" :key="one.id" :value="one.id">{{ one.label }}</option>
        </select></label
      >
      <label v-if="makes.grams !== null"
        ><span>in place of</span>
        <select v-model="position" aria-label="in place of">
          <option :value="-1">nothing: a line of its own</option>
          <option v-for="(line, n) in version?.lines" :key="n" :value="n">
            {{ grams(line.grams) }} {{ line.name }}
          </option>
        </select></label
      >
      <span v-if="makes.grams !== null" class="much"
        ><span>of it</span>
        <NumberField
          v-model="wanted"
          name="How much of it goes in"
          :placeholder="String(makes.grams)"
          :max="makes.grams"
          unit="g"
          is-optional
      /></span>
      <v-btn type="submit" color="primary" variant="flat" :disabled="isBusy || !version"
        >Keep as a version</v-btn
      >
      <v-btn variant="text" size="small" @click="isOpen = false">Not now</v-btn>
    </template>
  </form>
</template>

<style scoped>
.put {
  display: flex;
  flex-wrap: wrap;
  gap: 14px 26px;
  align-items: end;
  padding: 14px 0 0;
  border-top: 1px solid var(--hair);
}
label,
.much {
  display: grid;
  gap: 2px;
}
label span,
.much > span:first-child {
  color: var(--quiet);
  font-size: 0.88rem;
}
.much :deep(input) {
  min-width: 84px;
}
select {
  font: inherit;
  color: inherit;
  max-width: 260px;
  padding: 5px 2px;
  border-bottom: 2px solid var(--sun);
  background: none;
}
</style>
