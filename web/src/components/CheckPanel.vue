<script setup lang="ts">
import { computed } from 'vue'
import type { Checked } from '../api/types'
import HeldAgainst from './HeldAgainst.vue'

const props = defineProps<{
  /** Every component, judged by itself. */
  components: Checked[]
  /** The kinds of dessert that a component can be held against. */
  families: { key: string; name: string }[]
}>()
const emit = defineEmits<{ family: [component: string, family: string] }>()
const isFine = computed(() => props.components.every((part) => part.is_in_balance))

const told = (value: number): string =>
  value.toFixed(Math.abs(value) >= 10 ? 0 : Math.abs(value) >= 1 ? 1 : 2).replace('-', '−')
</script>

<template>
  <section aria-label="Judged by itself">
    <h2>{{ isFine ? 'In balance as it is' : 'Judged by itself' }}</h2>
    <article v-for="part in components" :key="part.component">
      <HeldAgainst :part="part" :families="families" @family="(...chosen) => emit('family', ...chosen)" />
      <p :class="{ off: !part.is_in_balance }">{{ part.words }}</p>
      <ul v-if="part.warnings.length" class="off">
        <li v-for="words in part.warnings" :key="words">{{ words }}</li>
      </ul>
      <ul v-if="part.mends.length" class="mends">
        <li v-for="mend in part.mends" :key="mend.ingredient + mend.words">
          <b>{{ mend.name }}: {{ mend.household }}</b> instead of {{ mend.household_before }}:
          {{ mend.words }}
        </li>
      </ul>
      <table>
        <caption class="quiet small">
          Against
          {{
            part.pattern
          }}
          and its kin
        </caption>
        <tbody>
          <tr v-for="one in part.measures" :key="one.key" :class="{ off: one.level !== 'fine' }">
            <th scope="row">{{ one.name }}</th>
            <td>{{ told(one.value) }} {{ one.unit }}</td>
            <td class="quiet">{{ told(one.low) }} to {{ told(one.high) }} is usual</td>
          </tr>
        </tbody>
      </table>
    </article>
  </section>
</template>

<style scoped>
section {
  margin-top: 16px;
}
article {
  margin-top: 12px;
  max-width: 46rem;
}
p,
ul {
  margin: 6px 0;
}
ul {
  padding-left: 18px;
}
.off,
tr.off td:not(.quiet) {
  color: var(--ember);
}
table {
  margin-top: 8px;
  font-size: 0.9rem;
}
caption {
  text-align: left;
}
th {
  text-align: left;
  font-weight: 600;
  padding-right: 18px;
}
td {
  padding: 2px 18px 2px 0;
}
</style>
