<script setup lang="ts">
import type { BenchGoals, Choices } from '../api/types'
import { foodName } from '../logic/goalWords'
import IngredientPicker from './IngredientPicker.vue'

const props = defineProps<{ goals: BenchGoals; choices: Choices }>()
const emit = defineEmits<{ change: [changes: Partial<BenchGoals>] }>()
const WISHES = [
  { name: 'without', word: 'without', undo: 'allow', spoken: (food: string) => `Allow ${food} again` },
  { name: 'including', word: 'with', undo: 'let go', spoken: (food: string) => `No need for ${food}` },
] as const

/** Puts a food in or leaves it out, and takes back the opposite. */
function take(name: 'without' | 'including', key: string): void {
  const other = name === 'without' ? 'including' : 'without'
  emit('change', {
    [name]: [...new Set([...props.goals[name], key])],
    [other]: props.goals[other].filter((k) => k !== key),
  })
}

function letGo(name: 'without' | 'including', key: string): void {
  emit('change', { [name]: props.goals[name].filter((k) => k !== key) })
}
</script>

<template>
  <ul>
    <template v-for="wish in WISHES" :key="wish.name">
      <li v-for="key in goals[wish.name]" :key="key">
        {{ wish.word }} {{ foodName(choices, key) }}
        <v-btn
          size="small"
          variant="text"
          :aria-label="wish.spoken(foodName(choices, key))"
          @click="letGo(wish.name, key)"
          >{{ wish.undo }}</v-btn
        >
      </li>
    </template>
  </ul>
  <IngredientPicker label="Put in" @pick="take('including', $event.key)" />
  <IngredientPicker label="Leave out" @pick="take('without', $event.key)" />
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
</style>
