<script setup lang="ts">
import { computed } from 'vue'
import type { Choices } from '../api/client'
import { list, percent, shareWords, sweetWords } from '../logic/format'
import type { BenchGoals } from '../stores/bench'
import MarkedWord from './MarkedWord.vue'

const props = defineProps<{
  goals: BenchGoals
  choices: Choices
}>()
const emit = defineEmits<{ change: [changes: Partial<BenchGoals>] }>()

const path = computed(() => props.choices.paths.find((p) => p.key === props.goals.path))
const definition = computed(
  () => props.choices.definitions.find((d) => d.key === props.goals.definition)?.name ?? '',
)
const sweeteners = computed(() =>
  props.choices.sweeteners.filter((s) => path.value?.sweeteners.includes(s.key)),
)
const usual = computed(() => sweeteners.value.filter((s) => path.value?.usual.includes(s.key)))
const others = computed(() => sweeteners.value.filter((s) => !path.value?.usual.includes(s.key)))
const withWords = computed(() => {
  if (!sweeteners.value.length) return 'nothing in its place'
  if (props.goals.cupboard === null) return 'whatever suits'
  const names = props.goals.cupboard.map(
    (key) => props.choices.sweeteners.find((s) => s.key === key)?.name ?? key,
  )
  return names.length ? list(names) : 'nothing in its place'
})
const dietWords = computed(() => {
  const names = props.goals.diets.map((key) => props.choices.diets.find((d) => d.key === key)?.name ?? key)
  return names.length ? list(names) : 'anyone'
})

function toggle(keys: string[], key: string): string[] {
  return keys.includes(key) ? keys.filter((k) => k !== key) : [...keys, key]
}
</script>

<template>
  <p class="sentence display">
    Cut
    <MarkedWord :text="definition" label="Which sugar">
      <fieldset>
        <legend>Which sugar counts</legend>
        <label v-for="item in choices.definitions" :key="item.key" class="pick">
          <input
            type="radio"
            name="definition"
            :checked="item.key === goals.definition"
            @change="emit('change', { definition: item.key })"
          />
          {{ item.name }}
        </label>
      </fieldset>
    </MarkedWord>
    by
    <MarkedWord :text="shareWords(goals.cut ?? 0)" label="How much to cut">
      <label class="slide">
        <span
          >Cut by <b>{{ percent(goals.cut ?? 0) }}</b></span
        >
        <v-slider
          :model-value="goals.cut ?? 0"
          :min="0"
          :max="1"
          :step="0.05"
          color="sun"
          aria-label="Cut by"
          @update:model-value="emit('change', { cut: $event })"
        />
      </label> </MarkedWord
    >, keep it
    <MarkedWord :text="sweetWords(goals.keep_sweet ?? 1)" label="How sweet to keep it">
      <label class="slide">
        <span
          >As sweet as <b>{{ percent(goals.keep_sweet ?? 1) }}</b> of the original</span
        >
        <v-slider
          :model-value="goals.keep_sweet ?? 1"
          :min="0.4"
          :max="1.2"
          :step="0.05"
          color="sun"
          aria-label="Sweetness kept"
          @update:model-value="emit('change', { keep_sweet: $event })"
        />
      </label> </MarkedWord
    >, with
    <MarkedWord :text="withWords" label="What sweetens it">
      <p v-if="!sweeteners.length" class="small">This path puts nothing in the sugar’s place.</p>
      <fieldset v-else>
        <legend>What’s in the cupboard</legend>
        <label class="pick">
          <input
            type="checkbox"
            :checked="goals.cupboard === null"
            @change="emit('change', { cupboard: goals.cupboard === null ? [] : null })"
          />
          whatever suits
        </label>
        <label v-for="item in [...usual, ...others]" :key="item.key" class="pick">
          <input
            type="checkbox"
            :checked="goals.cupboard?.includes(item.key) ?? false"
            @change="emit('change', { cupboard: toggle(goals.cupboard ?? [], item.key) })"
          />
          {{ item.name }}
        </label>
      </fieldset> </MarkedWord
    >, for
    <MarkedWord :text="dietWords" label="Who eats it">
      <fieldset>
        <legend>Never bring in what rules out</legend>
        <label v-for="item in choices.diets" :key="item.key" class="pick">
          <input
            type="checkbox"
            :checked="goals.diets.includes(item.key)"
            @change="emit('change', { diets: toggle(goals.diets, item.key) })"
          />
          {{ item.name }}
        </label>
      </fieldset> </MarkedWord
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
fieldset {
  border: 0;
  padding: 0;
}
legend {
  font-weight: 700;
  margin-bottom: 6px;
}
.pick {
  display: flex;
  gap: 10px;
  padding: 5px 0;
  cursor: pointer;
}
input {
  accent-color: #8a5a10;
  width: 18px;
  height: 18px;
}
.slide {
  display: block;
}
</style>
