<script setup lang="ts">
import { computed } from 'vue'
import type { Ledger } from '../api/types'
import { longDay } from '../logic/days'
import { grams, number, plural } from '../logic/format'

const props = defineProps<{ servings: Ledger['servings'] }>()
defineEmits<{ remove: [id: number] }>()

const days = computed(() => {
  const found = new Map<string, Ledger['servings']>()
  for (const row of props.servings) found.set(row.eaten_on, [...(found.get(row.eaten_on) ?? []), row])
  return [...found].map(([day, rows]) => ({ day, rows }))
})
</script>

<template>
  <section v-for="group in days" :key="group.day">
    <h3>{{ longDay(group.day) }}</h3>
    <ul>
      <li v-for="row in group.rows" :key="row.id">
        <span class="what"
          >{{ number(row.count) }} {{ plural(row.count, row.unit) }} of {{ row.title
          }}<span class="quiet">, {{ row.label }}{{ row.who && `, ${row.who}` }}</span></span
        >
        <span class="figure">{{ grams(row.free_sugars_who_g) }}</span>
        <span class="figure saved">{{
          row.saved_free_sugars_who_g > 0.05 ? `${grams(row.saved_free_sugars_who_g)} saved` : ''
        }}</span>
        <v-btn
          size="small"
          variant="text"
          :aria-label="`Take back ${number(row.count)} ${row.unit} of ${row.title}`"
          @click="$emit('remove', row.id)"
          >take back</v-btn
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
h3 {
  font-size: 1rem;
  margin-top: 16px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 1fr 60px 92px 96px;
  gap: 8px;
  align-items: center;
  border-bottom: 1px solid var(--hair);
}
.figure {
  text-align: right;
}
.saved {
  color: var(--leaf);
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 1fr 56px 96px;
    padding: 6px 0;
  }
  .saved {
    display: none;
  }
}
</style>
