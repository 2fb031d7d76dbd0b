<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Decision, Ingredient, ShownLine } from '../api/types'
import { grams as gramsText } from '../logic/format'
import IngredientPicker from './IngredientPicker.vue'
import NumberField from './NumberField.vue'

const props = defineProps<{
  line: ShownLine
}>()
const emit = defineEmits<{ decide: [decision: Decision] }>()

const typed = ref<number | null>(null)
const picked = ref<{ key: string; name: string }>()
const current = computed(() => picked.value ?? { key: props.line.ingredient ?? '', name: props.line.food })

watch(
  () => [props.line.decisionKey, props.line.grams, props.line.decision],
  () => {
    const value = props.line.decision?.grams ?? props.line.grams
    typed.value = value === null || value === undefined ? null : Math.round(value * 10) / 10
    picked.value = undefined
  },
  { immediate: true },
)

function pick(ingredient: Ingredient): void {
  picked.value = { key: ingredient.key, name: ingredient.name }
  settle()
}

function settle(): void {
  if (typed.value === null || !current.value.key) return
  emit('decide', { ingredient: current.value.key, name: current.value.name, grams: typed.value })
}
</script>

<template>
  <div class="decision">
    <p v-if="line.problem" class="problem">{{ line.problem }}</p>
    <div v-if="line.conflict" class="actions">
      <v-btn
        v-for="(statement, n) in line.conflict.statements"
        :key="statement.text"
        size="small"
        @click="
          emit('decide', {
            ingredient: line.ingredient ?? '',
            name: line.food,
            grams: statement.grams,
          })
        "
      >
        <kbd>{{ n + 1 }}</kbd> {{ statement.text }}: {{ gramsText(statement.grams) }}
      </v-btn>
    </div>
    <div v-else-if="line.candidates.length" class="actions">
      <v-btn
        v-for="(candidate, n) in line.candidates.slice(0, 5)"
        :key="candidate.ingredient"
        size="small"
        @click="
          candidate.grams === null
            ? (picked = { key: candidate.ingredient, name: candidate.name })
            : emit('decide', {
                ingredient: candidate.ingredient,
                name: candidate.name,
                grams: candidate.grams,
              })
        "
      >
        <kbd>{{ n + 1 }}</kbd> {{ candidate.name
        }}<template v-if="candidate.grams !== null"
          >, {{ gramsText(candidate.grams) }}, {{ gramsText(candidate.total_sugars_g ?? 0) }} sugar</template
        >
      </v-btn>
    </div>
    <form class="by-hand" @submit.prevent="settle">
      <IngredientPicker :label="current.key ? current.name : 'Which food?'" class="food" @pick="pick" />
      <NumberField v-model="typed" label="grams" unit="g" class="grams" is-optional />
      <v-btn type="submit" size="small" :disabled="!current.key">That’s it</v-btn>
      <v-btn
        variant="text"
        size="small"
        @click="emit('decide', { ingredient: '', name: '', grams: 0, isLeftOut: true })"
        >Leave it out</v-btn
      >
    </form>
  </div>
</template>

<style scoped>
.decision {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  padding: 6px 0 8px;
}
.problem {
  color: var(--ember);
  font-weight: 600;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.actions :deep(.v-btn) {
  max-width: 100%;
  height: auto;
  min-height: 30px;
}
.actions :deep(.v-btn__content) {
  white-space: normal;
}
kbd {
  font: inherit;
  font-size: 0.75rem;
  opacity: 0.7;
  margin-right: 6px;
}
.by-hand {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
.food {
  flex: 1 1 170px;
}
.grams {
  flex: 0 0 104px;
}
</style>
