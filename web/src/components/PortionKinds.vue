<script setup lang="ts">
import { computed } from 'vue'
import type { PortionKind, Schemas } from '../api/types'
import { grams, plural } from '../logic/format'
import NumberField from './NumberField.vue'

const props = defineProps<{
  /** The recipe's components by name; the base may be called "". */
  components: string[]
  servings: number
  unit: string
  /** What each component holds in one portion. */
  amounts: Schemas['ComponentAmountsOut'][]
  /** The kinds that a component made for fewer portions asks for. */
  suggested: PortionKind[]
}>()
const emit = defineEmits<{ enough: [component: string, count: number] }>()
const kinds = defineModel<PortionKind[]>({ required: true })

const left = computed(() => props.servings - kinds.value.reduce((sum, kind) => sum + kind.count, 0))

function start(): void {
  if (props.suggested.length) {
    kinds.value = props.suggested.map((kind) => ({ ...kind, components: [...kind.components] }))
    return
  }
  const half = Math.floor(props.servings / 2)
  const base = props.components.slice(0, 1)
  kinds.value = [
    { name: 'plain', count: props.servings - half, components: base },
    { name: props.components[1] ?? 'other', count: half, components: [...props.components] },
  ]
}

function change(index: number, changes: Partial<PortionKind>): void {
  kinds.value = kinds.value.map((kind, n) => (n === index ? { ...kind, ...changes } : kind))
}

function toggle(index: number, component: string): void {
  const now = kinds.value[index]?.components ?? []
  change(index, {
    components: now.includes(component) ? now.filter((c) => c !== component) : [...now, component],
  })
}
</script>

<template>
  <div v-if="components.length > 1" class="kinds">
    <ul class="made">
      <li v-for="part in amounts" :key="part.component">
        <b>{{ part.component || 'base' }}</b> {{ grams(part.batch.mass_g) }}, enough for
        <NumberField
          :model-value="part.enough_for"
          :name="`${part.component || 'base'}: enough for how many`"
          :min="1"
          :max="1000"
          is-inline
          is-whole
          @update:model-value="(count) => count && emit('enough', part.component, count)"
        />
        · {{ grams(part.per_serving.mass_g) }} in one, {{ grams(part.per_serving.free_sugars_who_g) }} free
        sugar<span v-if="part.enough_for > servings">, the rest is left over</span>
      </li>
    </ul>
    <p v-if="!kinds.length && suggested.length" class="off">
      {{ suggested.map((kind) => `${kind.count} ${kind.name}`).join(' and ') }}?
      <button type="button" class="link" @click="start">Yes, two kinds</button>
    </p>
    <p v-else-if="!kinds.length">
      Every {{ unit }} gets its share of {{ components.map((c) => c || 'the base').join(', ') }}.
      <button type="button" class="link" @click="start">Some are different</button>
    </p>
    <template v-else>
      <div v-for="(kind, n) in kinds" :key="n" class="kind">
        <NumberField
          :model-value="kind.count"
          :name="`How many of kind ${n + 1}`"
          :min="1"
          :max="servings"
          is-inline
          is-whole
          @update:model-value="(count) => count && change(n, { count })"
        />
        <input
          type="text"
          maxlength="40"
          :value="kind.name"
          :aria-label="`Name of kind ${n + 1}`"
          @change="change(n, { name: ($event.target as HTMLInputElement).value })"
        />
        <label v-for="component in components" :key="component">
          <input
            type="checkbox"
            :checked="kind.components.includes(component)"
            @change="toggle(n, component)"
          />
          {{ component || 'base' }}
        </label>
        <button type="button" class="link" @click="kinds = kinds.filter((_, m) => m !== n)">remove</button>
      </div>
      <p>
        <button
          type="button"
          class="link"
          @click="
            kinds = [
              ...kinds,
              {
                name: `kind ${kinds.length + 1}`,
                count: Math.max(1, left),
                components: components.slice(0, 1),
              },
            ]
          "
        >
          another kind
        </button>
        <span v-if="left !== 0" class="off" role="status">
          {{ Math.abs(left) }} {{ plural(Math.abs(left), unit) }}
          {{ left > 0 ? 'still to tell' : 'too many' }}</span
        >
      </p>
    </template>
  </div>
</template>

<style scoped>
.kinds {
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
  font-size: 0.92rem;
}
.made {
  list-style: none;
  padding: 0;
}
.kind {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  padding: 2px 0;
}
input[type='text'] {
  width: 110px;
  border-bottom: 2px solid var(--sun);
  font-weight: 650;
}
.link {
  text-decoration: underline;
  text-decoration-color: var(--sun);
}
.off {
  color: var(--ember);
  font-weight: 600;
}
</style>
