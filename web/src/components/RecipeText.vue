<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Role, TextLine } from '../api/types'
import { ROLES } from '../logic/roles'

const props = defineProps<{
  /** What each line was taken for; of an older text while the newest is being read. */
  lines: TextLine[]
}>()
const text = defineModel<string>({ required: true })
const emit = defineEmits<{ typed: []; role: [line: string, role: Role] }>()
const margin = ref<HTMLElement>()
/** More lines than any recipe are read, and not marked. */
const MOST_MARKED = 400
const own = computed(() => text.value.split(/\r\n|[\n\r]/))
const marks = computed(() =>
  own.value.length > MOST_MARKED
    ? []
    : own.value.map((line, n) => {
        const read = props.lines[n]
        return { line, role: read?.text === line ? read.role : null }
      }),
)

function follow(event: Event): void {
  if (margin.value) margin.value.scrollTop = (event.target as HTMLElement).scrollTop
}
/** A long line pasted leaves the caret, and with it the view, at its end: back to where lines begin. */
function toTheStart(event: Event): void {
  const page = event.target as HTMLElement
  requestAnimationFrame(() => (page.scrollLeft = 0))
}
/** So much at once was dropped or filled in, and not typed. */
const MOST_TYPED = 20
function typed(event: Event): void {
  if (((event as InputEvent).data?.length ?? 0) > MOST_TYPED) toTheStart(event)
  emit('typed')
}
</script>

<template>
  <div class="page">
    <div ref="margin" class="margin">
      <span v-for="(mark, n) in marks" :key="n" class="mark" :class="mark.role">
        <select
          v-if="mark.role"
          :value="mark.role"
          :aria-label="`Line ${n + 1}, ${mark.line.slice(0, 40)}, is`"
          tabindex="-1"
          @change="emit('role', mark.line, ($event.target as HTMLSelectElement).value as Role)"
        >
          <option v-for="role in ROLES" :key="role.key" :value="role.key">{{ role.name }}</option>
        </select>
      </span>
    </div>
    <textarea
      id="source"
      v-model="text"
      spellcheck="false"
      wrap="off"
      placeholder="Paste a recipe here: title, portions, ingredients, method."
      @input="typed"
      @scroll="follow"
      @paste="toTheStart"
    />
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr);
  height: 68vh;
  border: 1px solid var(--hair);
  border-radius: 14px;
  background: var(--card);
  overflow: hidden;
}
.page:focus-within {
  outline: 3px solid var(--water);
  outline-offset: -1px;
}
.margin {
  overflow: hidden;
  padding: 14px 0 30px;
  border-right: 1px solid var(--hair);
  background: color-mix(in srgb, var(--sun) 7%, var(--card));
}
.mark {
  display: block;
  height: 24px;
}
select {
  width: 100%;
  height: 24px;
  padding: 0 4px 0 8px;
  font-size: 0.78rem;
  color: var(--quiet);
  appearance: none;
  cursor: pointer;
}
select:hover {
  text-decoration: underline;
}
.food select {
  color: var(--leaf);
  font-weight: 650;
}
.title select,
.portions select,
.heading select {
  color: var(--ink);
  font-weight: 650;
}
textarea {
  width: 100%;
  height: 100%;
  padding: 14px 14px 30px;
  border: 0;
  outline: none;
  resize: none;
  font: inherit;
  line-height: 24px;
  white-space: pre;
  overflow: auto;
  color: inherit;
  background: none;
}
@media (max-width: 700px) {
  .page {
    grid-template-columns: 66px minmax(0, 1fr);
    height: 46vh;
  }
}
</style>
