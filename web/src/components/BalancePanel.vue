<script setup lang="ts">
import { computed } from 'vue'
import type { Plan } from '../api/client'
import CrumbLines from './CrumbLines.vue'
import SunArc from './SunArc.vue'

const props = defineProps<{
  plan: Plan
  /** The household's daily limit of free sugar [g]. */
  limit: number
}>()
const before = computed(() => props.plan.before.per_serving)
const after = computed(() => props.plan.after.per_serving)
const verdict = computed(
  () =>
    ({
      balanced: 'In balance',
      strained: 'At the edge of its balance',
      unmet: 'Not all of it can be had',
    })[props.plan.status],
)
</script>

<template>
  <aside>
    <SunArc
      :before="before.free_sugars_who_g"
      :after="after.free_sugars_who_g"
      :kcal-before="before.energy_kcal"
      :kcal-after="after.energy_kcal"
      :limit="limit"
      :unit="plan.after.unit"
      :portion-g="after.mass_g"
    />
    <h2 class="verdict" aria-live="polite">{{ verdict }}</h2>
    <ul v-if="plan.unmet.length" class="unmet">
      <li v-for="item in plan.unmet" :key="item.goal + item.words">{{ item.words }}</li>
    </ul>
    <section v-for="part in plan.balance" :key="part.component">
      <p class="quiet small">
        {{ part.component ? `${part.component}, held against a ` : 'Held against a ' }}{{ part.family_name }}
      </p>
      <CrumbLines :metrics="part.metrics" :label="`Balance ${part.component}`" />
    </section>
  </aside>
</template>

<style scoped>
.verdict {
  margin-top: 16px;
}
.unmet {
  padding-left: 18px;
  color: var(--ember);
  font-size: 0.9rem;
}
section {
  margin-top: 8px;
}
section p::first-letter {
  text-transform: uppercase;
}
</style>
