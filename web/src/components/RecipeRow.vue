<script setup lang="ts">
import { mdiTrashCanOutline } from '@mdi/js'
import { computed } from 'vue'
import type { ShelfRow } from '../api/types'
import { change, grams, kcal, plural } from '../logic/format'

const props = defineProps<{
  recipe: ShelfRow
  /** The most free sugar of any portion on the shelf [g]: the full length of a bar. */
  most: number
}>()
defineEmits<{ remove: [] }>()

const original = computed(() => props.recipe.versions[0])
const newest = computed(() => (props.recipe.versions.length > 1 ? props.recipe.versions.at(-1) : undefined))
const before = computed(() => original.value?.per_serving.free_sugars_who_g ?? 0)
const after = computed(() => newest.value?.per_serving.free_sugars_who_g ?? 0)
</script>

<template>
  <li class="row">
    <router-link :to="`/recipes/${recipe.id}/bench`" class="title display">{{ recipe.title }}</router-link>
    <span class="makes quiet"
      >{{ original?.servings }} {{ plural(original?.servings ?? 1, original?.unit ?? '') }},
      {{ kcal(original?.per_serving.energy_kcal ?? 0) }} each</span
    >
    <span
      class="bars"
      role="img"
      :aria-label="`${grams(before)} free sugar in one ${original?.unit}${newest ? `, ${grams(after)} reworked` : ''}`"
    >
      <span class="bar old" :style="{ width: `${(70 * before) / most}%` }" /><span class="figure">{{
        grams(before)
      }}</span>
      <template v-if="newest"
        ><span class="bar new" :style="{ width: `${(70 * after) / most}%` }" /><span class="figure"
          ><b>{{ grams(after) }}</b> {{ change(before, after) }}</span
        ></template
      >
    </span>
    <span class="versions quiet"
      >{{ newest ? newest.label : 'not reworked yet'
      }}<template v-if="recipe.versions.length > 2"
        >, {{ recipe.versions.length - 1 }} reworks</template
      ></span
    >
    <v-btn
      :icon="mdiTrashCanOutline"
      size="small"
      variant="text"
      :aria-label="`Take ${recipe.title} off the shelf`"
      @click="$emit('remove')"
    />
  </li>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(200px, 1.15fr) minmax(200px, 1.2fr) minmax(120px, 0.7fr) 44px;
  grid-template-areas: 'title bars versions bin' 'makes bars versions bin';
  gap: 0 20px;
  align-items: center;
  padding: 14px 0;
  border-bottom: 1px solid var(--hair);
}
.title {
  grid-area: title;
  font-size: 1.3rem;
  color: inherit;
  text-decoration: none;
}
.title:hover {
  text-decoration: underline;
  text-decoration-color: var(--sun);
  text-decoration-thickness: 3px;
}
.makes {
  grid-area: makes;
  font-size: 0.88rem;
}
.bars {
  grid-area: bars;
}
.bars {
  display: grid;
  gap: 5px;
}
.bar {
  height: 12px;
  border-radius: 8px;
  grid-column: 1;
}
.bars {
  grid-template-columns: 1fr 106px;
  align-items: center;
}
.old {
  border: 2px solid var(--sun);
}
.new {
  background: var(--sun);
}
.bar {
  min-width: 6px;
}
.bars .bar {
  max-width: 100%;
}
.figure {
  grid-column: 2;
  font-size: 0.9rem;
}
.versions {
  grid-area: versions;
  font-size: 0.9rem;
}
.v-btn {
  grid-area: bin;
}
@media (max-width: 700px) {
  .row {
    grid-template-columns: 1fr 44px;
    grid-template-areas: 'title bin' 'makes bin' 'bars bars' 'versions versions';
    gap: 4px 8px;
  }
}
</style>
