<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { ApiError } from '../api/client'
import OvenFields from '../components/OvenFields.vue'
import PanelCards from '../components/PanelCards.vue'
import DayClock from '../components/DayClock.vue'
import MethodBeside from '../components/MethodBeside.vue'
import TimerPills from '../components/TimerPills.vue'
import { useKeys } from '../composables/useKeys'
import { usePaper } from '../composables/usePaper'
import { minutesText } from '../logic/clock'
import { draft, keepDraft } from '../logic/draft'
import { grams, kcal, plural } from '../logic/format'
import { withPlanned } from '../logic/planned'
import { useHousehold } from '../stores/household'
import { useNotices } from '../stores/notices'
import { useWorktop } from '../stores/worktop'
import type { MethodStep, Schedule, Settings, StepUse, Timer } from '../api/types'

const props = defineProps<{ id: number; version: number }>()
const worktop = useWorktop()
const household = useHousehold()
const notices = useNotices()
const router = useRouter()
const problem = ref('')
const isLost = ref(false)
const day = computed(() => (worktop.day?.version_id === props.version ? worktop.day : undefined))
const serve = ref(draft(`serve.${props.version}`, tomorrowAt(16)))
const sleep = computed(() => household.settings.sleep)
const have = ref<string[]>(draft(`have.${props.version}`, []))
const calendar = computed(
  () =>
    `/api/recipes/${props.id}/versions/${props.version}/schedule.ics?serve=${serve.value}&sleep=${sleep.value}&beside=${beside.value.length ? besideKey.value : ''}&pins=${Object.entries(
      pins.value,
    )
      .map(([key, at]) => `${key}@${at}`)
      .join(',')}`,
)

function tomorrowAt(hour: number): string {
  const at = new Date(Date.now() + 86_400_000)
  const two = (n: number): string => String(n).padStart(2, '0')
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}T${two(hour)}:00`
}

/** When some steps begin by the cook's own word; what else is baked for the same time. */
const pins = ref<Record<string, string>>(draft(`pins.${props.version}`, {}))
const besideKey = ref(draft(`beside.${props.version}`, ''))
const others = computed(() => household.settings.planned.filter((bake) => bake.version !== props.version))
const beside = computed(() => {
  const bake = others.value.find((one) => `${one.recipe}/${one.version}` === besideKey.value)
  return bake ? [{ recipe_id: bake.recipe, version_id: bake.version }] : []
})

let wentWith: Record<string, string> = {}

let isPinning = false

/** One move at a time: what is pressed while the day is planned is not heard. */
async function pin(id: string, iso: string): Promise<void> {
  if (isPinning) return
  isPinning = true
  try {
    pins.value = { ...pins.value, [id]: iso }
    const found = await plan()
    if (found?.feasible) wentWith = pins.value
    if (!found || found.feasible) return
    // Back to the last that went.
    pins.value = wentWith
    await plan()
    notices.say(`It can’t begin at ${iso.slice(11, 16)}: ${found.clashes.join('; ') || 'there is no way'}.`)
  } finally {
    isPinning = false
  }
}

function letGo(): void {
  const before = pins.value
  pins.value = wentWith = {}
  void plan()
  notices.say('All steps are planned anew.', {
    label: 'Undo',
    run: () => {
      pins.value = before
      void plan()
    },
  })
}

/** At another time of serving nothing is where it was moved to. */
function letGoAndPlan(): void {
  pins.value = wentWith = {}
  void plan()
}

function bakeBeside(key: string): void {
  besideKey.value = key
  keepDraft(`beside.${props.version}`, key)
  pins.value = wentWith = {}
  void plan()
}

async function plan(isChosen = true): Promise<Schedule | undefined> {
  if (!serve.value) return undefined
  keepDraft(`serve.${props.version}`, serve.value)
  keepDraft(`pins.${props.version}`, pins.value)
  const found = await worktop
    .plan(props.id, props.version, serve.value, sleep.value, beside.value, pins.value)
    .catch((error: unknown) => {
      notices.complain(error)
      return undefined
    })
  const start = worktop.schedule?.start
  if (start && day.value && isChosen) {
    const bake = {
      recipe: props.id,
      version: props.version,
      title: day.value.method.title,
      label: day.value.label,
      serve: serve.value,
      start,
    }
    await household.change({ planned: withPlanned(household.settings.planned, bake) }).catch(notices.complain)
  }
  return found
}

async function changeSleep(from: string, to: string): Promise<void> {
  const hours = from && to ? `${from}-${to}` : ''
  await household.change({ sleep: hours }).catch(notices.complain)
  await plan()
}

async function changeOven(changes: Partial<Settings>): Promise<void> {
  try {
    await household.change(changes)
    await worktop.load(props.id, props.version)
  } catch (error) {
    notices.complain(error)
  }
}

const isMoving = ref(false)
/** The foods whose step the words leave open. */
const guessed = computed(() => {
  const names = (day.value?.method.steps ?? []).flatMap((step) =>
    step.uses.filter((use) => !use.is_sure && use.position !== null).map((use) => use.name),
  )
  return [...new Set(names)].slice(0, 3).join(', ')
})

async function move(use: StepUse, step: MethodStep): Promise<void> {
  if (use.position === null || use.position === undefined) return
  const from = day.value?.method.steps.find((one) => one.uses.some((u) => u.position === use.position))
  const { position } = use
  try {
    await worktop.move(props.id, props.version, position, step.key ?? '')
    await plan(false)
    notices.say(`${use.name} goes in at step ${step.n}.`, {
      label: 'Undo',
      run: () => worktop.move(props.id, props.version, position, from?.key ?? '').catch(notices.complain),
    })
    await nextTick()
    document.querySelector<HTMLElement>(`.uses .chip[aria-label^="${CSS.escape(use.name ?? '')}"]`)?.focus()
  } catch (error) {
    notices.complain(error)
  }
}

async function say(key: string, text: string, kept: () => void): Promise<void> {
  const before = day.value?.method.steps.find((step) => step.key === key)
  try {
    await worktop.say(props.id, props.version, key, text)
    kept()
    notices.say(text ? 'Your words are kept with this version.' : 'The words are the plan’s again.', {
      label: 'Undo',
      run: () =>
        worktop.say(props.id, props.version, key, before?.ours ? before.text : '').catch(notices.complain),
    })
  } catch (error) {
    notices.complain(error)
  }
}

function check(key: string): void {
  have.value = have.value.includes(key) ? have.value.filter((k) => k !== key) : [...have.value, key]
  keepDraft(`have.${props.version}`, have.value)
}

function serveAt(iso: string): void {
  pins.value = {}
  serve.value = iso
  void plan()
}

async function stop(timer: Timer): Promise<void> {
  await worktop.stop(timer.id).catch(notices.complain)
  notices.say(`${timer.name} stopped.`, {
    label: 'Go on',
    run: () => worktop.goOn(timer.id).catch(notices.complain),
  })
}

/** The workshop's sum, with this cake in it. */
const cutOtherwise = computed(() => ({
  path: '/workshop',
  query: {
    sum: 'cut',
    tin: day.value?.cut?.tin,
    pieces: String(day.value?.cut?.pieces),
    sugar: String(day.value?.cut?.free_sugars_who_g),
  },
}))
usePaper(() => household.settings)
const counter = computed(() => `/recipes/${props.id}/counter/${props.version}`)
useKeys({ c: () => void router.push(counter.value) })
onMounted(async () => {
  try {
    await worktop.load(props.id, props.version)
    await plan(false)
  } catch (error) {
    problem.value = error instanceof Error ? error.message : 'Something went wrong.'
    isLost.value = error instanceof ApiError && error.code === 'not_found'
  }
})
watch(
  () => props.version,
  () =>
    worktop
      .load(props.id, props.version)
      .then(() => plan(false))
      .catch(notices.complain),
)
function print(): void {
  window.print()
}
</script>

<template>
  <section class="place bake">
    <header class="head">
      <h1>{{ day?.method.title ?? 'Bake day' }}</h1>
      <span v-if="day" class="quiet"
        >{{ day.number === 1 ? 'the original' : day.label }} · {{ day.servings }}
        {{ plural(day.servings, day.unit) }}, {{ grams(day.free_sugars_who_g) }} of free sugar and
        {{ kcal(day.energy_kcal) }} in each</span
      >
      <span v-if="day" class="push actions no-print">
        <router-link :to="`/recipes/${id}/bench`" class="plain">To the bench</router-link>
        <v-btn size="small" variant="text" @click="print">Print the card</v-btn>
        <v-btn color="primary" variant="flat" :to="counter">To the counter</v-btn>
      </span>
    </header>
    <TimerPills :timers="worktop.timers" class="no-print" @stop="stop" />
    <div v-if="problem" class="problem">
      <p>{{ problem }}</p>
      <router-link v-if="isLost" to="/recipes">Back to the shelf</router-link>
      <router-link v-else :to="`/recipes/${id}/bench`">The method is written down at the Bench.</router-link>
    </div>
    <div v-if="day" class="sides">
      <div>
        <h2>
          What is done
          <button
            type="button"
            class="plain small no-print"
            :aria-pressed="isMoving"
            @click="isMoving = !isMoving"
          >
            what goes in where
          </button>
        </h2>
        <p v-if="guessed && !isMoving" class="no-print small">
          Where {{ guessed }} go{{ guessed.includes(',') || guessed.includes(' and ') ? '' : 'es' }} in is a
          guess:
          <button type="button" class="plain" @click="isMoving = true">look</button>
        </p>
        <p v-if="isMoving" class="quiet small no-print">
          Drag a food to the step it goes in at, or press the arrow keys on it. A guess has a broken line.
        </p>
        <MethodBeside
          :steps="day.method.steps"
          :is-original="day.number === 1"
          :is-moving="isMoving"
          @say="say"
          @move="move"
        />
        <p v-if="day.cut" class="cut">
          {{ day.cut.words }}
          <router-link :to="cutOtherwise" class="plain small no-print">cut otherwise</router-link>
        </p>
        <dl v-if="day.keeping.length" class="keeping">
          <template v-for="kept in day.keeping" :key="kept.words">
            <dt>
              {{ kept.about === 'cool' ? 'Cooling and cutting' : 'Keeping'
              }}<template v-if="kept.component">, {{ kept.component }}</template>
            </dt>
            <dd>{{ kept.words }}</dd>
          </template>
        </dl>
        <p v-for="caution in day.cautions" :key="caution" class="caution small">{{ caution }}</p>
      </div>
      <aside>
        <section class="no-print" aria-labelledby="clock-title">
          <h2 id="clock-title">When to begin</h2>
          <p class="asks">
            <label
              >on the table at <input v-model="serve" type="datetime-local" @change="letGoAndPlan"
            /></label>
            <label
              >asleep from
              <input
                type="time"
                :value="sleep.slice(0, 5)"
                @change="changeSleep(($event.target as HTMLInputElement).value, sleep.slice(6))"
            /></label>
            <label
              >to
              <input
                type="time"
                :value="sleep.slice(6)"
                @change="changeSleep(sleep.slice(0, 5), ($event.target as HTMLInputElement).value)"
            /></label>
          </p>
          <p v-if="others.length" class="asks">
            <label
              >on one day with
              <select :value="besideKey" @change="bakeBeside(($event.target as HTMLSelectElement).value)">
                <option value="">nothing else</option>
                <option v-for="bake in others" :key="bake.version" :value="`${bake.recipe}/${bake.version}`">
                  {{ bake.title }}, {{ bake.label }}
                </option>
              </select></label
            >
          </p>
          <p v-if="Object.keys(pins).length" class="small">
            {{ Object.keys(pins).length }} {{ plural(Object.keys(pins).length, 'step') }} moved by you.
            <button type="button" class="plain" @click="letGo">Plan all anew</button>
          </p>
          <template v-if="worktop.schedule?.feasible && worktop.schedule.start">
            <p class="begin">
              begin at
              <b class="display">{{ worktop.schedule.start.slice(11, 16) }}</b>
              <template v-if="worktop.schedule.start.slice(0, 10) !== serve.slice(0, 10)">
                the day before</template
              >, {{ minutesText(worktop.schedule.makespan_min ?? 0) }} ahead
              <a :href="calendar" class="plain small">into a calendar</a>
            </p>
            <DayClock :schedule="worktop.schedule" :pins="pins" @pin="pin" />
          </template>
          <div v-else-if="worktop.schedule" class="problem">
            <p>
              It can’t be ready by then:
              <template v-for="(clash, n) in worktop.schedule.clashes" :key="clash"
                ><template v-if="n">; </template>{{ clash }}</template
              >.
            </p>
            <v-btn
              v-if="worktop.schedule.earliest"
              size="small"
              variant="outlined"
              @click="serveAt(worktop.schedule.earliest)"
              >Serve at {{ worktop.schedule.earliest.slice(11, 16) }} on
              {{ worktop.schedule.earliest.slice(0, 10) }} instead</v-btn
            >
          </div>
        </section>
        <details class="no-print" @toggle="worktop.loadPanels(props.version).catch(notices.complain)">
          <summary>What a pack of it would say</summary>
          <PanelCards v-if="worktop.panels?.version_id === props.version" :panels="worktop.panels" />
        </details>
        <section class="no-print" aria-labelledby="oven-title">
          <h2 id="oven-title">Your oven</h2>
          <OvenFields :settings="household.settings" @change="changeOven" />
        </section>
        <section aria-labelledby="ready-title">
          <h2 id="ready-title">To have ready</h2>
          <ul class="ready">
            <li v-for="food in day.to_buy" :key="`${food.ingredient} ${food.of}`">
              <label :class="{ had: have.includes(food.ingredient + food.of) }">
                <input
                  type="checkbox"
                  :checked="have.includes(food.ingredient + food.of)"
                  @change="check(food.ingredient + food.of)"
                />
                <span>{{ food.told }} {{ food.name }}</span>
                <span v-if="food.of" class="quiet small of">for the {{ food.of }}</span>
              </label>
            </li>
          </ul>
          <p v-if="day.allergens.length" class="small">Holds {{ day.allergens.join(', ') }}.</p>
        </section>
      </aside>
    </div>
  </section>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 44px;
  margin-top: 12px;
}
.asks {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
}
input[type='datetime-local'],
input[type='time'] {
  font: inherit;
  color: inherit;
  border-bottom: 2px solid var(--sun);
  padding: 2px 4px;
  background: none;
}
.begin {
  margin: 14px 0 10px;
}
.begin b {
  font-size: 2.2rem;
}
.plain {
  color: inherit;
  align-self: center;
}
.ready {
  list-style: none;
  padding: 0;
  columns: 2;
}
.ready li {
  break-inside: avoid;
  padding: 4px 0;
}
.ready label {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0 10px;
  align-items: start;
}
.ready .of {
  grid-column: 2;
}
.had span {
  text-decoration: line-through;
  color: var(--quiet);
}
.keeping {
  margin: 18px 0 0;
  padding-top: 12px;
  border-top: 1px solid var(--hair);
  max-width: 66ch;
}
.cut {
  margin: 18px 0 0;
  max-width: 66ch;
}
.cut a {
  margin-left: 8px;
}
.keeping dt {
  color: var(--quiet);
  font-size: 0.88rem;
}
.keeping dd {
  margin: 0 0 8px;
}
.caution {
  margin: 14px 0 0;
  padding-left: 12px;
  border-left: 3px solid var(--ember);
}
.problem {
  padding: 12px 0;
}
h2 {
  margin-bottom: 8px;
}
section + section,
details + section {
  margin-top: 26px;
}
section + details {
  margin-top: 14px;
}
@media (max-width: 1000px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
    gap: 10px;
  }
}
@media (max-width: 700px) {
  .ready {
    columns: 1;
  }
}
@media print {
  .no-print {
    display: none;
  }
  .sides {
    display: block;
  }
}
</style>
