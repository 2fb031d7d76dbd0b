<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Settings } from '../api/types'

/** Several ovens by name: which one is baked in, and a new one. What is said of an oven is of the one in use. */
const props = defineProps<{ settings: Settings }>()
const emit = defineEmits<{ change: [changes: Partial<Settings>] }>()
const name = ref('')
const names = computed(() => props.settings.ovens.map((one) => one.name))
const canAdd = computed(() => name.value.trim() !== '' && !names.value.includes(name.value.trim()))

/** The first name that is given names the oven that is there. */
function add(): void {
  const { ovens, oven_fan: fan, oven_offset_c: offset_c, oven_hot_side: hot_side } = props.settings
  const like = ovens.length ? { fan: false, offset_c: 0, hot_side: '' as const } : { fan, offset_c, hot_side }
  emit('change', { ovens: [...ovens, { name: name.value.trim(), ...like }], oven: name.value.trim() })
  name.value = ''
}

function remove(): void {
  const ovens = props.settings.ovens.filter((one) => one.name !== props.settings.oven)
  emit('change', { ovens, oven: ovens[0]?.name ?? '' })
}
</script>

<template>
  <form class="ovens" @submit.prevent="add">
    <label v-if="settings.ovens.length"
      >you bake in
      <select
        :value="settings.oven"
        @change="emit('change', { oven: ($event.target as HTMLSelectElement).value })"
      >
        <option v-for="one in names" :key="one" :value="one">{{ one }}</option>
      </select></label
    >
    <button v-if="settings.ovens.length" type="button" class="off" @click="remove">
      take {{ settings.oven }} off the list
    </button>
    <label
      >{{ settings.ovens.length ? 'another' : 'more than one? name this one' }}
      <input v-model="name" maxlength="40" aria-label="The name of an oven" placeholder="the big oven" />
    </label>
    <button type="submit" class="add" aria-label="Add the oven" :disabled="!canAdd">Add</button>
  </form>
</template>

<style scoped>
.ovens {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: baseline;
  margin: 0 0 8px;
}
select,
input {
  color: inherit;
  font: inherit;
  border-bottom: 2px solid var(--sun);
  font-weight: 650;
}
input {
  width: 14ch;
  border-bottom: 1px dotted var(--quiet);
  font-weight: 400;
}
.add,
.off {
  min-height: 28px;
  color: var(--ember);
  font-weight: 650;
}
.add:disabled {
  color: var(--quiet);
  font-weight: 400;
}
.off {
  color: var(--quiet);
  font-weight: 400;
}
</style>
