<script setup lang="ts">
import { nextTick, ref } from 'vue'
import type { MethodStep, StepUse } from '../api/types'
import { minutesText, waitText } from '../logic/clock'
import { ovenHeat } from '../logic/format'

const props = defineProps<{
  steps: readonly MethodStep[]
  isOriginal: boolean
  /** Whether what goes in where is shown, to be moved. */
  isMoving: boolean
}>()
const emit = defineEmits<{
  say: [key: string, text: string, kept: () => void]
  /** A line of the original is to go in at another step. */
  move: [use: StepUse, step: MethodStep]
}>()
const dragged = ref<{ use: StepUse; from: number }>()

/** The step before or after that a line can go in at: one of the recipe's own. */
function beside(from: number, by: -1 | 1): MethodStep | undefined {
  const own = props.steps.filter((step) => !step.is_new)
  const at = own.findIndex((step) => step.n === from)
  return own[at + by]
}

function shift(use: StepUse, from: number, by: -1 | 1): void {
  const to = beside(from, by)
  if (to) emit('move', use, to)
}

function drop(step: MethodStep): void {
  if (dragged.value && !step.is_new && step.n !== dragged.value.from) emit('move', dragged.value.use, step)
  dragged.value = undefined
}
const edited = ref<string>()
const words = ref('')
const field = ref<HTMLTextAreaElement[]>()

async function edit(step: MethodStep): Promise<void> {
  edited.value = step.key
  words.value = step.text
  await nextTick()
  field.value?.[0]?.focus()
}

function leave(): void {
  edited.value = undefined
}

/** What was typed stays in its field until it is kept. */
function keep(step: MethodStep, text: string): void {
  if (text.trim() === step.text) leave()
  else emit('say', step.key ?? '', text, leave)
}

const changed = (step: MethodStep): boolean => !step.is_new && plain(step.was) !== plain(step.text)
const plain = (text = ''): string => text.toLowerCase().replace(/[.\s]+$/, '')
const hands = (step: MethodStep): string => {
  const [low, high] = step.hands_on_minutes
  return low === high ? minutesText(low ?? 0) : `${low}–${minutesText(high ?? 0)}`
}
</script>

<template>
  <ol class="method">
    <li
      v-for="step in steps"
      :key="step.n"
      :class="{ fresh: step.is_new, target: dragged && !step.is_new }"
      @dragover="dragged && !step.is_new && $event.preventDefault()"
      @drop.prevent="drop(step)"
    >
      <span class="number display">{{ step.n }}</span>
      <div>
        <form v-if="edited === step.key" class="own" @submit.prevent="keep(step, words)">
          <textarea
            ref="field"
            v-model="words"
            rows="3"
            maxlength="2000"
            :aria-label="`Your own words for step ${step.n}`"
            @keydown.esc.stop="edited = undefined"
          ></textarea>
          <span class="actions">
            <v-btn type="submit" size="small" color="primary" variant="flat">Keep my words</v-btn>
            <v-btn v-if="step.ours" size="small" variant="text" @click="keep(step, '')">Take them back</v-btn>
            <v-btn size="small" variant="text" @click="edited = undefined">Leave it</v-btn>
          </span>
        </form>
        <p v-else class="text">
          <b v-if="step.is_new" class="tag">new</b> <b v-if="step.ours" class="tag">yours</b> {{ step.text }}
          <button
            type="button"
            class="edit no-print"
            :aria-label="`edit step ${step.n} in your own words`"
            @click="edit(step)"
          >
            edit
          </button>
        </p>
        <p v-if="!isOriginal && changed(step)" class="was quiet small"><s class="sr">was</s>{{ step.was }}</p>
        <ul v-if="isMoving && step.uses.length" class="uses no-print">
          <li v-for="use in step.uses" :key="use.line + use.name">
            <span
              v-if="use.position !== null"
              role="button"
              tabindex="0"
              class="chip"
              draggable="true"
              :class="{ unsure: !use.is_sure }"
              :aria-label="`${use.name}, ${use.told}, in step ${step.n}${use.is_sure ? '' : ', not sure'}: arrow up or down moves it`"
              @dragstart="dragged = { use, from: step.n }"
              @dragend="dragged = undefined"
              @keydown.up.prevent.stop="shift(use, step.n, -1)"
              @keydown.down.prevent.stop="shift(use, step.n, 1)"
            >
              {{ use.name }} <small>{{ use.told }}</small> <b v-if="!use.is_sure">?</b>
            </span>
            <span v-else class="quiet">{{ use.name }} {{ use.told }}</span>
          </li>
        </ul>
        <p v-for="note in step.notes" :key="note" class="note small">{{ note }}</p>
      </div>
      <span class="facts quiet small">
        <template v-if="step.wait">{{ waitText(step.wait) }}<br /></template>
        <template v-if="step.temperature_c && !step.dial?.startsWith(ovenHeat(step.temperature_c))"
          >{{ ovenHeat(step.temperature_c) }}<br
        /></template>
        <template v-if="step.dial"
          ><b>{{ step.dial }}</b
          ><br
        /></template>
        {{ hands(step) }} of you
      </span>
    </li>
  </ol>
</template>

<style scoped>
.method {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: grid;
  grid-template-columns: 2.2em 1fr 9.5em;
  gap: 12px;
  padding: 11px 0;
  border-top: 1px solid var(--hair);
}
.number {
  font-size: 1.25rem;
  color: var(--quiet);
}
.text {
  margin: 0;
  max-width: 62ch;
}
.was {
  margin: 3px 0 0;
  max-width: 62ch;
}
.was::before {
  content: 'was: ';
}
.sr {
  display: none;
}
.note {
  margin: 4px 0 0;
  color: var(--ember);
  max-width: 62ch;
}
.fresh .text {
  border-left: 3px solid var(--leaf);
  padding-left: 10px;
}
.uses {
  list-style: none;
  padding: 0;
  margin: 6px 0 0;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.uses li {
  display: block;
  border: 0;
  padding: 0;
}
.uses .chip {
  display: inline-block;
  border: 1px solid var(--hair);
  border-radius: 12px;
  padding: 4px 10px;
  cursor: grab;
}
.uses .unsure {
  border-color: var(--ember);
  border-style: dashed;
}
.uses b {
  color: var(--ember);
}
.target {
  background: var(--band);
}
.own textarea {
  width: 100%;
  font: inherit;
  color: inherit;
  border-bottom: 2px solid var(--sun);
}
.edit {
  color: var(--quiet);
  font-size: 0.82rem;
  text-decoration: underline;
  padding: 2px 6px;
}
.tag {
  color: var(--leaf);
}
.facts {
  text-align: right;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 1.6em 1fr;
  }
  .facts {
    grid-column: 2;
    text-align: left;
  }
}
@media print {
  .edit,
  .was {
    display: none;
  }
}
</style>
