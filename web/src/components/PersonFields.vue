<script setup lang="ts">
import { computed } from 'vue'
import type { Choices, People, Person, Schemas } from '../api/types'
import { grams } from '../logic/format'
import NumberField from './NumberField.vue'

const props = defineProps<{
  person: Person
  choices: Omit<People, 'people'>
  diets: Choices['diets']
}>()
const emit = defineEmits<{ change: [changes: Schemas['PersonChangesIn']]; remove: [] }>()
const countsEnergy = computed(() => props.person.authority.startsWith('who'))

function chosen(event: Event): string {
  return (event.target as HTMLSelectElement).value
}

/** Whoever turns to an own limit begins with the one that counted so far. */
function setAuthority(authority: string): void {
  const own = authority === 'own' ? { own_limit_g: Math.round(props.person.limit.grams) } : {}
  emit('change', { authority, ...own })
}
</script>

<template>
  <article class="person">
    <header>
      <h3 class="display">{{ person.name }}</h3>
      <span class="limit"
        ><b class="display">{{ grams(person.limit.grams) }}</b> a day</span
      >
      <v-btn size="small" variant="text" :aria-label="`take off ${person.name}`" @click="emit('remove')"
        >take off</v-btn
      >
    </header>
    <p class="line">
      <select
        :value="person.age"
        :aria-label="`Age of ${person.name}`"
        @change="emit('change', { age: chosen($event) })"
      >
        <option v-for="one in choices.ages" :key="one.key" :value="one.key">{{ one.name }}</option>
      </select>
      <span
        >by
        <select
          :value="person.authority"
          :aria-label="`Whose limit counts for ${person.name}`"
          @change="setAuthority(chosen($event))"
        >
          <option v-for="one in choices.authorities" :key="one.key" :value="one.key">{{ one.name }}</option>
        </select></span
      >
      <span v-if="countsEnergy"
        >of
        <NumberField
          :model-value="person.energy_kcal"
          :name="`Energy that ${person.name} eats a day`"
          unit="kcal"
          :min="500"
          :max="6000"
          :step="100"
          placeholder="usual"
          is-inline
          is-optional
          @update:model-value="emit('change', { energy_kcal: $event })"
        />
        a day</span
      >
      <span v-if="person.authority === 'own'"
        ><NumberField
          :model-value="person.own_limit_g"
          :name="`Own limit of ${person.name}`"
          unit="g"
          :max="500"
          is-inline
          @update:model-value="emit('change', { own_limit_g: $event })"
        />
        a day</span
      >
      <label
        ><input
          type="checkbox"
          :checked="person.is_at_table"
          @change="emit('change', { is_at_table: ($event.target as HTMLInputElement).checked })"
        />
        usually at the table</label
      >
    </p>
    <p class="quiet small">
      {{ person.limit.words
      }}<template v-if="person.authority !== 'own'">. {{ person.limit.source }}</template
      >. Guidance, no medical advice.
    </p>
    <div class="two">
      <v-select
        :model-value="person.diets"
        :items="diets"
        item-title="name"
        item-value="key"
        :label="`${person.name} eats`"
        multiple
        hide-details
        @update:model-value="emit('change', { diets: $event })"
      />
      <v-select
        :model-value="person.eaters"
        :items="choices.eaters"
        item-title="name"
        item-value="key"
        :label="`Mind for ${person.name}`"
        multiple
        hide-details
        @update:model-value="emit('change', { eaters: $event })"
      />
    </div>
  </article>
</template>

<style scoped>
.person {
  padding: 14px 0;
  border-bottom: 1px solid var(--hair);
}
header {
  display: flex;
  align-items: baseline;
  gap: 16px;
}
header .v-btn {
  margin-left: auto;
}
.limit b {
  font-size: 1.3rem;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: baseline;
  margin: 6px 0;
}
select {
  max-width: 100%;
  border-bottom: 2px solid var(--sun);
  font-weight: 650;
}
.two {
  margin-top: 14px;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
}
@media (max-width: 700px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
