<script setup lang="ts">
import type { Checked } from '../api/types'
import KindAsked from './KindAsked.vue'

defineProps<{
  /** What one component is held against: its kind, and the kinds it may be where that is not sure. */
  part: Pick<Checked, 'component' | 'family' | 'is_sure' | 'candidates'>
  /** The kinds of dessert that a component can be held against. */
  families: { key: string; name: string }[]
}>()
const emit = defineEmits<{ family: [component: string, family: string] }>()
</script>

<template>
  <label class="quiet small">
    {{ part.component ? `${part.component}, held against a` : 'Held against a' }}
    <select
      :value="part.family"
      :aria-label="`Kind of dessert${part.component ? `, ${part.component}` : ''}`"
      @change="emit('family', part.component, ($event.target as HTMLSelectElement).value)"
    >
      <option v-for="family in families" :key="family.key" :value="family.key">{{ family.name }}</option>
    </select>
  </label>
  <KindAsked
    v-if="!part.is_sure && part.candidates.length > 1"
    :component="part.component"
    :candidates="part.candidates"
    @choose="emit('family', part.component, $event)"
  />
</template>

<style scoped>
label::first-letter {
  text-transform: uppercase;
}
select {
  font-weight: 650;
  color: inherit;
  background: var(--paper);
  border-bottom: 2px solid var(--sun);
}
</style>
