<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import FileButtons from '../components/FileButtons.vue'
import KindAsked from '../components/KindAsked.vue'
import NumberField from '../components/NumberField.vue'
import PortionKinds from '../components/PortionKinds.vue'
import RecipeText from '../components/RecipeText.vue'
import ReadLineRow from '../components/ReadLineRow.vue'
import { useKeys } from '../composables/useKeys'
import { grams, kcal, ovenHeat, plural } from '../logic/format'
import { useBringIn } from '../stores/bringIn'
import type { Decision, ShownLine } from '../api/types'
import { useHousehold } from '../stores/household'
import { useNotices } from '../stores/notices'

const store = useBringIn()
const household = useHousehold()
const notices = useNotices()
const router = useRouter()
const position = ref(0)
const isKeeping = ref(false)
let timer: ReturnType<typeof setTimeout> | undefined

const current = computed(() => store.open[Math.min(position.value, store.open.length - 1)])
const shown = computed(() => store.lines.filter((line) => line.status !== 'note'))
const method = computed(() => {
  const read = store.reading
  if (!read) return ''
  const span = (low: number, high: number) => (low === high ? `${low}` : `${low}–${high}`)
  return [
    read.oven && `oven ${ovenHeat(read.oven.temperature_c)}${read.oven.is_fan ? ', fan' : ''}`,
    read.tin?.text,
    ...read.times.map((time) => `${time.doing} ${span(time.low, time.high)} min`),
  ]
    .filter(Boolean)
    .join(' · ')
})
/** What each component is taken for, where there is no doubt. */
const kinds = computed(() =>
  store.kinds
    .filter((part) => part.is_sure)
    .map((part) =>
      part.component ? `${part.component}: ${part.family_name}` : `taken for a ${part.family_name}`,
    )
    .join(' · '),
)
const told = computed(() => (store.kept.servings ? null : store.reading?.portions))
const isGuess = computed(() => !store.kept.servings && (!told.value?.count || told.value.is_assumed))
/** What the number of portions was read from, and what they are cut from. */
const toldWords = computed(() => {
  if (!told.value) return ''
  const range = told.value.high !== told.value.low ? `, up to ${told.value.high}` : ''
  return `${told.value.whole ? `of ${told.value.whole}` : 'as it says'}${range}`
})
const portion = computed(() => store.analysis?.per_serving)
const EXAMPLE = `Lemon yoghurt loaf
Makes 10 slices

1½ cups (190 g) plain flour
1 cup (200 g) sugar
¾ cup plain yoghurt
½ cup neutral oil
3 large eggs
zest and juice of 1 lemon
2 tsp baking powder
a pinch of salt`

function changed(): void {
  clearTimeout(timer)
  timer = setTimeout(() => void store.read(), 250)
}

function start(text: string): void {
  store.kept.text = text
  void store.read()
}

const MOST_BYTES = 900_000

/** A file's text goes to the reader; an own file goes to the shelf. */
async function bringFile(file: File): Promise<void> {
  if (file.size > MOST_BYTES) {
    notices.say(`${file.name} is larger than any recipe; nothing was changed.`)
    return
  }
  try {
    const found = await store.bringFile(file.name, await file.text())
    if (found.recipe_id === null) start(found.text)
    else await router.push(`/recipes/${found.recipe_id}/bench`)
  } catch (error) {
    notices.complain(error)
  }
}

async function decide(line: ShownLine, decision: Decision | undefined): Promise<void> {
  try {
    await store.decide(line, decision)
  } catch (error) {
    notices.complain(error)
  }
}

async function next(): Promise<void> {
  if (!store.open.length) return
  position.value = (position.value + 1) % store.open.length
  await nextTick()
  document.getElementById(`line-${current.value?.index}`)?.scrollIntoView({ block: 'center' })
}

function take(n: number): void {
  const line = current.value
  if (!line) return
  const statement = line.conflict?.statements[n]
  const candidate = line.candidates[n]
  if (statement) void decide(line, { ingredient: line.ingredient ?? '', name: '', grams: statement.grams })
  else if (candidate?.grams !== null && candidate)
    void decide(line, { ingredient: candidate.ingredient, name: candidate.name, grams: candidate.grams })
}

async function setServings(count: number | null): Promise<void> {
  store.kept.servings = count
  await store.total().catch(notices.complain)
}

async function keep(): Promise<void> {
  if (!store.weighed.length || isKeeping.value) return
  if (store.open.length) {
    notices.say(
      `Decide ${store.open.length} more ${plural(store.open.length, 'line')} first, or leave them out.`,
    )
    return
  }
  isKeeping.value = true
  try {
    const recipe = await store.keep()
    await router.push(`/recipes/${recipe.id}/bench`)
  } catch (error) {
    notices.complain(error)
  } finally {
    isKeeping.value = false
  }
}

useKeys({
  n: () => void next(),
  k: () => void keep(),
  ...Object.fromEntries([1, 2, 3, 4, 5].map((n) => [String(n), () => take(n - 1)])),
})
onMounted(() => void store.read())
</script>

<template>
  <section class="place">
    <header class="head">
      <h1>{{ store.reading?.title || 'Bring in' }}</h1>
      <span v-if="shown.length" class="quiet" aria-live="polite">
        {{
          store.open.length
            ? `${store.open.length} ${plural(store.open.length, 'line')} to decide`
            : 'every line is decided'
        }}
      </span>
      <span class="push actions">
        <FileButtons @file="bringFile" />
        <v-btn v-if="store.kept.text" variant="text" @click="store.clear()">Start over</v-btn>
        <v-btn
          variant="flat"
          color="primary"
          :disabled="!store.weighed.length"
          :loading="isKeeping"
          @click="keep"
          >Keep and rework</v-btn
        >
      </span>
    </header>

    <div class="sides">
      <div class="source">
        <label for="source" class="quiet small">The recipe, as it is written</label>
        <RecipeText
          v-model="store.kept.text"
          :lines="store.reading?.text_lines ?? []"
          @typed="changed"
          @role="(line, role) => store.setRole(line, role).catch(notices.complain)"
        />
      </div>

      <div class="lines">
        <p v-if="store.problem" class="told" role="alert">{{ store.problem }} What you typed is kept.</p>
        <div v-else-if="!store.reading" class="empty">
          <h2>Paste a dessert on the left</h2>
          <p>Each line becomes grams of a food that Sun Crumb knows. What it is not sure of it asks.</p>
          <v-btn @click="start(EXAMPLE)">Try a lemon loaf</v-btn>
        </div>
        <template v-if="store.reading && !store.problem">
          <div class="facts">
            <span>
              <span class="quiet small">makes</span>
              <NumberField
                :model-value="store.servings"
                name="Portions"
                :min="1"
                :max="1000"
                is-inline
                is-whole
                @update:model-value="setServings"
              />
              {{ plural(store.servings, store.unit) }}
              <span v-if="isGuess" class="guess">a guess: set it</span>
              <span v-else-if="told" class="quiet small" :title="told.text">{{ toldWords }}</span>
            </span>
            <label :title="store.reading.cup_reason">
              <span class="quiet small">cup</span>
              <select
                :value="store.kept.cup ?? store.reading.cup"
                @change="((store.kept.cup = ($event.target as HTMLSelectElement).value), store.read())"
              >
                <option v-for="cup in household.choices?.cups" :key="cup.key" :value="cup.key">
                  {{ cup.name }}, {{ Math.round(cup.cup_ml) }} ml
                </option>
              </select>
            </label>
            <span v-if="portion" class="sum">
              <template v-if="store.leftOut.length">without what is asked </template
              ><b>{{ grams(portion.free_sugars_who_g) }}</b> free sugar,
              <b>{{ kcal(portion.energy_kcal) }}</b> in one {{ store.unit }}
            </span>
          </div>
          <details v-if="store.leftOut.length" class="small left-out">
            <summary>
              {{ store.leftOut.length }} {{ plural(store.leftOut.length, 'line') }} in no total yet
            </summary>
            <ul>
              <li v-for="out in store.leftOut" :key="out.position">{{ out.text }}: {{ out.why }}</li>
            </ul>
          </details>
          <p v-if="method" class="small quiet method">{{ method }}</p>
          <p v-if="store.reading.oven_problem" class="small guess" role="status">
            {{ store.reading.oven_problem }}
          </p>
          <template v-for="part in store.kinds" :key="part.component">
            <KindAsked
              v-if="!part.is_sure && part.candidates.length > 1"
              :component="part.component"
              :candidates="part.candidates"
              @choose="store.setFamily(part.component, $event).catch(notices.complain)"
            />
          </template>
          <p v-if="kinds" class="small quiet">{{ kinds }}</p>
          <PortionKinds
            v-model="store.kept.portions"
            :components="store.components"
            :servings="store.servings"
            :unit="store.unit"
            :amounts="store.analysis?.components ?? []"
            :suggested="store.analysis?.suggested_portions ?? []"
            @enough="(component, count) => store.setOwnYield(component, count).catch(notices.complain)"
          />
          <ul>
            <ReadLineRow
              v-for="line in shown"
              :key="`${line.index}-${line.decisionKey}`"
              :line="line"
              :is-current="line.index === current?.index"
              @decide="decide(line, $event)"
            />
          </ul>
          <p v-if="!store.weighed.length && !store.open.length" class="told">
            No line of this text names a food with an amount.
          </p>
        </template>
      </div>
    </div>
  </section>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: minmax(260px, 0.75fr) minmax(320px, 1.25fr);
  gap: 32px;
  align-items: start;
}
.source {
  position: sticky;
  top: 16px;
}
.left-out {
  margin: 4px 0;
  color: var(--ember);
}
.left-out li {
  padding: 0;
  border: 0;
}
ul {
  list-style: none;
  padding: 0;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 22px;
  align-items: baseline;
  padding-bottom: 10px;
  border-bottom: 2px solid var(--ink);
}
.facts select {
  color: inherit;
  background: var(--paper);
  border-bottom: 2px solid var(--sun);
  padding: 2px 4px;
  font: inherit;
  font-weight: 650;
}
.facts span.small {
  margin-right: 6px;
}
.method {
  padding-top: 6px;
}
.sum {
  margin-left: auto;
}
.guess {
  color: var(--ember);
  font-weight: 600;
}
.empty {
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 40px 0;
}
@media (max-width: 900px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
  .source {
    position: static;
  }
}
</style>
