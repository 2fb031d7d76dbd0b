<script setup lang="ts">
import type { Plan } from '../api/client'
import { grams } from '../logic/format'
import FiguresTable from './FiguresTable.vue'

defineProps<{ plan: Plan }>()
</script>

<template>
  <div class="notes">
    <p class="words">{{ plan.words }}</p>
    <p v-for="line in plan.advice" :key="line"><b>Oven</b> {{ line }}</p>
    <p v-for="rule in plan.by_the_book" :key="rule.ingredient">
      <b>By the book</b> {{ rule.rule }}: that is {{ grams(rule.rule_g) }} here, the plan takes
      {{ grams(rule.plan_g) }}; {{ rule.why }}.
    </p>
    <details>
      <summary><b>All the figures</b> of one {{ plan.after.unit }} and of the whole</summary>
      <FiguresTable :before="plan.before" :after="plan.after" />
    </details>
    <details>
      <summary><b>Mind</b> {{ plan.cautions.slice(0, 2).join(' ') }}</summary>
      <ul>
        <li v-for="line in plan.cautions.slice(2)" :key="line">{{ line }}</li>
      </ul>
    </details>
  </div>
</template>

<style scoped>
.notes {
  margin-top: 16px;
  display: grid;
  gap: 7px;
  font-size: 0.9rem;
}
b {
  margin-right: 4px;
}
summary {
  cursor: pointer;
}
ul {
  padding-left: 20px;
}
</style>
