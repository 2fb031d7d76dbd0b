<script setup lang="ts">
import { computed, ref } from 'vue'
import { grams } from '../logic/format'
import type { Decision, ShownLine } from '../api/types'
import LineDecision from './LineDecision.vue'

const props = defineProps<{
  line: ShownLine
  /** The doubt that the keys act on. */
  isCurrent: boolean
}>()
defineEmits<{ decide: [decision: Decision | undefined] }>()

const isEditing = ref(false)
const state = computed(() => {
  if (props.line.decision?.isLeftOut) return { mark: '–', words: 'left out' }
  if (props.line.decision) return { mark: '✓', words: 'decided by you' }
  return (
    {
      ok: { mark: '✓', words: 'sure' },
      ask: { mark: '?', words: 'asked' },
      conflict: { mark: '≠', words: 'two amounts that disagree' },
      unreadable: { mark: '×', words: 'not understood' },
    }[props.line.status as string] ?? { mark: '', words: '' }
  )
})
const shownName = computed(() => props.line.decision?.name || props.line.food || '—')
const shownGrams = computed(() => props.line.decision?.grams ?? props.line.grams)
</script>

<template>
  <h3 v-if="line.status === 'heading'" class="heading">{{ line.text }}</h3>
  <li
    v-else-if="line.status !== 'note'"
    :id="`line-${line.index}`"
    :class="[line.isOpen ? line.status : 'settled', { current: isCurrent }]"
  >
    <div class="top">
      <span class="mark" :title="state.words" aria-hidden="true">{{ state.mark }}</span>
      <span class="text"
        >{{ line.text }}<span class="hidden-words">: {{ state.words }}</span></span
      >
      <button
        v-if="!line.isOpen"
        type="button"
        class="read"
        :aria-expanded="isEditing"
        :aria-label="`Change: ${line.text}`"
        @click="isEditing = !isEditing"
      >
        <template v-if="line.decision?.isLeftOut">left out</template>
        <template v-else
          >{{ shownName }} <b>{{ shownGrams === null ? '' : grams(shownGrams) }}</b></template
        >
      </button>
    </div>
    <p v-if="line.changed" class="small changed">{{ line.changed }}</p>
    <LineDecision
      v-if="line.isOpen || isEditing"
      :line="line"
      @decide="
        (decision) => {
          isEditing = false
          $emit('decide', decision)
        }
      "
    />
    <v-btn
      v-if="isEditing && line.decision"
      variant="text"
      size="small"
      @click="((isEditing = false), $emit('decide', undefined))"
    >
      As it was read
    </v-btn>
  </li>
</template>

<style scoped>
.changed {
  padding-left: 30px;
  color: var(--leaf);
}
.heading {
  padding: 14px 0 4px;
  font-size: 1.05rem;
}
li {
  border-bottom: 1px solid var(--hair);
  padding: 6px 0;
}
li.current {
  background: color-mix(in srgb, var(--sun) 12%, transparent);
  box-shadow: -8px 0 0 color-mix(in srgb, var(--sun) 12%, transparent);
}
.top {
  display: flex;
  gap: 10px;
  align-items: baseline;
}
.mark {
  flex: 0 0 18px;
  text-align: center;
  font-weight: 700;
  color: var(--leaf);
}
.ask .mark,
.conflict .mark,
.unreadable .mark {
  color: var(--ember);
}
.text {
  flex: 1;
}
.read {
  text-align: right;
  color: var(--quiet);
  border-bottom: 1px dotted var(--quiet);
}
.read b {
  color: var(--ink);
  display: inline-block;
  min-width: 54px;
}
.decision {
  padding-left: 28px;
}
</style>
