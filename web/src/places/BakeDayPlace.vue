<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { ApiError } from '../api/client'
import OvenFields from '../components/OvenFields.vue'
import PanelCards from '../components/PanelCards.vue'
import MethodBeside from '../components/MethodBeside.vue'
import TimerPills from '../components/TimerPills.vue'
import WhenToBegin from '../components/WhenToBegin.vue'
import { useKeys } from '../composables/useKeys'
import { usePaper } from '../composables/usePaper'
import { useWhenToBegin } from '../composables/useWhenToBegin'
import { draft, keepDraft } from '../logic/draft'
import { grams, kcal, plural } from '../logic/format'
import { useHousehold } from '../stores/household'
import { useNotices } from '../stores/notices'
import { useWorktop } from '../stores/worktop'
import type { MethodStep, Settings, StepUse, Timer } from '../api/types'

const props = defineProps<{ id: number; version: number }>()
const worktop = useWorktop()
const household = useHousehold()
const notices = useNotices()
const router = useRouter()
const problem = ref('')
const isLost = ref(false)
const day = computed(() => (worktop.day?.version_id === props.version ? worktop.day : undefined))
const clock = useWhenToBegin(props)
const have = ref<string[]>(draft(`have.${props.version}`, []))

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
    await clock.plan()
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
    await clock.plan()
  } catch (error) {
    problem.value = error instanceof Error ? error.message : 'Something went wrong.'
    isLost.value = error instanceof ApiError && error.code === 'not_found'
  }
})
watch(
  () => props.version,
  () => {
    have.value = draft(`have.${props.version}`, [])
    clock.takeUp()
    worktop
      .load(props.id, props.version)
      .then(() => clock.plan())
      .catch(notices.complain)
  },
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
        <WhenToBegin
          :serve="clock.serve.value"
          :sleep="clock.sleep.value"
          :others="clock.others.value"
          :beside-key="clock.besideKey.value"
          :pins="clock.pins.value"
          :calendar="clock.calendar.value"
          :schedule="worktop.schedule"
          @serve="clock.serveAt"
          @sleep="clock.changeSleep"
          @beside="clock.bakeBeside"
          @pin="clock.pin"
          @let-go="clock.letGo"
        />
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
