<script setup lang="ts">
import { computed, onMounted } from 'vue'
import type { PlannedBake, Timer } from '../api/types'
import TimerPills from '../components/TimerPills.vue'
import { briefDay, isoDay } from '../logic/days'
import { grams, plural } from '../logic/format'
import { withoutPlanned, withPlanned } from '../logic/planned'
import { useHousehold } from '../stores/household'
import { useLedger } from '../stores/ledger'
import { useNotices } from '../stores/notices'
import { useShelf } from '../stores/shelf'
import { useTastings } from '../stores/tastings'
import { useWorktop } from '../stores/worktop'

const worktop = useWorktop()
const ledger = useLedger()
const shelf = useShelf()
const tastings = useTastings()
const household = useHousehold()
const notices = useNotices()
const planned = computed(() => household.settings.planned)
const today = isoDay(new Date())
const coming = computed(() =>
  planned.value
    .filter((bake) => bake.serve.slice(0, 10) >= today)
    .sort((a, b) => a.serve.localeCompare(b.serve)),
)
const week = computed(() => ledger.ledger?.total)
const days = computed(() => ledger.days)
const perDay = computed(() => (week.value?.free_sugars_who_g ?? 0) / days.value)
const limit = computed(() => household.settings.daily_limit_g)
const isEmpty = computed(() => shelf.recipes !== undefined && shelf.total === 0)

function moment(iso: string): string {
  const day =
    iso.slice(0, 10) === today ? 'today' : new Date(iso).toLocaleDateString('en-GB', { weekday: 'long' })
  return `${day} at ${iso.slice(11, 16)}`
}

async function plan(bakes: PlannedBake[]): Promise<void> {
  await household.change({ planned: bakes }).catch(notices.complain)
}

async function forget(bake: PlannedBake): Promise<void> {
  await plan(withoutPlanned(planned.value, bake.version))
  notices.say(`${bake.title} is planned no more.`, {
    label: 'Undo',
    run: () => plan(withPlanned(planned.value, bake)),
  })
}

async function stop(timer: Timer): Promise<void> {
  await worktop.stop(timer.id).catch(notices.complain)
  notices.say(`${timer.name} stopped.`, {
    label: 'Go on',
    run: () => worktop.goOn(timer.id).catch(notices.complain),
  })
}

onMounted(() => {
  ledger.days = 7
  ledger.load().catch(notices.complain)
  shelf.load().catch(notices.complain)
  tastings.loadWaiting().catch(notices.complain)
})
</script>

<template>
  <section class="place">
    <header class="head"><h1>Today</h1></header>
    <div v-if="isEmpty" class="welcome">
      <p class="display lead">A dessert you know, with less sugar, and still a treat.</p>
      <p>
        Paste a recipe as you have it. Sun Crumb weighs every line, takes sugar out, rebalances the rest with
        a reason for each change, and walks you through the bake.
      </p>
      <v-btn color="primary" variant="flat" to="/bring-in">Bring in a recipe</v-btn>
    </div>
    <div class="sides">
      <section aria-labelledby="now">
        <h2 id="now">On the worktop</h2>
        <TimerPills v-if="worktop.timers.length" :timers="worktop.timers" @stop="stop" />
        <p v-else class="quiet">No timer runs.</p>
        <ul v-if="coming.length" class="coming">
          <li v-for="bake in coming" :key="bake.version">
            <router-link :to="`/recipes/${bake.recipe}/bake-day/${bake.version}`" class="display">{{
              bake.title
            }}</router-link>
            <span class="quiet small">{{ bake.label }}</span>
            <span>begin {{ moment(bake.start) }}, on the table {{ moment(bake.serve) }}</span>
            <span class="actions">
              <v-btn size="small" variant="tonal" :to="`/recipes/${bake.recipe}/counter/${bake.version}`"
                >To the counter</v-btn
              >
              <v-btn size="small" variant="text" :aria-label="`Forget ${bake.title}`" @click="forget(bake)"
                >Forget it</v-btn
              >
            </span>
          </li>
        </ul>
        <ul v-if="tastings.waiting.length" class="coming">
          <li v-for="bake in tastings.waiting" :key="bake.bake_id">
            <router-link :to="{ name: 'tastings', params: { bake: bake.bake_id } }" class="display"
              >How was the {{ bake.title.toLowerCase() }}?</router-link
            >
            <span class="quiet small">{{ bake.label }}, {{ briefDay(bake.baked_on) }}</span>
            <span>Thirty seconds of tasting say what to change next time.</span>
          </li>
        </ul>
        <p v-if="!coming.length" class="quiet">
          Nothing is planned. Open a recipe on the <router-link to="/recipes">shelf</router-link>, keep a
          version, and choose “Bake day”.
        </p>
      </section>
      <section aria-labelledby="week">
        <h2 id="week">The last seven days</h2>
        <template v-if="week">
          <p class="big">
            <b class="display">{{ grams(perDay) }}</b> of free sugar a day from what was logged
          </p>
          <div class="gauge" aria-hidden="true">
            <i :style="{ width: `${Math.min(perDay / limit, 1) * 100}%` }"></i>
          </div>
          <p class="quiet">
            of {{ grams(limit) }} a day that you watch; {{ week.servings }}
            {{ plural(week.servings, 'portion') }} logged,
            {{ grams(Math.abs(week.saved_free_sugars_who_g)) }}
            {{ week.saved_free_sugars_who_g >= 0 ? 'less' : 'more' }} than the originals.
          </p>
          <router-link to="/ledger">To the ledger</router-link>
        </template>
      </section>
    </div>
  </section>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr);
  gap: 54px;
}
.welcome {
  max-width: 60ch;
  margin-bottom: 34px;
}
.lead {
  font-size: 1.8rem;
}
.coming {
  list-style: none;
  padding: 0;
}
.coming li {
  display: grid;
  gap: 4px;
  padding: 14px 0;
  border-top: 1px solid var(--hair);
}
.coming .display {
  font-size: 1.5rem;
  color: inherit;
}
h2 {
  margin-bottom: 10px;
}
a {
  color: inherit;
}
.coming {
  margin-top: 20px;
}
.gauge {
  margin: 10px 0;
}
.big {
  margin: 0;
}
.big b {
  font-size: 2.6rem;
}
.gauge {
  height: 12px;
  border-radius: 99px;
  background: var(--band);
  overflow: hidden;
  max-width: 420px;
}
.gauge i {
  display: block;
  height: 100%;
  background: var(--sun);
}
@media (max-width: 800px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
    gap: 20px;
  }
}
</style>
