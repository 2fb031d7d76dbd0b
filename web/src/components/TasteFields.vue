<script setup lang="ts">
import type { BenchGoals } from '../stores/bench'
import { useHousehold } from '../stores/household'
import IngredientPicker from './IngredientPicker.vue'

const props = defineProps<{ goals: BenchGoals }>()
const emit = defineEmits<{ change: [changes: Partial<BenchGoals>] }>()
const household = useHousehold()

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
    <li v-for="key in goals.without" :key="key">
      without {{ household.nameOf(key) }}
      <v-btn
        size="small"
        variant="text"
        :aria-label="`Allow ${household.nameOf(key)} again`"
        @click="letGo('without', key)"
        >allow</v-btn
      >
    </li>
    <li v-for="key in goals.including" :key="key">
      with {{ household.nameOf(key) }}
      <v-btn
        size="small"
        variant="text"
        :aria-label="`No need for ${household.nameOf(key)}`"
        @click="letGo('including', key)"
        >let go</v-btn
      >
    </li>
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
