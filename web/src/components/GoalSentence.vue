<script setup lang="ts">
import { computed } from 'vue'
import type { Choices } from '../api/client'
import { grams, list, percent, shareWords, sweetWords } from '../logic/format'
import type { BenchGoals } from '../stores/bench'
import { useHousehold } from '../stores/household'
import CapFields from './CapFields.vue'
import IngredientPicker from './IngredientPicker.vue'
import MarkedWord from './MarkedWord.vue'

const props = defineProps<{
  goals: BenchGoals
  choices: Choices
}>()
const emit = defineEmits<{ change: [changes: Partial<BenchGoals>] }>()
const household = useHousehold()

const path = computed(() => props.choices.paths.find((p) => p.key === props.goals.path))
const definition = computed(
  () => props.choices.definitions.find((d) => d.key === props.goals.definition)?.name ?? '',
)
const sweeteners = computed(() =>
  props.choices.sweeteners.filter((s) => path.value?.sweeteners.includes(s.key)),
)
const usual = computed(() => sweeteners.value.filter((s) => path.value?.usual.includes(s.key)))
/** The path's usual ones and what is chosen stand first. */
const shown = computed(() => [
  ...usual.value,
  ...sweeteners.value.filter(
    (s) => props.goals.cupboard?.includes(s.key) && !path.value?.usual.includes(s.key),
  ),
])
const hidden = computed(() => sweeteners.value.filter((s) => !shown.value.includes(s)))
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
  names.push(
    ...props.goals.avoid.map(
      (tag) => `no ${props.choices.allergens.find((a) => a.key === tag)?.name ?? tag}`,
    ),
  )
  return names.length ? list(names) : 'anyone'
})

const limitWords = computed(() => {
  const parts = [
    props.goals.most_energy_kcal && `${Math.round(props.goals.most_energy_kcal)} kcal`,
    props.goals.most_free_sugar_g != null && `${grams(props.goals.most_free_sugar_g)} of free sugar`,
    props.goals.most_cost != null && `${props.goals.most_cost.toFixed(2)} in price`,
  ].filter((part): part is string => Boolean(part))
  return parts.length ? `at most ${list(parts)}` : 'whatever it holds'
})
const tastes = computed(() => [
  ...props.goals.without.map((key) => `no ${household.nameOf(key)}`),
  ...props.goals.including.map(household.nameOf),
])
function limit(name: 'most_energy_kcal' | 'most_free_sugar_g' | 'most_cost', text: string): void {
  const value = Number(text.replace(',', '.'))
  const least = name === 'most_energy_kcal' ? 1 : 0
  emit('change', { [name]: text.trim() && Number.isFinite(value) && value >= least ? value : null })
}

function take(name: 'without' | 'including', key: string): void {
  const other = name === 'without' ? 'including' : 'without'
  emit('change', {
    [name]: [...new Set([...props.goals[name], key])],
    [other]: props.goals[other].filter((k) => k !== key),
  })
}

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
        <label v-for="item in shown" :key="item.key" class="pick">
          <input
            type="checkbox"
            :checked="goals.cupboard?.includes(item.key) ?? false"
            @change="emit('change', { cupboard: toggle(goals.cupboard ?? [], item.key) })"
          />
          {{ item.name }}
        </label>
        <details v-if="hidden.length">
          <summary>{{ hidden.length }} more</summary>
          <label v-for="item in hidden" :key="item.key" class="pick">
            <input
              type="checkbox"
              :checked="goals.cupboard?.includes(item.key) ?? false"
              @change="emit('change', { cupboard: toggle(goals.cupboard ?? [], item.key) })"
            />
            {{ item.name }}
          </label>
        </details>
      </fieldset>
      <CapFields
        v-if="sweeteners.length"
        :goals="goals"
        :choices="choices"
        @change="emit('change', $event)"
      /> </MarkedWord
    >, for
    <MarkedWord :text="dietWords" label="Who eats it">
      <fieldset>
        <legend>What they don’t eat goes, and something takes its place</legend>
        <label v-for="item in choices.diets" :key="item.key" class="pick">
          <input
            type="checkbox"
            :checked="goals.diets.includes(item.key)"
            @change="emit('change', { diets: toggle(goals.diets, item.key) })"
          />
          {{ item.name }}
        </label>
      </fieldset>
      <fieldset>
        <legend>Nothing that holds</legend>
        <label v-for="item in choices.allergens" :key="item.key" class="pick">
          <input
            type="checkbox"
            :checked="goals.avoid.includes(item.key)"
            @change="emit('change', { avoid: toggle(goals.avoid, item.key) })"
          />
          {{ item.name }}
        </label>
      </fieldset> </MarkedWord
    >; in a portion
    <MarkedWord :text="limitWords" label="What a portion may hold">
      <label class="slide"
        >Energy at most
        <input
          type="number"
          min="1"
          max="5000"
          :value="goals.most_energy_kcal ?? ''"
          aria-label="Energy at most, kcal"
          @change="limit('most_energy_kcal', ($event.target as HTMLInputElement).value)"
        />
        kcal</label
      >
      <label class="slide"
        >Free sugar at most
        <input
          type="number"
          min="0"
          max="500"
          step="0.5"
          :value="goals.most_free_sugar_g ?? ''"
          aria-label="Free sugar at most, grams"
          @change="limit('most_free_sugar_g', ($event.target as HTMLInputElement).value)"
        />
        g</label
      >
      <p class="small">
        Of the daily {{ grams(household.settings.daily_limit_g) }}:
        <v-btn
          v-for="share in [0.1, 0.2, 0.3, 0.5]"
          :key="share"
          size="small"
          variant="text"
          @click="
            emit('change', {
              most_free_sugar_g: Math.round(share * household.settings.daily_limit_g * 10) / 10,
            })
          "
          >{{ percent(share) }}</v-btn
        >
      </p>
      <label v-if="Object.keys(household.settings.prices).length" class="slide"
        >Priced things at most
        <input
          type="number"
          min="0"
          step="0.05"
          :value="goals.most_cost ?? ''"
          aria-label="Cost at most, in your prices"
          @change="limit('most_cost', ($event.target as HTMLInputElement).value)"
        />
        in your prices; what has none counts nothing</label
      ></MarkedWord
    >;
    <MarkedWord :text="tastes.length ? list(tastes) : 'no other wish'" label="What must be in or out">
      <ul class="tastes">
        <li v-for="key in goals.without" :key="key">
          without {{ household.nameOf(key) }}
          <v-btn
            size="small"
            variant="text"
            :aria-label="`Allow ${household.nameOf(key)} again`"
            @click="emit('change', { without: goals.without.filter((k) => k !== key) })"
            >allow</v-btn
          >
        </li>
        <li v-for="key in goals.including" :key="key">
          with {{ household.nameOf(key) }}
          <v-btn
            size="small"
            variant="text"
            :aria-label="`No need for ${household.nameOf(key)}`"
            @click="emit('change', { including: goals.including.filter((k) => k !== key) })"
            >let go</v-btn
          >
        </li>
      </ul>
      <IngredientPicker label="Put in" @pick="take('including', $event.key)" />
      <IngredientPicker label="Leave out" @pick="take('without', $event.key)" /> </MarkedWord
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
fieldset + fieldset {
  margin-top: 12px;
}
input[type='number'] {
  width: 84px;
  height: auto;
  color: inherit;
  background: none;
  border-bottom: 2px solid var(--sun);
}
.tastes {
  list-style: none;
  padding: 0;
}
</style>
