<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Slice } from '../api/types'
import DayBars from '../components/DayBars.vue'
import LedgerViews from '../components/LedgerViews.vue'
import EatenList from '../components/EatenList.vue'
import LogSlice from '../components/LogSlice.vue'
import { grams, kcal, number, plural } from '../logic/format'
import { useHousehold } from '../stores/household'
import { useLedger } from '../stores/ledger'
import { useNotices } from '../stores/notices'
import { usePeople } from '../stores/people'

const TEASPOON_G = 4.2
const store = useLedger()
const people = usePeople()
const household = useHousehold()
const notices = useNotices()
const route = useRoute()
const isSending = ref(false)
const slip = ref<{ logged: () => void }>()
const total = computed(() => store.ledger?.total)
const saved = computed(() => total.value?.saved_free_sugars_who_g ?? 0)

async function remove(id: number): Promise<void> {
  try {
    await store.remove(id)
    notices.say('Taken back.', { label: 'Undo', run: () => store.restore(id).catch(notices.complain) })
  } catch (error) {
    notices.complain(error)
  }
}

async function log(slice: Slice): Promise<void> {
  isSending.value = true
  try {
    const noted = await store.eat(slice.bake.id, slice.day, slice.count, slice.who)
    const saved = noted.saved_free_sugars_who_g
    const words = `${number(noted.count)} ${plural(noted.count, noted.unit)} logged`
    notices.say(`${words}${saved > 0.05 ? `, ${grams(saved)} of sugar saved` : ''}.`, {
      label: 'Undo',
      run: () => store.remove(noted.id).catch(notices.complain),
    })
    slip.value?.logged()
  } catch (error) {
    notices.complain(error)
  } finally {
    isSending.value = false
  }
}

async function setLimit(value: string): Promise<void> {
  await household.change({ daily_limit_g: Number(value) }).catch(notices.complain)
}

onMounted(() => {
  store.load().catch(notices.complain)
  people.load().catch(notices.complain)
})
watch(
  () => store.days,
  () => store.load().catch(notices.complain),
)
</script>

<template>
  <section class="place">
    <header class="head">
      <h1>Ledger</h1>
      <LedgerViews />
      <label class="quiet">
        the last
        <select v-model="store.days" aria-label="Days shown">
          <option v-for="n in [7, 14, 28, 91]" :key="n" :value="n">{{ n }} days</option>
        </select>
      </label>
      <label class="quiet push">
        daily limit
        <select
          :value="household.settings.daily_limit_g"
          aria-label="Daily limit of free sugar"
          @change="setLimit(($event.target as HTMLSelectElement).value)"
        >
          <option v-for="limit in household.choices?.limits" :key="limit.name" :value="limit.grams">
            {{ grams(limit.grams) }}, {{ limit.name }}
          </option>
        </select>
      </label>
    </header>

    <div v-if="store.ledger" class="sides">
      <div>
        <p v-if="total && total.servings > 0" class="headline">
          <span class="display huge">{{ grams(Math.abs(saved)) }}</span>
          <span>
            free sugar {{ saved >= 0 ? 'saved' : 'more than the originals held' }} over
            {{ number(total.servings) }} {{ plural(total.servings, 'portion') }}, about
            {{ number(Math.abs(saved) / TEASPOON_G) }} teaspoons of sugar,<br />
            and {{ kcal(total.saved_energy_kcal) }}. Each against as many grams of its original.
          </span>
        </p>
        <div v-else class="empty">
          <h2>Nothing eaten yet in these days</h2>
          <p>Keep a version on the Bench, say that you baked it, then log a slice here: ten seconds.</p>
        </div>
        <DayBars :ledger="store.ledger" :limit="household.settings.daily_limit_g" />
        <EatenList :servings="store.ledger.servings" @remove="remove" />
      </div>
      <LogSlice
        ref="slip"
        :bakes="store.ledger.bakes"
        :asked="Number(route.query.bake)"
        :is-sending="isSending"
        :people="people.people.map((p) => p.name)"
        @log="log"
      />
    </div>
  </section>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: minmax(0, 1.8fr) minmax(280px, 1fr);
  gap: 40px;
  align-items: start;
}
select {
  color: inherit;
  background: var(--paper);
  border-bottom: 2px solid var(--sun);
  padding: 2px 4px;
  font: inherit;
  font-weight: 650;
}
.headline {
  display: flex;
  gap: 20px;
  align-items: center;
  flex-wrap: wrap;
}
.huge {
  font-size: clamp(2.6rem, 2rem + 2.6vw, 4rem);
  line-height: 1;
}
.empty {
  padding: 20px 0;
}
@media (max-width: 900px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
    gap: 20px;
  }
  .sides > :last-child {
    order: -1;
  }
}
</style>
