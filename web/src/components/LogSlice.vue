<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Ledger } from '../api/client'
import { isoDay, longDay } from '../logic/days'
import { draft, keepDraft } from '../logic/draft'
import { grams, kcal, number, plural } from '../logic/format'
import { useLedger } from '../stores/ledger'
import { useNotices } from '../stores/notices'

const props = defineProps<{ bakes: Ledger['bakes'] }>()
const store = useLedger()
const notices = useNotices()
const route = useRoute()
const chosen = ref(0)
const count = ref(1)
const who = ref(draft('who', ''))
const day = ref(isoDay(new Date()))
const isSending = ref(false)
const bake = computed(() => props.bakes.find((b) => b.id === chosen.value))

watch(
  () => props.bakes,
  (bakes) => {
    const asked = Number(route.query.bake)
    if (!bakes.some((b) => b.id === chosen.value))
      chosen.value = bakes.some((b) => b.id === asked) ? asked : (bakes[0]?.id ?? 0)
  },
  { immediate: true },
)

async function log(): Promise<void> {
  if (!bake.value || isSending.value) return
  isSending.value = true
  try {
    keepDraft('who', who.value)
    const noted = await store.eat(bake.value.id, day.value, count.value, who.value)
    const saved = noted.saved_free_sugars_who_g
    notices.say(
      `${number(noted.count)} ${plural(noted.count, noted.unit)} logged${saved > 0.05 ? `, ${grams(saved)} of sugar saved` : ''}.`,
      {
        label: 'Undo',
        run: () => store.remove(noted.id).catch(notices.complain),
      },
    )
    count.value = 1
  } catch (error) {
    notices.complain(error)
  } finally {
    isSending.value = false
  }
}
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
        <v-text-field v-model="who" label="Who" maxlength="60" />
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
  border: 0;
  padding: 0;
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
  accent-color: #8a5a10;
  width: 18px;
  height: 18px;
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
