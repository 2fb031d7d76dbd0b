<script setup lang="ts">
import type { PathGlance, Schemas } from '../api/types'
import { grams } from '../logic/format'

defineProps<{
  /** The five paths. */
  paths: Schemas['PathOut'][]
  /** How each came out with its own preset, the chosen one with the wish as it is; as far as computed. */
  glances: Record<string, PathGlance>
  /** Free sugar of the original's portion [g]: the height at which the suns start. */
  before: number
}>()
const chosen = defineModel<string>({ required: true })

function height(glance: PathGlance | undefined, before: number): number {
  if (!glance || glance.status === 'none' || before <= 0) return 12
  return 34 - 24 * Math.min(glance.freeSugar / before, 1.1)
}
</script>

<template>
  <div class="suns" role="radiogroup" aria-label="Path">
    <button
      v-for="path in paths"
      :key="path.key"
      type="button"
      role="radio"
      :aria-checked="path.key === chosen"
      :class="{ chosen: path.key === chosen }"
      :title="path.words"
      @click="chosen = path.key"
    >
      <svg viewBox="0 0 44 44" width="40" aria-hidden="true">
        <circle cx="22" :cy="height(glances[path.key], before)" r="8" />
        <path d="M2 37c8-3 13 1 20 0s13-2 20-1v6H2z" />
      </svg>
      <span class="words">
        <b>{{ path.name }}</b>
        <span v-if="glances[path.key]" class="quiet">
          <template v-if="glances[path.key]?.status !== 'none'"
            >{{ grams(glances[path.key]?.freeSugar ?? 0) }} · </template
          >{{ glances[path.key]?.words }}
        </span>
        <span v-else class="quiet">…</span>
      </span>
    </button>
  </div>
</template>

<style scoped>
.suns {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 4px;
  border-block: 1px solid var(--hair);
}
button {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 7px 6px;
  text-align: left;
  border-bottom: 4px solid transparent;
}
button:hover {
  background: color-mix(in srgb, var(--sun) 10%, transparent);
}
button.chosen {
  border-bottom-color: var(--sun);
  background: color-mix(in srgb, var(--sun) 14%, transparent);
}
.words {
  display: grid;
  font-size: 0.86rem;
  line-height: 1.25;
}
svg {
  flex: none;
}
circle {
  fill: color-mix(in srgb, var(--sun) 45%, var(--paper));
  transition: cy 0.4s;
}
.chosen circle {
  fill: #e8a020;
}
path {
  fill: #8a5531;
}
@media (max-width: 1000px) {
  .suns {
    display: flex;
    overflow-x: auto;
  }
  button {
    flex: 0 0 auto;
    padding-right: 12px;
  }
}
</style>
