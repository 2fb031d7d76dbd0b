<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Aspect, Sheet } from '../api/types'
import TapWords from './TapWords.vue'

const props = defineProps<{ aspects: Aspect[]; people: string[]; isSending: boolean }>()
const emit = defineEmits<{ taste: [sheet: Sheet] }>()
const scores = ref<Record<string, number>>({})
const who = ref('')
const state = ref<Sheet['state']>('cool')
const isBlind = ref(false)
const words = ref('')
const STATES = [
  { key: 'warm', name: 'warm' },
  { key: 'cool', name: 'cool' },
  { key: 'next_day', name: 'the next day' },
] as const
const isEmpty = computed(() => Object.keys(scores.value).length === 0)

function choices(aspect: Aspect): { key: string; name: string }[] {
  return Object.entries(aspect.words)
    .map(([key, name]) => ({ key, name }))
    .sort((a, b) => Number(a.key) - Number(b.key))
}

/** A word that is chosen is taken back by choosing it again. */
function choose(key: string, value: number): void {
  if (scores.value[key] === value) {
    scores.value = Object.fromEntries(Object.entries(scores.value).filter(([name]) => name !== key))
  } else {
    scores.value = { ...scores.value, [key]: value }
  }
}

function send(): void {
  if (isEmpty.value || props.isSending) return
  emit('taste', {
    scores: scores.value,
    who: who.value,
    state: state.value,
    is_blind: isBlind.value,
    words: words.value,
  })
}

/** The next taster begins with an empty sheet. */
function sent(): void {
  scores.value = {}
  words.value = ''
  who.value = ''
}
defineExpose({ sent })
</script>

<template>
  <form class="sheet" @submit.prevent="send">
    <div v-for="aspect in aspects" :key="aspect.key" class="row">
      <span class="name">{{ aspect.name }}</span>
      <TapWords
        :label="aspect.name"
        :words="choices(aspect)"
        :chosen="[String(scores[aspect.key])]"
        @tap="choose(aspect.key, Number($event))"
      />
    </div>
    <div class="who">
      <v-combobox v-model="who" :items="people" label="Who tasted" maxlength="60" hide-details />
      <label class="state"
        >tasted
        <select v-model="state" aria-label="When it was tasted">
          <option v-for="one in STATES" :key="one.key" :value="one.key">{{ one.name }}</option>
        </select></label
      >
      <label><input v-model="isBlind" type="checkbox" /> without knowing what it was</label>
    </div>
    <v-text-field v-model="words" label="In your own words, if you like" maxlength="2000" hide-details />
    <v-btn type="submit" variant="flat" color="primary" size="large" :disabled="isEmpty" :loading="isSending"
      >Keep this sheet</v-btn
    >
  </form>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 10px;
  justify-items: start;
}
.row {
  display: grid;
  grid-template-columns: 128px minmax(0, 1fr);
  gap: 4px 12px;
  align-items: baseline;
  width: 100%;
}
.name {
  font-weight: 650;
}
.who {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
  width: 100%;
  padding-top: 6px;
}
.who > :first-child {
  flex: 0 1 220px;
}
.sheet > .v-text-field {
  width: 100%;
  max-width: 560px;
}
select {
  border-bottom: 1px dotted var(--quiet);
  font-weight: 700;
}
@media (max-width: 700px) {
  .row {
    grid-template-columns: 1fr;
  }
}
</style>
