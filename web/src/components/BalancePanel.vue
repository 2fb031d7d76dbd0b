<script setup lang="ts">
import { computed } from 'vue'
import type { Plan } from '../api/types'
import CrumbLines from './CrumbLines.vue'
import HeldAgainst from './HeldAgainst.vue'
import { span } from '../logic/format'
import SunArc from './SunArc.vue'

const props = defineProps<{
  plan: Plan
  /** The household's daily limit of free sugar [g]. */
  limit: number
  /** The dessert families that a component can be held against. */
  families: { key: string; name: string }[]
}>()
const emit = defineEmits<{ family: [component: string, family: string] }>()
const before = computed(() => props.plan.before.per_serving)
const after = computed(() => props.plan.after.per_serving)
/** The interval of the free sugar shown; none while a slider moves it from the figure that it is of. */
const between = computed(() => {
  const one = props.plan.uncertainty?.after.figures.find((figure) => figure.key === 'free_sugars_who_g')
  const isOfThis = one && Math.abs(one.value - after.value.free_sugars_who_g) < 0.06
  return isOfThis && one.high - one.low >= 0.1 ? span(one.low, one.high) : ''
})
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
      :between="between"
    />
    <h2 class="verdict" aria-live="polite">{{ verdict }}</h2>
    <ul v-if="plan.unmet.length" class="unmet">
      <li v-for="item in plan.unmet" :key="item.goal + item.words">{{ item.words }}</li>
    </ul>
    <section v-for="part in plan.balance" :key="part.component">
      <HeldAgainst :part="part" :families="families" @family="(...chosen) => emit('family', ...chosen)" />
      <CrumbLines :metrics="part.metrics" :label="`Balance ${part.component}`" />
      <p v-if="part.residual" class="quiet small residual">{{ part.residual }}</p>
    </section>
    <p v-if="!plan.is_proven" class="quiet small">
      A good plan, not proven the best: the search came to its limit.
    </p>
    <slot />
  </aside>
</template>

<style scoped>
.verdict {
  margin-top: 16px;
}
.unmet {
  margin-top: 4px;
  padding-left: 18px;
  color: var(--ember);
  font-size: 0.9rem;
}
section {
  margin-top: 8px;
}
.residual::first-letter {
  text-transform: uppercase;
}
</style>
