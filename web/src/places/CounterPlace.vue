<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Timer, ToWeigh, WayOn } from '../api/types'
import TimerPills from '../components/TimerPills.vue'
import WeighPanel from '../components/WeighPanel.vue'
import { useKeys } from '../composables/useKeys'
import { waitText } from '../logic/clock'
import { draft, keepDraft } from '../logic/draft'
import { heat as told, number } from '../logic/format'
import { ring } from '../logic/tone'
import { useBowl } from '../stores/bowl'
import { useDevices } from '../stores/devices'
import { useNotices } from '../stores/notices'
import { useWorktop } from '../stores/worktop'

const props = defineProps<{ id: number; version: number }>()
const worktop = useWorktop()
const bowl = useBowl()
const devices = useDevices()
const notices = useNotices()
const router = useRouter()
const at = ref(draft(`counter.${props.version}`, 0))
const steps = computed(() => (worktop.day?.version_id === props.version ? worktop.day.method.steps : []))
const step = computed(() => steps.value[Math.min(at.value, steps.value.length - 1)])
const ofThis = computed(() =>
  worktop.timers.filter((timer) => timer.step === step.value?.n && timer.version_id === props.version),
)
const mine = computed(() => ofThis.value.find((timer) => !timer.repeats))
const isStirring = computed(() => ofThis.value.some((timer) => timer.repeats))
/** What goes in at this step, as it is weighed. */
const toWeigh = computed(() =>
  bowl.bowl?.version_id === props.version
    ? bowl.bowl.lines.filter((line) => line.step === step.value?.n)
    : [],
)
const question = computed(() => {
  const asked = bowl.bowl?.version_id === props.version ? bowl.bowl.question : null
  return asked && asked.step === step.value?.n ? asked : null
})
/** What a portion holds of free sugar as it is weighed, where that is another amount than was planned. */
const sugar = computed(() => {
  const now = bowl.bowl
  // Of what goes in a little at a time it is told as it goes.
  const isByLittle = toWeigh.value.some((line) => line.by_little && line.weighed_g !== null)
  if (!now || Math.abs(now.free_sugars_who_g - now.planned_free_sugars_who_g) < (isByLittle ? 0.05 : 0.1))
    return ''
  return `${number(now.free_sugars_who_g)} g free sugar a portion, ${number(now.planned_free_sugars_who_g)} g planned`
})
const isBusy = ref(false)
const panel = ref<InstanceType<typeof WeighPanel>>()
/** What the probe says of what is on the hob or in the oven now. */
const heat = computed(() => {
  const probe = devices.probe
  const reaches = step.value?.reaches
  if (!probe || probe.celsius === null || !(reaches || step.value?.wait?.kind === 'bake')) return ''
  if (probe.state !== 'live') return 'the probe says nothing'
  const now = `${told(probe.celsius)} by the probe`
  return reaches ? `${now}, ${told(reaches.temperature_c)} wanted` : now
})
const isHot = computed(
  () =>
    devices.probe?.state === 'live' &&
    !!step.value?.reaches &&
    (devices.probe.celsius ?? 0) >= step.value.reaches.temperature_c,
)
let lock: WakeLockSentinel | undefined

async function done(work: Promise<void>): Promise<void> {
  isBusy.value = true
  await work.catch(notices.complain)
  isBusy.value = false
}

/** What was weighed is noted; the scale is set to zero for what comes next. */
async function weigh(line: ToWeigh, grams: number | null): Promise<void> {
  await done(bowl.weigh(line.position, line.step, grams))
  if (grams !== null && devices.scale?.state === 'live') await devices.tare().catch(() => undefined)
}

function tare(): void {
  devices.tare().catch(notices.complain)
}

/** What follows changes the words of the steps too. */
function choose(kind: WayOn['kind']): void {
  void done(bowl.choose(kind).then(() => worktop.load(props.id, props.version)))
}

function go(by: number): void {
  at.value = Math.min(Math.max(at.value + by, 0), Math.max(steps.value.length - 1, 0))
}

async function start(): Promise<void> {
  const wait = step.value?.wait
  if (!wait || !step.value) return
  if ('Notification' in window && Notification.permission === 'default') void Notification.requestPermission()
  const name = `${wait.kind.charAt(0).toUpperCase()}${wait.kind.slice(1)}, step ${step.value.n}`
  await worktop.start(name, wait.low_min * 60, step.value.n).catch(notices.complain)
}

/** Rings every few minutes, to stir or turn what goes on by itself. */
async function startStirring(): Promise<void> {
  const every = step.value?.stirred_every_min
  if (!every || !step.value) return
  await worktop.start(`Stir, step ${step.value.n}`, every * 60, step.value.n, true).catch(notices.complain)
}

async function stop(timer: Timer): Promise<void> {
  await worktop.stop(timer.id).catch(notices.complain)
}

async function stayAwake(): Promise<void> {
  try {
    lock = await navigator.wakeLock.request('screen')
  } catch {
    // Not every browser keeps a screen awake: the steps stay where they are.
  }
}

function tapped(event: MouseEvent): void {
  if (!(event.target as HTMLElement).closest('button, a')) go(1)
}

watch(at, (n) => keepDraft(`counter.${props.version}`, n))
useKeys({
  ' ': () => go(1),
  ArrowRight: () => go(1),
  ArrowLeft: () => go(-1),
  Backspace: () => go(-1),
  i: () => void start(),
  s: () => void startStirring(),
  Enter: () => panel.value?.take(),
  t: tare,
  Escape: () => void router.push(`/recipes/${props.id}/bake-day/${props.version}`),
})
onMounted(() => {
  worktop.load(props.id, props.version).catch(notices.complain)
  bowl.load(props.id, props.version).catch(notices.complain)
  devices.follow().catch(notices.complain)
  void stayAwake()
})
onBeforeUnmount(() => {
  void lock?.release()
  devices.leave()
})
watch(isHot, (is) => is && ring())
function sound(): void {
  ring()
}
</script>

<template>
  <section class="counter" :aria-label="worktop.day?.method.title ?? 'Counter'" @click="tapped">
    <header>
      <router-link :to="`/recipes/${id}/bake-day/${version}`" class="leave">{{
        worktop.day?.method.title ?? 'Bake day'
      }}</router-link>
      <span v-if="step">step {{ step.n }} of {{ steps.length }}</span>
    </header>
    <article v-if="step" aria-live="polite">
      <p v-if="step.component" class="part">{{ step.component }}</p>
      <p class="text display">{{ step.text }}</p>
      <p v-if="step.dial" class="heat">{{ step.dial }}</p>
      <p v-if="heat" class="heat" :class="{ hot: isHot }">{{ heat }}</p>
      <p v-for="note in step.notes" :key="note" class="note">{{ note }}</p>
      <p v-if="step.until && !step.text.includes(step.until)" class="note">until {{ step.until }}</p>
    </article>
    <p v-else class="part">One moment.</p>
    <WeighPanel
      v-if="toWeigh.length"
      ref="panel"
      :lines="toWeigh"
      :question="question"
      :scale="devices.scale"
      :is-busy="isBusy"
      :sugar="sugar"
      @weigh="weigh"
      @choose="choose"
      @tare="tare"
    />
    <footer>
      <TimerPills :timers="worktop.timers" is-large @stop="stop" />
      <div class="buttons">
        <button type="button" :disabled="at === 0" @click="go(-1)">Back</button>
        <button v-if="step?.wait && !mine" type="button" class="timer" @click="start">
          Start {{ waitText(step.wait) }}
        </button>
        <button
          v-if="step?.stirred_every_min && !isStirring"
          type="button"
          class="timer"
          @click="startStirring"
        >
          Stir every {{ step.stirred_every_min }} min
        </button>
        <button type="button" class="quiet-button" @click="sound">Try the bell</button>
        <button v-if="at < steps.length - 1" type="button" class="on" @click="go(1)">Next</button>
        <button v-else type="button" class="on" @click="router.push(`/recipes/${id}/bake-day/${version}`)">
          Done
        </button>
      </div>
    </footer>
  </section>
</template>

<style scoped>
.counter {
  position: fixed;
  inset: 0;
  z-index: 950;
  display: grid;
  grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr) auto;
  gap: 0 28px;
  padding: 22px 34px;
  background: #231720;
  color: #fbebd2;
  cursor: pointer;
  --card: #3a2431;
  --ink: #fbebd2;
  --band: #5d3f4f;
  --hair: #6b5060;
}
header,
footer {
  grid-column: 1 / -1;
}
.weigh {
  width: min(470px, 42vw);
  align-self: center;
  max-height: 100%;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 20px;
  font-size: 1.15rem;
}
.leave {
  color: #e9c998;
  padding: 14px 0;
}
article {
  overflow: auto;
  min-height: 0;
  display: flex;
  flex-direction: column;
  justify-content: safe center;
}
.part {
  color: #e8a020;
  font-size: 1.4rem;
  margin: 0 0 8px;
}
.text {
  margin: 0;
  font-size: clamp(1.9rem, 4.6vw, 3.7rem);
  line-height: 1.14;
  max-width: 26ch;
}
.heat {
  font-size: clamp(1.4rem, 2.6vw, 2.1rem);
  color: #ffd98a;
  margin: 18px 0 0;
}
.heat.hot {
  color: #b6dd8c;
}
.note {
  color: #ffb48a;
  font-size: 1.25rem;
  max-width: 44ch;
  margin: 16px 0 0;
}
footer {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
}
.buttons button {
  min-height: 72px;
  min-width: 120px;
  padding: 0 26px;
  border-radius: 18px;
  font-size: 1.35rem;
  background: #4a3342;
  color: inherit;
}
.buttons button:disabled {
  opacity: 0.45;
}
.buttons .on {
  margin-left: auto;
  background: #e8a020;
  color: #231720;
  font-weight: 700;
  min-width: 180px;
}
.buttons .timer {
  background: #f6dfb4;
  color: #231720;
  font-weight: 700;
}
.buttons .quiet-button {
  min-width: 72px;
  font-size: 1rem;
}
.counter :focus-visible {
  outline: 3px solid #ffd98a;
}
@media (max-width: 700px) {
  .counter {
    padding: 12px 16px 16px;
    display: flex;
    flex-direction: column;
    overflow: auto;
  }
  article {
    flex: 1 0 auto;
    overflow: visible;
    padding-bottom: 16px;
  }
  footer {
    position: sticky;
    bottom: -16px;
    padding: 12px 0 16px;
    background: #231720;
    flex: none;
  }
  .counter .weigh {
    flex: none;
    align-self: stretch;
    max-height: none;
  }
  .weigh {
    width: 100%;
    margin-bottom: 12px;
  }
  .buttons .quiet-button {
    display: none;
  }
  .buttons button {
    flex: 1;
    min-width: 90px;
    padding: 0 10px;
  }
}
</style>
