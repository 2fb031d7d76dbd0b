<script setup lang="ts">
import { ref } from 'vue'
import type { Ingredient } from '../api/types'
import { useFindFoods } from '../composables/foods'
import { number } from '../logic/format'

defineProps<{
  /** What is being looked for, for a screen reader. */
  label: string
}>()
const emit = defineEmits<{ pick: [ingredient: Ingredient] }>()
const found = ref<Ingredient[]>([])
const find = useFindFoods()

async function search(words: string): Promise<void> {
  if (words.trim().length < 2) return
  const answer = await find(words)
  if (answer) found.value = answer
}
</script>

<template>
  <v-autocomplete
    :label="label"
    :items="found"
    item-title="name"
    item-value="key"
    return-object
    no-filter
    no-data-text="Type two letters of a food"
    placeholder="another food"
    @update:search="search"
    @update:model-value="(item: Ingredient | null) => item && emit('pick', item)"
  >
    <template #item="{ props: row, item }">
      <v-list-item v-bind="row" :subtitle="`${number(item.total_sugars_g)} g sugar in 100 g`" />
    </template>
  </v-autocomplete>
</template>
