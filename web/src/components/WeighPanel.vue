<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Device, ToWeigh, WayOn, WeighedIn } from '../api/types'
import { number } from '../logic/format'
import NumberField from './NumberField.vue'

const props = defineProps<{
  /** The foods that go in at this step, in order. */
  lines: ToWeigh[]
  /** What is asked of a weighing that is off, where it is one of these. */
  question: WeighedIn['question']
  scale: Device | undefined
  isBusy: boolean
  /** What that makes of a portion's sugar, in words; empty where it is as planned. */
  sugar: string
}>()
const emit = defineEmits<{
  weigh: [line: ToWeigh, grams: number | null]
  choose: [kind: WayOn['kind']]
  tare: []
}>()

const chosen = ref<number>()
const next = computed(() => props.lines.findIndex((line) => line.weighed_g === null))
const at = computed(() => chosen.value ?? (next.value < 0 ? undefined : next.value))
const line = computed(() => (at.value === undefined ? undefined : props.lines[at.value]))
const isLive = computed(() => props.scale?.state === 'live' && props.scale.grams !== null)
const typed = ref<number | null>(null)
/** A scale that stands empty tells tenths around nothing. */
const live = computed(() => {
  if (!isLive.value) return null
  const grams = props.scale?.grams ?? 0
  return Math.abs(grams) < 0.5 ? 0 : grams
})
const share = computed(() =>
  line.value && live.value !== null ? Math.min(Math.max(live.value / line.value.target_g, 0), 1.35) : 0,
)
const isThere = computed(
  () =>
    line.value !== undefined &&
    live.value !== null &&
    Math.abs(live.value - line.value.target_g) <= line.value.tolerance_g,
)
const isOver = computed(
  () =>
    line.value !== undefined &&
    live.value !== null &&
    live.value > line.value.target_g + line.value.tolerance_g,
)
const scaleWords = computed(() => {
  if (!props.scale) return ''
  if (props.scale.state === 'gone') return 'The scale is gone: type the weight, or go on without it.'
  if (props.scale.state === 'old') return 'The scale says nothing: type the weight, or go on without it.'
  if (props.scale.state === 'garbled') return 'The scale sends what can’t be read: type the weight.'
  if ((props.scale.battery ?? 1) < 0.1) return 'The scale’s battery is nearly empty.'
  return ''
})

watch(line, () => (typed.value = null))
watch(
  () => props.lines,
  () => (chosen.value = undefined),
)

function amount(grams: number): string {
  return number(grams)
}

/** Nearly nothing on the scale is no weight yet; what is too light for it is taken by the spoon. */
const isWeighing = computed(
  () =>
    line.value !== undefined &&
    live.value !== null &&
    live.value >=
      (line.value.weighed_g === null ? Math.max(line.value.tolerance_g, 0.2 * line.value.target_g) : 1),
)

/** What is in already, where a little more of it goes in: syrup to taste, milk until a dough comes together. */
const isIn = computed(() => line.value?.weighed_g ?? 0)

/** What the scale shows goes in; without one what was typed, else as much as the plan says. */
function take(): void {
  if (!line.value || props.isBusy) return
  const grams = typed.value ?? (isWeighing.value && live.value !== null ? live.value : line.value.target_g)
  const more = typed.value !== null || isWeighing.value ? grams : 0
  emit('weigh', line.value, Math.round((line.value.weighed_g === null ? grams : isIn.value + more) * 10) / 10)
}

const takeWords = computed(() => {
  const grams = typed.value ?? (isWeighing.value ? live.value : null)
  if (line.value?.weighed_g !== null) return grams === null ? 'Nothing more' : `Add ${amount(grams)} g`
  return grams === null ? 'As planned' : `Take ${amount(grams)} g`
})

defineExpose({ take })
</script>

<template>
  <section class="weigh" aria-label="Weigh in" @click.stop>
    <div v-if="question" class="asked" role="alertdialog" :aria-label="question.words">
      <p class="display">{{ question.words }}</p>
      <button
        v-for="choice in question.choices"
        :key="choice.kind"
        type="button"
        :disabled="isBusy"
        @click="emit('choose', choice.kind)"
      >
        {{ choice.words }}
      </button>
    </div>
    <template v-else-if="line">
      <p class="name">
        {{ line.name }}
        <small v-if="line.told !== `${amount(line.target_g)} g`">{{
          /^[\d½¼¾⅓⅔]+$/.test(line.told) ? `× ${line.told}` : line.told
        }}</small>
      </p>
      <p class="figures" aria-live="off">
        <b v-if="live !== null" :class="{ there: isThere, over: isOver }">{{ amount(live) }}</b>
        <span>{{ live !== null ? 'of' : '' }} {{ amount(line.target_g) }} g</span>
      </p>
      <p v-if="line.by_little" class="was">
        a little at a time, as much as it takes<template v-if="line.weighed_g !== null"
          >: {{ amount(isIn) }} g are in</template
        >
      </p>
      <p v-else-if="line.weighed_g !== null" class="was">
        {{ amount(isIn) }} g are in: a little more, or weigh again
      </p>
      <p v-else-if="line.target_g !== line.planned_g" class="was">
        {{ amount(line.planned_g) }} g before the rest followed
      </p>
      <div v-if="live !== null" class="bar" aria-hidden="true">
        <i :style="{ width: `${(share / 1.35) * 100}%` }" :class="{ there: isThere, over: isOver }" />
        <em />
      </div>
      <p v-if="scaleWords" class="words" role="status">{{ scaleWords }}</p>
      <div class="acts">
        <button v-if="isLive" type="button" @click="emit('tare')">Tare</button>
        <span v-else class="typed">
          <NumberField
            v-model="typed"
            :name="`Grams of ${line.name} weighed`"
            :placeholder="amount(line.target_g)"
            :max="20000"
            unit="g"
            is-optional
            is-live
            @keydown.enter="take"
          />
        </span>
        <button v-if="line.weighed_g !== null" type="button" @click="emit('weigh', line, null)">
          Weigh again
        </button>
        <button type="button" class="take" :disabled="isBusy" @click="take">
          {{ takeWords }}
        </button>
      </div>
    </template>
    <p v-else class="name">All in.</p>
    <p v-if="sugar && !question" class="was">{{ sugar }}</p>
    <ul v-if="!question" class="list">
      <li v-for="(one, n) in lines" :key="`${one.position}/${one.step}`">
        <button
          type="button"
          :class="{ now: n === at, done: one.weighed_g !== null }"
          :aria-label="
            one.weighed_g === null
              ? `${one.name}, ${amount(one.target_g)} g to go`
              : `${one.name}, ${amount(one.weighed_g)} g in: add more or weigh again`
          "
          @click="chosen = n"
        >
          <span>{{ one.name }}</span>
          <b>{{ one.weighed_g === null ? amount(one.target_g) : `✓ ${amount(one.weighed_g)}` }} g</b>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.weigh {
  background: #33212c;
  border-radius: 22px;
  padding: 20px 22px;
  display: flex;
  flex-direction: column;
  gap: 12px;
  cursor: default;
  overflow: auto;
}
.name {
  margin: 0;
  font-size: 1.7rem;
  font-weight: 700;
}
small {
  font-size: 1.1rem;
  font-weight: 400;
  color: #e9c998;
  display: block;
}
.figures {
  margin: 0;
  font-size: 1.6rem;
  color: #e9c998;
  font-variant-numeric: tabular-nums;
}
.figures b {
  font-size: clamp(3rem, 6vw, 4.6rem);
  line-height: 1;
  color: #fbebd2;
  margin-right: 10px;
}
.figures b.there {
  color: #b6dd8c;
}
.figures b.over {
  color: #ff9d7a;
}
.was,
.words {
  margin: 0;
  color: #ffb48a;
  font-size: 1.1rem;
}
.bar {
  flex: none;
  position: relative;
  height: 26px;
  border-radius: 13px;
  background: #1c121a;
  overflow: hidden;
}
.bar i {
  display: block;
  height: 100%;
  background: #e8a020;
}
.bar i.there {
  background: #8fbf5f;
}
.bar i.over {
  background: #d9603b;
}
.bar em {
  position: absolute;
  top: 0;
  bottom: 0;
  left: 74.07%;
  width: 3px;
  background: #fbebd2;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
.weigh button {
  min-height: 72px;
  padding: 10px 22px;
  border-radius: 18px;
  font-size: 1.25rem;
  background: #4a3342;
  color: inherit;
  text-align: left;
}
.weigh button:disabled {
  opacity: 0.5;
}
.weigh .take {
  flex: 1;
  background: #f6dfb4;
  color: #231720;
  font-weight: 700;
  text-align: center;
}
.typed {
  flex: 1 1 130px;
  max-width: 180px;
}
.typed :deep(input) {
  min-height: 60px;
  font-size: 1.6rem;
  color: #fbebd2;
  opacity: 1;
}
.asked {
  display: grid;
  gap: 12px;
}
.asked p {
  margin: 0;
  font-size: 1.7rem;
  color: #ffd98a;
}
.list {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 8px;
}
.list button {
  width: 100%;
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
  background: none;
  border: 1px solid #6b5060;
  font-size: 1.1rem;
  padding: 8px 16px;
}
.list .now {
  border-color: #e8a020;
}
.list .done {
  color: #b6dd8c;
}
.list b {
  white-space: nowrap;
}
@media (max-width: 700px) {
  .weigh {
    padding: 14px;
    overflow: visible;
  }
  .list {
    grid-template-columns: repeat(auto-fill, minmax(148px, 1fr));
  }
  .list button {
    padding: 8px 10px;
    font-size: 1rem;
  }
}
</style>
