<script setup lang="ts">
import { computed } from 'vue'
import type { Why } from '../api/types'
import { grams, heat, list, number, percent } from '../logic/format'

const props = defineProps<{ causes: Why[]; busy: string }>()
defineEmits<{ accept: [cause: string] }>()

const groups = computed(() => {
  const found = new Map<string, Why[]>()
  for (const why of props.causes) {
    const key = `${why.cause.aspect}: ${why.cause.symptom}`
    found.set(key, [...(found.get(key) ?? []), why])
  }
  return [...found].map(([key, whys]) => ({ key, name: whys[0]?.cause.symptom ?? '', whys }))
})

function oven(why: Why): string {
  const trial = why.trial
  if (!trial) return ''
  if (trial.minutes) return `bake ${Math.abs(trial.minutes)} minutes ${trial.minutes > 0 ? 'longer' : 'less'}`
  if (trial.degrees)
    return `${heat(Math.abs(trial.degrees), true)} ${trial.degrees > 0 ? 'hotter' : 'cooler'}`
  return ''
}
/** "Next trial, less of it: honey 32 → 39 g, date paste 96 → 79 g". */
function told(why: Why): string {
  const moved = why.trial?.moved.map((m) => `${m.name} ${number(m.before_g)} → ${grams(m.after_g)}`) ?? []
  const what = oven(why) || list(moved)
  return `Next trial, ${why.cause.trial_words}${what ? `: ${what}.` : '.'}`
}
</script>

<template>
  <section v-for="group in groups" :key="group.key" class="group">
    <h3>Why “{{ group.name }}”?</h3>
    <ol>
      <li v-for="why in group.whys" :key="why.cause.key">
        <span class="likely" :style="{ '--share': why.cause.likely }" aria-hidden="true"></span>
        <div>
          <p class="words">
            <b>{{ percent(why.cause.likely) }}</b> {{ why.cause.words }}
            <span v-if="why.cause.signs.length" class="quiet small">· {{ why.cause.signs.join(' · ') }}</span>
          </p>
          <p v-if="why.trial" class="trial">
            {{ told(why) }}
            <v-btn
              v-if="why.trial.moved.length || oven(why)"
              size="small"
              variant="tonal"
              :loading="busy === why.cause.key"
              :aria-label="`Try it: ${why.cause.trial_words}`"
              @click="$emit('accept', why.cause.key)"
              >Keep as a trial</v-btn
            >
          </p>
          <p v-else class="quiet small">{{ why.cause.trial_words }}: {{ why.problem }}</p>
        </div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.group {
  margin-top: 14px;
}
h3 {
  font-size: 1.05rem;
}
ol {
  list-style: none;
  padding: 0;
  margin: 6px 0 0;
}
li {
  display: grid;
  grid-template-columns: 46px minmax(0, 1fr);
  gap: 12px;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
p {
  margin: 0;
}
.likely {
  height: 8px;
  margin-top: 8px;
  border-radius: 4px;
  background: linear-gradient(
    to right,
    var(--sun) calc(var(--share) * 100%),
    var(--band) calc(var(--share) * 100%)
  );
}
.trial {
  padding-top: 4px;
}
.trial .v-btn {
  margin-left: 6px;
}
</style>
