<script setup lang="ts">
import { computed } from 'vue'
import type { BenchGoals, Choices, Settings } from '../api/types'
import { list, shareWords, sweetWords } from '../logic/format'
import { madeWords, type Base, type OwnPattern } from '../logic/standing'
import { eaterWords, foodName, limitWords, toggled, withWords } from '../logic/goalWords'
import CupboardFields from './CupboardFields.vue'
import LimitFields from './LimitFields.vue'
import MarkedWord from './MarkedWord.vue'
import PickList from './PickList.vue'
import SlideField from './SlideField.vue'
import StandingFields from './StandingFields.vue'
import TasteFields from './TasteFields.vue'

const props = defineProps<{
  goals: BenchGoals
  choices: Choices
  settings: Settings
  /** The kind of dessert that the main component is. */
  family: string | undefined
  /** What it could stand on instead. */
  bases: Base[]
  /** The household's own patterns that a component could follow. */
  patterns: OwnPattern[]
}>()
const emit = defineEmits<{ change: [changes: Partial<BenchGoals>] }>()

const sweeteners = computed(() => {
  const path = props.choices.paths.find((p) => p.key === props.goals.path)
  return props.choices.sweeteners.filter((s) => path?.sweeteners.includes(s.key))
})
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
    base: madeWords(goals, props.bases, props.patterns),
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
      <StandingFields
        :goals="goals"
        :bases="bases"
        :patterns="patterns"
        @change="emit('change', $event)"
      /> </MarkedWord
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
