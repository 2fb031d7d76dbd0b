<script setup lang="ts">
import { computed } from 'vue'
import type { BenchGoals, Choices } from '../api/types'
import { toggled } from '../logic/goalWords'
import CapFields from './CapFields.vue'
import PickList from './PickList.vue'

const props = defineProps<{
  goals: BenchGoals
  choices: Choices
  /** What the path may sweeten with. */
  sweeteners: Choices['sweeteners']
  /** The kind of dessert that the main component is. */
  family: string | undefined
}>()
const emit = defineEmits<{ change: [changes: Partial<BenchGoals>] }>()

const WHATEVER = { key: '', name: 'whatever suits' }
const chosen = computed(() => props.goals.cupboard ?? [])
/** The path's usual ones and what is chosen stand first. */
const shown = computed(() => {
  const usual = props.choices.paths.find((p) => p.key === props.goals.path)?.usual ?? []
  return props.sweeteners
    .filter((s) => usual.includes(s.key) || chosen.value.includes(s.key))
    .sort((a, b) => Number(usual.includes(b.key)) - Number(usual.includes(a.key)))
})
const hidden = computed(() => props.sweeteners.filter((s) => !shown.value.includes(s)))

function toggle(key: string): void {
  const isWhatever = key === WHATEVER.key
  emit('change', {
    cupboard: isWhatever ? (props.goals.cupboard === null ? [] : null) : toggled(chosen.value, key),
  })
}
</script>

<template>
  <p v-if="!sweeteners.length" class="small">This path puts nothing in the sugar’s place.</p>
  <template v-else>
    <PickList
      legend="What’s in the cupboard"
      :items="[WHATEVER, ...shown]"
      :chosen="goals.cupboard ?? [WHATEVER.key]"
      @toggle="toggle"
    />
    <details v-if="hidden.length">
      <summary>{{ hidden.length }} more</summary>
      <PickList legend="Rarer ones" :items="hidden" :chosen="chosen" @toggle="toggle" />
    </details>
    <CapFields :goals="goals" :choices="choices" :family="family" @change="emit('change', $event)" />
  </template>
</template>
