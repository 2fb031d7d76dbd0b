<script setup lang="ts">
import { ref } from 'vue'
import type { Challenge, Schemas } from '../api/types'
import { addDays, isoDay, longDay } from '../logic/days'
import { grams } from '../logic/format'

defineProps<{ challenges: Challenge[]; people: string[] }>()
const emit = defineEmits<{ add: [challenge: Schemas['ChallengeIn']]; remove: [challenge: Challenge] }>()
const name = ref('')
const until = ref(addDays(isoDay(new Date()), 13))
const who = ref('')

function add(): void {
  if (!name.value.trim()) return
  emit('add', { name: name.value, since: isoDay(new Date()), until: until.value, who: who.value })
  name.value = ''
}
</script>

<template>
  <section class="challenges" aria-labelledby="challenges">
    <h3 id="challenges">Aims for some days</h3>
    <article v-for="one in challenges" :key="one.id">
      <p>
        <b>{{ one.name }}</b>{{ one.who ? `, ${one.who}` : '' }}: {{ one.words }}
        <v-btn size="small" variant="text" :aria-label="`put away ${one.name}`" @click="emit('remove', one)"
          >put away</v-btn
        >
      </p>
      <p v-if="one.slips.length" class="quiet small">
        Slips, and on it goes:
        {{ one.slips.map((s) => `${longDay(s.day)} ${s.what} (${grams(s.free_sugars_who_g)})`).join(' · ') }}
      </p>
    </article>
    <form class="line" @submit.prevent="add">
      <v-text-field
        v-model="name"
        label="An aim, such as “no free sugar until the 1st”"
        maxlength="60"
        hide-details
      />
      <v-text-field v-model="until" type="date" label="until" hide-details />
      <v-combobox v-model="who" :items="people" label="Who, or all" hide-details />
      <v-btn type="submit" variant="tonal" :disabled="!name.trim()">Begin</v-btn>
    </form>
  </section>
</template>

<style scoped>
.challenges {
  margin-top: 26px;
}
h3 {
  font-size: 1.05rem;
}
article p {
  margin: 4px 0;
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1.6fr) 150px 140px auto;
  gap: 12px;
  align-items: center;
}
@media (max-width: 700px) {
  .line {
    grid-template-columns: 1fr;
  }
}
</style>
