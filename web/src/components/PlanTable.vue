<script setup lang="ts">
import { mdiClose, mdiLockOpenVariantOutline, mdiLockOutline } from '@mdi/js'
import { computed } from 'vue'
import type { PlanLine, Schemas } from '../api/types'
import { grams } from '../logic/format'
import AmountField from './AmountField.vue'

const props = defineProps<{
  lines: PlanLine[]
  /** Positions of the original's lines that must not move. */
  locks: Record<string, number>
  /** "16 squares" */
  caption: string
  /** The trade's rules of thumb for what came in. */
  byTheBook: Schemas['ByTheBookOut'][]
  /** Whether the amounts only follow a slider: their reasons are of the last plan. */
  isPreview: boolean
}>()
const emit = defineEmits<{
  lock: [line: PlanLine]
  set: [line: PlanLine, grams: number]
  leaveOut: [line: PlanLine]
}>()

const groups = computed(() => {
  const found = new Map<string, PlanLine[]>()
  for (const line of props.lines) found.set(line.component, [...(found.get(line.component) ?? []), line])
  return [...found].map(([component, lines]) => ({ component, lines }))
})

function book(line: PlanLine): Schemas['ByTheBookOut'] | undefined {
  return line.position === null
    ? props.byTheBook.find((rule) => rule.ingredient === line.ingredient)
    : undefined
}

function kind(line: PlanLine): 'new' | 'less' | 'more' | 'same' {
  if (line.position === null) return 'new'
  if (Math.abs(line.after_g - line.before_g) < 0.01) return 'same'
  return line.after_g < line.before_g ? 'less' : 'more'
}
function isKept(line: PlanLine): boolean {
  return line.position === null ? line.is_locked : String(line.position) in props.locks
}
/** What stands under the grams: nothing where it would say them again, in a recipe by weight. */
function measure(household: string): string {
  return /^[\d.,\s]+ g$/.test(household) ? '' : household
}
const signs = { new: '+', less: '▾', more: '▴', same: '' }
const spoken = { new: 'new', less: 'less', more: 'more', same: 'as before' }
</script>

<template>
  <table>
    <caption class="hidden-words">
      Ingredients before and after, for
      {{
        caption
      }}
    </caption>
    <thead>
      <tr>
        <th scope="col">for {{ caption }}</th>
        <th scope="col">original</th>
        <th scope="col">rework</th>
        <th v-if="byTheBook.length" scope="col">by the book</th>
        <th scope="col">why</th>
      </tr>
    </thead>
    <tbody v-for="group in groups" :key="group.component">
      <tr v-if="group.component" class="component">
        <th colspan="5" scope="rowgroup" class="display">{{ group.component }}</th>
      </tr>
      <tr v-for="line in group.lines" :key="`${line.position}-${line.ingredient}`" :class="kind(line)">
        <th scope="row">
          <span class="name">{{ line.name }}</span>
          <button
            v-if="line.can_set"
            type="button"
            class="lock"
            :class="{ shut: isKept(line) }"
            :aria-pressed="isKept(line)"
            :aria-label="`Keep ${line.name} at ${grams(line.position === null ? line.after_g : line.before_g)}`"
            @click="emit('lock', line)"
          >
            <v-icon :icon="isKept(line) ? mdiLockOutline : mdiLockOpenVariantOutline" size="17" />
          </button>
          <button
            v-if="line.position === null"
            type="button"
            class="lock out"
            :aria-label="`Leave out ${line.name}`"
            title="Leave it out"
            @click="emit('leaveOut', line)"
          >
            <v-icon :icon="mdiClose" size="17" />
          </button>
        </th>
        <td class="before">
          <template v-if="line.position !== null"
            >{{ grams(line.before_g) }}<small>{{ measure(line.household_before) }}</small></template
          >
          <template v-else>—</template>
        </td>
        <td class="after">
          <span class="sign" aria-hidden="true">{{ signs[kind(line)] }}</span><span class="hidden-words">{{
            spoken[kind(line)]
          }}</span>
          <AmountField
            v-if="line.can_set"
            :grams="line.after_g"
            :step="line.step_g"
            :label="`Grams of ${line.name}`"
            @change="emit('set', line, $event)"
          /><b v-else>{{ grams(line.after_g) }}</b
          ><small>{{ measure(line.household) }}</small>
        </td>
        <td v-if="byTheBook.length" class="book">
          <span v-if="book(line)" :title="book(line)?.rule"
            ><span class="narrow">by the book </span>{{ grams(book(line)?.rule_g ?? 0) }}</span
          >
        </td>
        <td class="why" :class="{ stale: isPreview }">{{ line.reason }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
thead th {
  font-weight: 500;
  font-size: 0.85rem;
  color: var(--quiet);
  padding: 4px 8px 6px 0;
  border-bottom: 2px solid var(--ink);
}
tbody th,
td {
  padding: 6px 8px 6px 0;
}
tbody th {
  width: 25%;
  font-weight: 600;
}
.name::first-letter {
  text-transform: uppercase;
}
.name {
  display: inline-block;
}
.component th {
  padding-top: 16px;
  font-size: 1.1rem;
  text-transform: capitalize;
}
.before {
  width: 13%;
  color: var(--quiet);
}
.after {
  width: 20%;
  position: relative;
  padding-left: 20px;
}
.sign {
  position: absolute;
  left: 2px;
}
small {
  font-size: 0.82rem;
  color: var(--quiet);
}
/* An amount that stays needs its household measure once. */
.same .before small {
  display: none;
}
.same .after small {
  display: inline;
  white-space: nowrap;
  margin-left: 8px;
}
.same th,
.same td {
  padding-block: 3px;
}
.same .after :deep(input) {
  font-weight: 500;
  color: var(--quiet);
}
.new .name,
.new .after {
  color: var(--leaf);
}
.book {
  width: 10%;
  color: var(--quiet);
  font-size: 0.88rem;
}
.narrow {
  display: none;
}
.stale {
  opacity: 0.55;
}
.less .after :deep(input),
.less .after b,
.less .sign {
  color: var(--ember);
}
.why {
  font-size: 0.88rem;
  line-height: 1.35;
}
tbody tr:not(.component) th {
  position: relative;
  padding-right: 32px;
}
.lock {
  position: absolute;
  right: 8px;
  top: 5px;
  padding: 2px;
  color: var(--quiet);
  opacity: 0;
}
.lock.out {
  right: 30px;
}
.new th {
  padding-right: 56px !important;
}
.lock.shut,
.lock:focus-visible,
tr:hover .lock {
  opacity: 1;
}
@media (hover: none) {
  .lock {
    opacity: 1;
  }
}
@media (max-width: 700px) {
  thead {
    display: none;
  }
  tbody tr {
    display: grid;
    grid-template-columns: 1fr 82px 104px;
    border-bottom: 1px solid var(--hair);
    padding: 4px 0;
  }
  tbody th,
  td {
    border: 0;
    width: auto;
    padding: 3px 4px 3px 0;
  }
  .same .after small {
    display: block;
    margin: 0;
    white-space: normal;
  }
  tbody tr .before,
  tbody tr .after {
    width: auto;
  }
  .after {
    padding-left: 18px;
  }
  .why {
    grid-column: 1 / -1;
  }
  .why:empty,
  .book:empty {
    display: none;
  }
  .book {
    width: auto;
    grid-column: 1 / -1;
  }
  .narrow {
    display: inline;
  }
  .component {
    display: block;
  }
}
</style>
