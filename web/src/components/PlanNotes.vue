<script setup lang="ts">
import { ref } from 'vue'
import type { Plan } from '../api/types'
import { grams } from '../logic/format'
import FiguresTable from './FiguresTable.vue'

defineProps<{ plan: Plan }>()
const isOpen = ref(false)
const emit = defineEmits<{ season: [flavour: string] }>()
</script>

<template>
  <div class="notes">
    <p class="words">{{ plan.words }}</p>
    <p v-for="line in plan.instead" :key="line"><b>Instead</b> {{ line }}</p>
    <p v-if="plan.advice.length === 1"><b>In the kitchen</b> {{ plan.advice[0] }}</p>
    <div v-else-if="plan.advice.length">
      <b>In the kitchen</b>
      <ul>
        <li v-for="line in plan.advice" :key="line">{{ line }}</li>
      </ul>
    </div>
    <div v-if="plan.flavour.length">
      <b>Flavour for sugar</b>
      <span class="quiet">common practice; no sweetness is counted for it.</span>
      <ul class="flavours">
        <li v-for="tip in plan.flavour" :key="tip.key">
          <span>{{ tip.name }}, {{ tip.amount }}: {{ tip.words }}</span>
          <v-btn
            v-if="tip.grams > 0"
            size="small"
            variant="text"
            :aria-pressed="tip.is_in"
            :aria-label="`${tip.is_in ? 'Take out' : 'Put in'} ${tip.name} for flavour`"
            @click="emit('season', tip.key)"
            >{{ tip.is_in ? 'Take out' : 'Put in' }}</v-btn
          >
        </li>
      </ul>
    </div>
    <p v-for="rule in plan.by_the_book" :key="rule.ingredient">
      <b>By the book</b> {{ rule.rule }}: that is {{ grams(rule.rule_g) }} here, the plan takes
      {{ grams(rule.plan_g) }}; {{ rule.why }}.
    </p>
    <details @toggle="isOpen = ($event.target as HTMLDetailsElement).open">
      <summary><b>All the figures</b> of one {{ plan.after.unit }} and of the whole</summary>
      <FiguresTable v-if="isOpen" :before="plan.before" :after="plan.after" :doubt="plan.uncertainty" />
    </details>
    <details>
      <summary>
        <b>What may be said of it</b>
        {{
          plan.claims
            .filter((claim) => claim.is_allowed)
            .map((claim) => `“${claim.name}” (${claim.law})`)
            .join(', ') || 'none of the sugar claims'
        }}
      </summary>
      <ul>
        <li v-for="claim in plan.claims" :key="claim.key">
          {{ claim.law }}: “{{ claim.name }}” {{ claim.is_allowed ? 'may be said' : 'may not be said' }};
          {{ claim.why }}.
        </li>
        <li class="quiet">An aid, not legal advice: whoever sells asks the local food authority.</li>
      </ul>
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
/* Below the fold: laid out and painted when it comes near, so that a slider's figures need not wait for it. */
.notes {
  content-visibility: auto;
  contain-intrinsic-height: auto 420px;
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
.flavours {
  list-style: none;
  padding: 0;
}
.flavours li {
  display: flex;
  gap: 8px;
  align-items: baseline;
  justify-content: space-between;
  max-width: 62ch;
}
.flavours span::first-letter {
  text-transform: uppercase;
}
</style>
