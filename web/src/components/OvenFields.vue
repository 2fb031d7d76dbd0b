<script setup lang="ts">
import type { Settings } from '../api/types'
import HeatField from './HeatField.vue'

defineProps<{ settings: Settings }>()
const emit = defineEmits<{ change: [changes: Partial<Settings>] }>()
const sides = ['', 'left', 'right', 'back', 'front'] as const
</script>

<template>
  <p class="oven">
    <label
      ><input
        type="checkbox"
        :checked="settings.oven_fan"
        @change="emit('change', { oven_fan: ($event.target as HTMLInputElement).checked })"
      />
      it has a fan</label
    >
    <span
      >by a thermometer it is
      <HeatField
        :model-value="settings.oven_offset_c"
        name="How much hotter the oven is than its dial"
        :min="-40"
        :max="40"
        is-difference
        is-inline
        @update:model-value="emit('change', { oven_offset_c: $event ?? 0 })"
      />
      hotter than its dial</span
    >
    <label
      >hotter at the
      <select
        :value="settings.oven_hot_side"
        @change="
          emit('change', {
            oven_hot_side: ($event.target as HTMLSelectElement).value as Settings['oven_hot_side'],
          })
        "
      >
        <option v-for="side in sides" :key="side" :value="side">{{ side || 'same all round' }}</option>
      </select></label
    >
  </p>
</template>

<style scoped>
.oven {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: baseline;
  margin: 0;
}
input[type='checkbox'] {
  accent-color: var(--sun);
}
select {
  border-bottom: 1px dotted var(--quiet);
  font-weight: 700;
}
</style>
