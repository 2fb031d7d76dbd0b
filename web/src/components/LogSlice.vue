<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Ledger, Slice } from '../api/types'
import { isoDay, longDay } from '../logic/days'
import { draft, keepDraft } from '../logic/draft'
import { grams, kcal, number, plural } from '../logic/format'

const props = defineProps<{
  bakes: Ledger['bakes']
  /** The bake that is meant at first. */
  asked: number
  isSending: boolean
  /** The household's names. */
  people: string[]
}>()
const emit = defineEmits<{ log: [slice: Slice] }>()
const chosen = ref(0)
const count = ref(1)
const who = ref(draft('who', ''))
const day = ref(isoDay(new Date()))
const bake = computed(() => props.bakes.find((b) => b.id === chosen.value))

watch(
  () => props.bakes,
  (bakes) => {
    const asked = props.asked
    if (!bakes.some((b) => b.id === chosen.value))
      chosen.value = bakes.some((b) => b.id === asked) ? asked : (bakes[0]?.id ?? 0)
  },
  { immediate: true },
)

function log(): void {
  if (!bake.value || props.isSending) return
  keepDraft('who', who.value)
  emit('log', { bake: bake.value, day: day.value, count: count.value, who: who.value })
}

/** The next slice is one again. */
function logged(): void {
  count.value = 1
}
defineExpose({ logged })
</script>

<template>
  <aside class="log" aria-labelledby="log-title">
    <h2 id="log-title">Log a slice</h2>
    <p v-if="!bakes.length" class="quiet">
      Nothing baked yet. On the Bench, keep a version and say “I baked it”.
    </p>
    <form v-else @submit.prevent="log">
      <fieldset>
        <legend class="hidden-words">Which bake</legend>
        <label v-for="item in bakes.slice(0, 5)" :key="item.id" :class="{ chosen: item.id === chosen }">
          <input v-model="chosen" type="radio" name="bake" :value="item.id" />
          <span>
            <b>{{ item.title }}</b><br />
            <span class="quiet small"
              >{{ item.label }}, {{ longDay(item.baked_on) }},
              {{ number(Math.max(item.servings - item.eaten, 0)) }} left</span
            >
          </span>
        </label>
      </fieldset>
      <div class="count">
        <v-btn
          icon="$minus"
          size="small"
          aria-label="Half a portion less"
          :disabled="count <= 0.5"
          @click="count -= 0.5"
        />
        <span aria-live="polite"
          ><b class="display">{{ number(count) }}</b> {{ plural(count, bake?.unit ?? '') }}</span
        >
        <v-btn
          icon="$plus"
          size="small"
          aria-label="Half a portion more"
          :disabled="count >= 100"
          @click="count += 0.5"
        />
      </div>
      <div class="two">
        <v-combobox v-model="who" :items="people" label="Who" maxlength="60" />
        <v-text-field v-model="day" label="Day" type="date" :min="bake?.baked_on" :max="isoDay(new Date())" />
      </div>
      <p v-if="bake" class="sum">
        {{ grams(bake.free_sugars_who_g * count) }} free sugar, {{ kcal(bake.energy_kcal * count) }}
        <span v-if="bake.saved_free_sugars_who_g > 0.05" class="saved"
          ><br />saves {{ grams(bake.saved_free_sugars_who_g * count) }}</span
        >
      </p>
      <v-btn type="submit" variant="flat" color="primary" block size="large" :loading="isSending"
        >Log it</v-btn
      >
    </form>
  </aside>
</template>

<style scoped>
.log {
  padding: 20px 22px;
  border-radius: 20px;
  background: color-mix(in srgb, var(--sun) 12%, var(--paper));
}
fieldset {
  margin: 8px 0;
}
label {
  display: flex;
  gap: 12px;
  padding: 7px 0;
  cursor: pointer;
  line-height: 1.3;
}
input[type='radio'] {
  margin-top: 3px;
  flex: none;
}
.count {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 10px 0;
}
.count b {
  font-size: 1.8rem;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
}
.sum {
  margin: 14px 0;
}
.saved {
  color: var(--leaf);
  font-weight: 650;
}
</style>
