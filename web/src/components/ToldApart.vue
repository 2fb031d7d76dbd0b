<script setup lang="ts">
import { computed, ref } from 'vue'
import type { BakeRecord, ToldApart } from '../api/types'
import { briefDay } from '../logic/days'
import NumberField from './NumberField.vue'

const props = defineProps<{ bake: BakeRecord; others: BakeRecord[]; tests: ToldApart[] }>()
const emit = defineEmits<{ note: [other: number, test: string, tries: number, right: number] }>()
const other = ref<number>()
const test = ref('triangle')
const tries = ref(6)
const right = ref(4)
const KINDS = [
  { key: 'triangle', name: 'found the odd one of three' },
  { key: 'pair', name: 'named the sweeter of two' },
  { key: 'preference', name: 'liked this one better' },
]
const offered = computed(() => props.others.filter((b) => b.id !== props.bake.id))
const chosen = computed(() => offered.value.find((b) => b.id === other.value) ?? offered.value[0])

function name(id: number): string {
  const found = props.others.find((b) => b.id === id)
  return found ? `${found.label}, ${briefDay(found.baked_on)}` : 'another bake'
}
</script>

<template>
  <div class="apart">
    <p v-for="one in tests" :key="one.id" class="told-one">
      Against {{ name(one.bake_id === bake.id ? one.other_id : one.bake_id) }}: {{ one.result.words }}
    </p>
    <form v-if="chosen" class="line" @submit.prevent="emit('note', chosen.id, test, tries, right)">
      <label
        >Against
        <select :value="chosen.id" @change="other = Number(($event.target as HTMLSelectElement).value)">
          <option v-for="one in offered" :key="one.id" :value="one.id">
            {{ one.title }}, {{ one.label }}, {{ briefDay(one.baked_on) }}
          </option>
        </select></label
      >
      <span
        ><NumberField v-model="right" name="How many were right" :max="tries" is-inline is-whole /> of
        <NumberField v-model="tries" name="How many tried" :min="1" :max="1000" is-inline is-whole />
        tasters</span
      >
      <select v-model="test" aria-label="What they did">
        <option v-for="kind in KINDS" :key="kind.key" :value="kind.key">{{ kind.name }}</option>
      </select>
      <v-btn type="submit" size="small" variant="tonal">Note it</v-btn>
    </form>
    <p v-else class="quiet">Bake it a second time, another way, to taste two side by side.</p>
  </div>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: baseline;
}
select {
  max-width: 100%;
  border-bottom: 1px dotted var(--quiet);
  font-weight: 650;
}
.told-one {
  margin: 0 0 6px;
}
</style>
