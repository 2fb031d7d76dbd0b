<script setup lang="ts">
import { computed } from 'vue'
import type { BenchGoals, Choices, Settings } from '../api/types'
import { list, shareWords, sweetWords } from '../logic/format'
import { eaterWords, foodName, limitWords, toggled, withWords } from '../logic/goalWords'
import CupboardFields from './CupboardFields.vue'
import LimitFields from './LimitFields.vue'
import MarkedWord from './MarkedWord.vue'
import PickList from './PickList.vue'
import SlideField from './SlideField.vue'
import TasteFields from './TasteFields.vue'

const props = defineProps<{
  goals: BenchGoals
  choices: Choices
  settings: Settings
  /** The kind of dessert that the main component is. */
  family: string | undefined
  /** What it could stand on instead. */
  bases: { key: string; words: string; parts: Record<string, string>; is_whole: boolean }[]
  /** The household's own patterns that a component could follow. */
  patterns: { key: string; name: string; component: string }[]
}>()
const emit = defineEmits<{ change: [changes: Partial<BenchGoals>] }>()

const sweeteners = computed(() => {
  const path = props.choices.paths.find((p) => p.key === props.goals.path)
  return props.choices.sweeteners.filter((s) => path?.sweeteners.includes(s.key))
})
type Standing = { key: string; name: string }
const AS_IT_IS = { key: '', name: 'as it is, on its own base' }

/** What stays choosable although the plan that stands no longer offers it. */
function withChosen(items: Standing[], chosen: string): Standing[] {
  const isThere = !chosen || items.some((item) => item.key === chosen)
  return isThere ? items : [...items, { key: chosen, name: chosen.replace(/_/g, ' ') }]
}

/** The bases for the whole dessert. */
const whole = computed(() =>
  withChosen(
    [AS_IT_IS, ...props.bases.filter((b) => b.is_whole).map((b) => ({ key: b.key, name: b.words }))],
    props.goals.base ?? '',
  ),
)
/** For each component, the bases and own patterns that it alone can be made on; of a dessert of one component only the own ones. */
const parts = computed(() => {
  const offered = props.bases.flatMap((base) =>
    Object.entries(base.parts).map(([component, key]) => ({ component, key, name: base.words })),
  )
  const components = new Set([...offered.map((item) => item.component), ...Object.keys(props.goals.recasts)])
  const items = [
    ...(components.size > 1 ? offered : []),
    ...props.patterns.map((own) => ({ ...own, name: `as ${own.name}` })),
  ]
  return [...components]
    .map((component) => {
      const chosen = props.goals.recasts[component] ?? ''
      const mine = distinct(items.filter((item) => item.component === component))
      return {
        component,
        chosen,
        legend: components.size > 1 ? `Only its ${component}` : 'As one of your own',
        items: withChosen([AS_IT_IS, ...mine], chosen),
      }
    })
    .filter((part) => part.items.length > 1)
})
/** Two bases may come to one pattern in a component: the first says it. */
function distinct<Item extends Standing>(items: Item[]): Item[] {
  return items.filter((item, n) => items.findIndex((other) => other.key === item.key) === n)
}
const madeWords = computed(() => {
  const base = props.goals.base
  if (base) return whole.value.find((b) => b.key === base)?.name ?? ''
  const made = parts.value.filter((part) => part.chosen)
  const said = made.map((part) => {
    const name = part.items.find((item) => item.key === part.chosen)?.name ?? ''
    return parts.value.length > 1 ? `its ${part.component} ${name}` : name
  })
  return said.length ? list(said) : 'as it is'
})

// What was set by hand was set for another batter.
function stand(key: string): void {
  emit('change', { base: key || null, recasts: {}, locks: {}, amounts: [] })
}
function standPart(component: string, key: string): void {
  const made = { ...props.goals.recasts, [component]: key }
  const recasts = Object.fromEntries(Object.entries(made).filter(([, pattern]) => pattern))
  emit('change', { base: null, recasts, locks: {}, amounts: [] })
}

const words = computed(() => {
  const { goals, choices } = props
  const tastes = [
    ...goals.without.map((key) => `no ${foodName(choices, key)}`),
    ...goals.including.map((key) => foodName(choices, key)),
  ]
  return {
    definition: choices.definitions.find((d) => d.key === goals.definition)?.name ?? '',
    with: withWords(goals.cupboard, choices.sweeteners, sweeteners.value.length > 0),
    eaters: eaterWords(goals, choices),
    limits: limitWords(goals),
    base: madeWords.value,
    tastes: tastes.length ? list(tastes) : 'no other wish',
  }
})
</script>

<template>
  <p class="sentence display">
    Cut
    <MarkedWord :text="words.definition" label="Which sugar">
      <PickList
        legend="Which sugar counts"
        :items="choices.definitions"
        :chosen="[goals.definition ?? '']"
        is-single
        @toggle="emit('change', { definition: $event })"
      />
    </MarkedWord>
    by
    <MarkedWord :text="shareWords(goals.cut ?? 0)" label="How much to cut">
      <SlideField
        :words="['Cut by', '']"
        :share="goals.cut ?? 0"
        :min="0"
        :max="1"
        label="Cut by"
        @change="emit('change', { cut: $event })"
      /> </MarkedWord
    >, keep it
    <MarkedWord :text="sweetWords(goals.keep_sweet ?? 1)" label="How sweet to keep it">
      <SlideField
        :words="['As sweet as', 'of the original']"
        :share="goals.keep_sweet ?? 1"
        :min="0.4"
        :max="1.2"
        label="Sweetness kept"
        @change="emit('change', { keep_sweet: $event })"
      /> </MarkedWord
    >, made
    <MarkedWord :text="words.base" label="What it stands on">
      <template v-if="whole.length > 1 || parts.length">
        <PickList
          legend="What it stands on: a bigger change than another sweetener"
          :items="whole"
          :chosen="[goals.base ?? '']"
          is-single
          @toggle="stand($event)"
        />
        <PickList
          v-for="part in parts"
          :key="part.component"
          :legend="part.legend"
          :items="part.items"
          :chosen="[part.chosen]"
          is-single
          @toggle="standPart(part.component, $event)"
        />
      </template>
      <p v-else class="quiet">Nothing here can be made on another base.</p> </MarkedWord
    >, with
    <MarkedWord :text="words.with" label="What sweetens it">
      <CupboardFields
        :goals="goals"
        :choices="choices"
        :sweeteners="sweeteners"
        :family="family"
        @change="emit('change', $event)"
      /> </MarkedWord
    >, for
    <MarkedWord :text="words.eaters" label="Who eats it">
      <PickList
        legend="What they don’t eat goes, and something takes its place"
        :items="choices.diets"
        :chosen="goals.diets"
        @toggle="emit('change', { diets: toggled(goals.diets, $event) })"
      />
      <PickList
        legend="At the table"
        :items="choices.eaters"
        :chosen="goals.eaters"
        @toggle="emit('change', { eaters: toggled(goals.eaters, $event) })"
      />
      <PickList
        legend="Nothing that holds"
        :items="choices.allergens"
        :chosen="goals.avoid"
        @toggle="emit('change', { avoid: toggled(goals.avoid, $event) })"
      /> </MarkedWord
    >; in a portion
    <MarkedWord :text="words.limits" label="What a portion may hold">
      <LimitFields
        :goals="goals"
        :daily-limit="settings.daily_limit_g"
        :has-prices="Object.keys(settings.prices).length > 0"
        @change="emit('change', $event)"
      /> </MarkedWord
    >;
    <MarkedWord :text="words.tastes" label="What must be in or out">
      <TasteFields :goals="goals" :choices="choices" @change="emit('change', $event)" /> </MarkedWord
    >.
  </p>
</template>

<style scoped>
.sentence {
  font-size: clamp(1.05rem, 0.9rem + 0.7vw, 1.4rem);
  font-weight: 480;
  line-height: 1.6;
  margin: 4px 0 14px;
}
</style>
