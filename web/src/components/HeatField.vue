<script setup lang="ts">
import { heatScale } from '../logic/format'
import NumberField from './NumberField.vue'

const props = defineProps<{
  /** In °C, whatever the household's scale is. */
  modelValue: number | null
  label?: string
  name?: string
  min: number
  max: number
  /** Whether it is how much hotter, and no heat. */
  isDifference?: boolean
  isInline?: boolean
  isOptional?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [celsius: number | null] }>()
// All of the screen is made anew when the household changes its scale.
const { unit, from, to } = heatScale()
const told = (celsius: number): number => Math.round(from(celsius, props.isDifference))

function settle(value: number | null): void {
  emit('update:modelValue', value === null ? null : Math.round(10 * to(value, props.isDifference)) / 10)
}
</script>

<template>
  <NumberField
    :model-value="modelValue === null ? null : told(modelValue)"
    :label="label && `${label}, ${unit}`"
    :name="name && `${name}, in ${unit}`"
    :min="told(min)"
    :max="told(max)"
    :step="5"
    :unit="label ? undefined : unit"
    :is-inline="isInline"
    :is-optional="isOptional"
    @update:model-value="settle"
  />
</template>
