<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import type { DiaryEntry, Schemas } from '../api/types'
import ChallengeList from '../components/ChallengeList.vue'
import LedgerViews from '../components/LedgerViews.vue'
import SlipForm from '../components/SlipForm.vue'
import SpanChart from '../components/SpanChart.vue'
import SumTable from '../components/SumTable.vue'
import { addDays, briefDay, daysBetween, isoDay, longDay, shortDay } from '../logic/days'
import { grams, kcal, number, plural, span as spanWords } from '../logic/format'
import { monthName, monthOf, moved, spanOf, type View } from '../logic/spans'
import { useDiary, type By } from '../stores/diary'
import { useHousehold } from '../stores/household'
import { useNotices } from '../stores/notices'
import { usePeople } from '../stores/people'

const props = defineProps<{ view: View }>()
const store = useDiary()
const people = usePeople()
const household = useHousehold()
const notices = useNotices()
const at = ref(isoDay(new Date()))
const definition = ref('free_sugars_who_g')
const who = ref('')
const isSending = ref(false)
const slip = ref<{ logged: () => void }>()
const span = computed(() => spanOf(props.view, at.value))
const asked = computed(() => ({ ...span.value, definition: definition.value, who: who.value }))
const BY: Record<View, By[]> = {
  day: ['day', 'person'],
  week: ['day', 'person', 'recipe', 'time'],
  month: ['day', 'person', 'recipe', 'time'],
  year: ['month', 'person', 'recipe', 'time'],
}
const main = computed(() => store.spans[props.view === 'year' ? 'month' : 'day'])
const names = computed(() => people.people.map((p) => p.name))
const heading = computed(() => {
  if (props.view === 'day') return longDay(at.value)
  if (props.view === 'week') return `${briefDay(span.value.since)} to ${briefDay(span.value.until)}`
  return props.view === 'month' ? monthName(at.value) : at.value.slice(0, 4)
})
const bars = computed(() => {
  const rows = new Map(main.value?.rows.map((row) => [row.key, row]))
  if (props.view !== 'year')
    return daysBetween(span.value.since, span.value.until).map((day) => ({
      key: day,
      name: props.view === 'week' ? shortDay(day) : String(Number(day.slice(8))),
      row: rows.get(day),
    }))
  return Array.from({ length: 12 }, (_, n) => {
    const key = `${at.value.slice(0, 4)}-${String(n + 1).padStart(2, '0')}`
    return { key, name: monthOf(key), row: rows.get(key) }
  })
})
/** A day's limit is the same all month; months are of unequal length, so that a year draws none. */
const limit = computed(() =>
  props.view !== 'year' ? (main.value?.rows.find((row) => row.limit_g)?.limit_g ?? null) : null,
)
const counted = computed(
  () => household.choices?.definitions.find((d) => d.key === definition.value)?.name ?? 'free sugar',
)
const monthNames = computed(() =>
  props.view === 'year'
    ? Object.fromEntries((main.value?.rows ?? []).map((row) => [row.key, monthName(`${row.key}-01`)]))
    : Object.fromEntries((main.value?.rows ?? []).map((row) => [row.key, longDay(row.key)])),
)

async function act(work: () => Promise<unknown>): Promise<void> {
  await work().catch(notices.complain)
}

function load(): Promise<void> {
  return act(() =>
    Promise.all([
      store.loadSpans(asked.value, BY[props.view]),
      props.view === 'day' ? store.loadEntries(asked.value) : undefined,
    ]),
  )
}

async function remove(entry: DiaryEntry): Promise<void> {
  await act(async () => {
    await store.remove(entry)
    notices.say('Taken back.', { label: 'Undo', run: () => store.restore(entry).catch(notices.complain) })
  })
}

async function log(body: Schemas['SlipIn']): Promise<void> {
  isSending.value = true
  await act(async () => {
    const made = await store.addSlip(body)
    slip.value?.logged()
    notices.say(`${made.what}: ${grams(made.free_sugars_who_g)} of free sugar noted.`, {
      label: 'Undo',
      run: () => store.remove(made).catch(notices.complain),
    })
  })
  isSending.value = false
}

async function bring(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  field.value = ''
  if (!file) return
  await act(async () => {
    const done = await store.bring(await file.text())
    notices.say(`${done.added} ${plural(done.added, 'row')} came in, ${done.known} were there already.`)
  })
}

function time(entry: DiaryEntry): string {
  if (entry.at === null) return ''
  return `${String(Math.floor(entry.at / 60)).padStart(2, '0')}:${String(entry.at % 60).padStart(2, '0')}`
}

const print = (): void => window.print()

const between = computed(() => {
  const one = store.doubt
  return one && main.value && Math.abs(one.value - main.value.total.sugar_g) < 0.6 && one.high - one.low > 0.5
    ? spanWords(one.low, one.high)
    : ''
})

onMounted(() => {
  people.load().catch(notices.complain)
  store.loadUsual().catch(notices.complain)
  store.loadChallenges().catch(notices.complain)
})
watch(asked, load, { immediate: true, deep: true })
</script>

<template>
  <section class="place">
    <header class="head">
      <h1>Ledger</h1>
      <LedgerViews />
    </header>
    <p class="bar">
      <button type="button" aria-label="Earlier" @click="at = moved(view, at, -1)">←</button>
      <b class="display when">{{ heading }}</b>
      <button type="button" aria-label="Later" @click="at = moved(view, at, 1)">→</button>
      <label
        >counting
        <select v-model="definition">
          <option v-for="one in household.choices?.definitions" :key="one.key" :value="one.key">
            {{ one.name }}
          </option>
        </select></label
      >
      <label
        >of
        <select v-model="who" aria-label="Whose">
          <option value="">everyone</option>
          <option v-for="name in names" :key="name" :value="name">{{ name }}</option>
        </select></label
      >
      <span class="files">
        <a :href="`/api/diary/file?since=${span.since}&until=${span.until}&format=csv`" download>CSV</a>
        <a :href="`/api/diary/file?since=${span.since}&until=${span.until}&format=json`" download>JSON</a>
        <label class="in"
          >bring in<input type="file" accept=".csv,.json,text/csv,application/json" @change="bring"
        /></label>
        <button v-if="view !== 'day'" type="button" @click="print">print</button>
      </span>
    </p>

    <template v-if="main">
      <p class="headline">
        <span class="display huge">{{ grams(main.total.sugar_g) }}</span>
        <span>
          of {{ counted }} eaten<template v-if="main.total.limit_g">
            of {{ grams(main.total.limit_g) }} that {{ who || 'all named' }} may have</template
          >, {{ grams(main.total.slips_g) }} of it slips<template v-if="between"
            >; it may be {{ between }} g, nine times in ten</template
          >.<br />
          {{ grams(Math.abs(main.total.saved_g)) }} {{ main.total.saved_g >= 0 ? 'less' : 'more' }} than as
          many grams of the originals, {{ kcal(main.total.saved_kcal) }} saved<template
            v-if="main.total.smaller_g > 0.5"
            >; smaller slices are another {{ grams(main.total.smaller_g) }}</template
          >.
        </span>
      </p>

      <SpanChart
        v-if="view !== 'day'"
        :rows="bars"
        :limit="limit"
        :label="`${counted} eaten in ${heading}, slips in it, and what the originals would have held`"
      />
      <p v-if="view !== 'day'" class="quiet small key">
        <i class="eaten"></i> eaten <i class="slips"></i> of it slips <i class="would"></i> what as many grams
        of the originals hold
      </p>

      <div v-if="view === 'day'" class="sides">
        <section aria-label="What was eaten">
          <p v-if="!store.entries.length" class="quiet">Nothing is noted on this day.</p>
          <ol class="diary">
            <li v-for="entry in store.entries" :key="entry.kind + entry.id">
              <span class="quiet">{{ time(entry) }}</span>
              <span
                ><b
                  >{{ entry.kind === 'portion' && entry.count !== 1 ? `${number(entry.count)} × ` : ''
                  }}{{ entry.what }}</b
                >
                <span class="quiet">{{
                  [', ' + entry.label, entry.who].filter((said) => said.length > 2).join(', ')
                }}</span></span
              >
              <span class="figure">{{ grams(entry[definition as 'free_sugars_who_g']) }}</span>
              <span class="figure saved">{{
                entry.saved_g > 0.05 ? `${grams(entry.saved_g)} saved` : entry.kind === 'slip' ? 'slip' : ''
              }}</span>
              <v-btn
                size="small"
                variant="text"
                :aria-label="`Take back ${entry.what}`"
                @click="remove(entry)"
                >take back</v-btn
              >
            </li>
          </ol>
          <SumTable
            v-if="store.spans.person"
            what="Person"
            :rows="store.spans.person.rows"
            :total="store.spans.person.total"
          />
          <ChallengeList
            :challenges="store.challenges"
            :people="names"
            @add="act(() => store.addChallenge($event))"
            @remove="
              (one) =>
                act(async () => {
                  await store.removeChallenge(one.id)
                  notices.say(`${one.name} is put away.`, {
                    label: 'Undo',
                    run: () => act(() => store.restoreChallenge(one.id)),
                  })
                })
            "
          />
        </section>
        <SlipForm
          v-if="store.usual"
          ref="slip"
          :usual="store.usual"
          :people="names"
          :is-sending="isSending"
          @log="log"
        />
      </div>

      <template v-else>
        <div class="tables">
          <section v-if="store.spans.person" aria-label="By person">
            <SumTable what="Person" :rows="store.spans.person.rows" :total="store.spans.person.total" />
          </section>
          <section v-if="store.spans.recipe" aria-label="By dessert">
            <SumTable what="Dessert" :rows="store.spans.recipe.rows" :total="store.spans.recipe.total" />
          </section>
          <section v-if="store.spans.recipe?.more_often.length" class="often" aria-label="Eaten more often">
            <h3>Eaten more often since it is lighter</h3>
            <p v-for="one in store.spans.recipe.more_often" :key="one.recipe_id">
              <b>{{ one.title }}</b>: {{ number(one.before_week) }} portions a week before,
              {{ number(one.after_week) }} now; {{ grams(one.before_g) }} of sugar a week before,
              {{ grams(one.after_g) }} now.
            </p>
          </section>
          <section v-if="store.spans.time" aria-label="By time of day">
            <SumTable what="Time of day" :rows="store.spans.time.rows" :total="store.spans.time.total" />
          </section>
          <details>
            <summary>{{ view === 'year' ? 'Month by month' : 'Day by day' }}, as a table</summary>
            <SumTable
              :what="view === 'year' ? 'Month' : 'Day'"
              :rows="main.rows"
              :total="main.total"
              :names="monthNames"
            />
          </details>
        </div>
      </template>
    </template>
    <p class="quiet small">
      Saved is always at the same portion mass. Limits are guidance, each person’s own under
      <router-link to="/household">Household</router-link>; figures are estimates.
      <template v-if="view === 'day' && at !== isoDay(new Date())">
        <button type="button" class="link" @click="at = isoDay(new Date())">Back to today</button>
        <button type="button" class="link" @click="at = addDays(isoDay(new Date()), -1)">Yesterday</button>
      </template>
    </p>
  </section>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: baseline;
  margin: 0 0 10px;
}
.bar > button {
  padding: 4px 12px;
  border-radius: 999px;
  background: var(--band);
}
.when {
  font-size: 1.35rem;
}
select {
  color: inherit;
  background: var(--paper);
  border-bottom: 2px solid var(--sun);
  font: inherit;
  font-weight: 650;
  max-width: 100%;
}
.files {
  margin-left: auto;
  display: flex;
  gap: 14px;
  align-items: baseline;
}
.files a,
.files button,
.in,
.link {
  color: inherit;
  text-decoration: underline;
  cursor: pointer;
}
.in input {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.in:focus-within {
  outline: 3px solid var(--water);
}
.headline {
  display: flex;
  gap: 20px;
  align-items: center;
  flex-wrap: wrap;
  margin-bottom: 14px;
}
.huge {
  font-size: clamp(2.4rem, 1.8rem + 2.4vw, 3.6rem);
  line-height: 1;
}
.key i {
  display: inline-block;
  width: 12px;
  height: 12px;
  border-radius: 3px;
  border: 1.5px solid var(--sun);
  vertical-align: -1px;
  margin: 0 4px 0 12px;
}
.key .eaten {
  background: var(--sun);
}
.key .slips {
  background: #8a5531;
  border-color: #8a5531;
}
.sides {
  display: grid;
  grid-template-columns: minmax(0, 1.7fr) minmax(280px, 1fr);
  gap: 40px;
  align-items: start;
}
.diary {
  list-style: none;
  padding: 0;
  margin: 0 0 22px;
}
.diary li {
  display: grid;
  grid-template-columns: 52px minmax(0, 1fr) 62px 92px 92px;
  gap: 8px;
  align-items: center;
  padding: 3px 0;
  border-bottom: 1px solid var(--hair);
}
.figure {
  text-align: right;
}
.saved {
  color: var(--leaf);
}
.tables {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 28px;
  margin: 18px 0;
}
h3 {
  font-size: 1.05rem;
}
.often p {
  margin: 4px 0;
}
summary {
  cursor: pointer;
  font-weight: 650;
}
@media (max-width: 900px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
    gap: 20px;
  }
  .diary li {
    grid-template-columns: 46px minmax(0, 1fr) 56px;
  }
  .diary .saved {
    display: none;
  }
  .files {
    margin-left: 0;
  }
}
@media print {
  .files,
  .bar > button {
    display: none;
  }
}
</style>
