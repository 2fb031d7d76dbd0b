<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Timer } from '../api/types'
import TimerPills from '../components/TimerPills.vue'
import { useKeys } from '../composables/useKeys'
import { waitText } from '../logic/clock'
import { draft, keepDraft } from '../logic/draft'
import { ring } from '../logic/tone'
import { useNotices } from '../stores/notices'
import { useWorktop } from '../stores/worktop'

const props = defineProps<{ id: number; version: number }>()
const worktop = useWorktop()
const notices = useNotices()
const router = useRouter()
const at = ref(draft(`counter.${props.version}`, 0))
const steps = computed(() => (worktop.day?.version_id === props.version ? worktop.day.method.steps : []))
const step = computed(() => steps.value[Math.min(at.value, steps.value.length - 1)])
const mine = computed(() =>
  worktop.timers.find((timer) => timer.step === step.value?.n && timer.version_id === props.version),
)
let lock: WakeLockSentinel | undefined

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
  Escape: () => void router.push(`/recipes/${props.id}/bake-day/${props.version}`),
})
onMounted(() => {
  worktop.load(props.id, props.version).catch(notices.complain)
  void stayAwake()
})
onBeforeUnmount(() => void lock?.release())
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
      <ul v-if="step.uses.length" class="uses">
        <li v-for="use in step.uses" :key="use.line + use.name">
          <b>{{ use.told }}</b> {{ use.name }}
        </li>
      </ul>
      <p v-for="note in step.notes" :key="note" class="note">{{ note }}</p>
      <p v-if="step.until && !step.text.includes(step.until)" class="note">until {{ step.until }}</p>
    </article>
    <p v-else class="part">One moment.</p>
    <footer>
      <TimerPills :timers="worktop.timers" is-large @stop="stop" />
      <div class="buttons">
        <button type="button" :disabled="at === 0" @click="go(-1)">Back</button>
        <button v-if="step?.wait && !mine" type="button" class="timer" @click="start">
          Start {{ waitText(step.wait) }}
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
  display: flex;
  flex-direction: column;
  padding: 22px 34px;
  background: #231720;
  color: #fbebd2;
  cursor: pointer;
  --card: #3a2431;
  --ink: #fbebd2;
  --band: #5d3f4f;
  --hair: #6b5060;
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
  flex: 1;
  overflow: auto;
  display: flex;
  flex-direction: column;
  justify-content: center;
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
.uses {
  list-style: none;
  padding: 0;
  margin: 26px 0 0;
  display: flex;
  flex-wrap: wrap;
  gap: 10px 34px;
  font-size: clamp(1.15rem, 2vw, 1.7rem);
}
.uses b {
  color: #ffd98a;
}
.note {
  color: #ffb48a;
  font-size: 1.25rem;
  max-width: 44ch;
  margin: 16px 0 0;
}
footer {
  display: grid;
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
