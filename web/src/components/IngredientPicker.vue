<script setup lang="ts">
import { ref } from 'vue'
import { api, ask, type Ingredient } from '../api/client'
import { useLatest } from '../composables/useLatest'
import { number } from '../logic/format'

defineProps<{
  /** What is being looked for, for a screen reader. */
  label: string
}>()
const emit = defineEmits<{ pick: [ingredient: Ingredient] }>()
const found = ref<Ingredient[]>([])
const latest = useLatest<Ingredient[]>()

async function search(words: string): Promise<void> {
  if (words.trim().length < 2) return
  const answer = await latest(
    async (signal) =>
      (await ask(api.GET('/api/pantry', { params: { query: { q: words } }, signal }))).ingredients,
  )
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
