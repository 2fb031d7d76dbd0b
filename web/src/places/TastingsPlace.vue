<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Schemas, Sheet } from '../api/types'
import BakeDone from '../components/BakeDone.vue'
import BakesBeside from '../components/BakesBeside.vue'
import CauseList from '../components/CauseList.vue'
import ScoreSheet from '../components/ScoreSheet.vue'
import ToldApart from '../components/ToldApart.vue'
import VersionTree from '../components/VersionTree.vue'
import { briefDay } from '../logic/days'
import { clientKey } from '../logic/draft'
import { grams, heat, percent } from '../logic/format'
import { useHousehold } from '../stores/household'
import { useNotices } from '../stores/notices'
import { usePeople } from '../stores/people'
import { useTastings } from '../stores/tastings'

const props = defineProps<{ bake?: number }>()
const store = useTastings()
const people = usePeople()
const household = useHousehold()
const notices = useNotices()
const router = useRouter()
const sheet = ref<{ sent: () => void }>()
const isSending = ref(false)
const busy = ref('')
const target = ref(0.4)
const names = computed(() => people.people.map((p) => p.name))
const judged = computed(() => (store.judged?.bake.id === props.bake ? store.judged : undefined))
const waiting = computed(() => store.bakes.filter((b) => !b.tastings).length)
const STATES: Record<string, string> = { warm: 'warm', cool: 'cool', next_day: 'the next day' }
/** One key for each sheet: sent twice, it is kept once. */
let key = clientKey()

async function act(work: () => Promise<unknown>): Promise<void> {
  await work().catch(notices.complain)
}

async function taste(filled: Sheet): Promise<void> {
  isSending.value = true
  try {
    const made = await store.taste(filled, key)
    // How sweet the household likes things may have moved, and with it what a new wish begins with.
    household.reload().catch(notices.complain)
    key = clientKey()
    sheet.value?.sent()
    notices.say('Kept. What it teaches is in the next plan.', {
      label: 'Undo',
      run: () => store.removeTasting(made.id).catch(notices.complain),
    })
  } catch (error) {
    notices.complain(error)
  } finally {
    isSending.value = false
  }
}

async function takeBack(id: number): Promise<void> {
  await act(async () => {
    await store.removeTasting(id)
    notices.say('Taken back, and what it taught.', {
      label: 'Undo',
      run: () => store.restoreTasting(id).catch(notices.complain),
    })
  })
}

async function accept(cause: string): Promise<void> {
  busy.value = cause
  await act(async () => {
    const made = await store.accept(cause)
    const oven = made.minutes
      ? ` ${Math.abs(made.minutes)} minutes ${made.minutes > 0 ? 'longer' : 'less'}.`
      : made.degrees
        ? ` ${heat(Math.abs(made.degrees), true)} ${made.degrees > 0 ? 'hotter' : 'cooler'}.`
        : ''
    notices.say(`Kept as a version of its own.${oven}`, {
      label: 'Bake day',
      run: () => router.push({ name: 'bake-day', params: { id: made.recipe_id, version: made.version_id } }),
    })
  })
  busy.value = ''
}

async function change(changes: Schemas['BakeChangesIn']): Promise<void> {
  await act(async () => {
    const figures = await store.change(changes)
    if (!figures) return
    const pieces = changes.pieces
    notices.say(
      `${figures}.`,
      figures.includes('keep their figures') && pieces
        ? { label: 'Count them anew', run: () => change({ pieces, anew: true }) }
        : undefined,
    )
  })
}

async function removePhoto(id: number): Promise<void> {
  await act(async () => {
    await store.removePhoto(id)
    notices.say('The picture is out of sight.', {
      label: 'Undo',
      run: () => store.restorePhoto(id).catch(notices.complain),
    })
  })
}

async function step(): Promise<void> {
  await act(async () => {
    const version = await store.nextStep()
    const recipe = store.progress?.recipe_id
    notices.say('The next step is kept as a version.', {
      label: 'Bake day',
      run: () => router.push({ name: 'bake-day', params: { id: recipe, version } }),
    })
  })
}

onMounted(async () => {
  people.load().catch(notices.complain)
  await act(() => store.load())
  const first = store.bakes[0]
  if (!props.bake && first) await router.replace({ name: 'tastings', params: { bake: first.id } })
})
watch(
  () => props.bake,
  (id) => id && act(() => store.open(id)),
  { immediate: true },
)
</script>

<template>
  <section class="place">
    <header class="head">
      <h1>Tastings</h1>
      <span v-if="waiting" class="quiet"
        >{{ waiting }} of the last {{ store.bakes.length }} bakes not tasted yet</span
      >
    </header>
    <div v-if="!store.bakes.length" class="empty">
      <h2>Nothing is baked yet</h2>
      <p>
        Keep a version on the Bench and say “I baked it”. Thirty seconds of tasting then say what to change
        next time, in grams.
      </p>
    </div>
    <div v-else class="sides">
      <nav class="bakes" aria-label="Bakes">
        <router-link
          v-for="one in store.bakes"
          :key="one.id"
          :to="{ name: 'tastings', params: { bake: one.id } }"
          :class="{ here: one.id === bake }"
        >
          <b>{{ one.title }}</b>
          <small class="quiet">{{ one.label }}, {{ briefDay(one.baked_on) }}</small>
          <span
            v-if="one.liked !== null"
            class="suns"
            :aria-label="`liked ${one.liked.toFixed(1)} of 3`"
            role="img"
            ><i v-for="n in 3" :key="n" :class="{ full: one.liked >= n - 0.34 }"></i
          ></span>
          <small v-else class="open">{{ one.tastings ? '' : 'to taste' }}</small>
        </router-link>
        <v-btn
          v-if="store.bakes.length < store.total"
          variant="text"
          size="small"
          @click="act(() => store.load(Math.min(store.bakes.length + 20, 60)))"
          >{{ store.total - store.bakes.length }} earlier</v-btn
        >
      </nav>

      <div v-if="judged" class="work">
        <header class="title">
          <h2 class="display">{{ judged.bake.title }}</h2>
          <span class="quiet"
            >{{ judged.bake.label }}, baked {{ briefDay(judged.bake.baked_on) }},
            {{ grams(judged.bake.portions[0]?.free_sugars_who_g ?? 0) }} free sugar in one
            {{ judged.bake.unit }}</span
          >
        </header>

        <section v-if="judged.tastings.length" aria-labelledby="said">
          <h3 id="said">What was said</h3>
          <ul class="said">
            <li v-for="one in judged.tastings" :key="one.id">
              <span>
                <b>{{ one.who || 'Someone' }}</b>, {{ STATES[one.state] ?? one.state
                }}{{ one.is_blind ? ', not told' : '' }}:
                {{ one.said.join(', ') || 'all just right' }}
                <span v-if="one.words" class="quiet">“{{ one.words }}”</span>
              </span>
              <v-btn
                size="small"
                variant="text"
                :aria-label="`Take back ${one.who || 'this'} sheet`"
                @click="takeBack(one.id)"
                >take back</v-btn
              >
            </li>
          </ul>
          <CauseList :causes="judged.causes" :busy="busy" @accept="accept" />
        </section>

        <section aria-labelledby="sheet">
          <h3 id="sheet">{{ judged.tastings.length ? 'Another taster' : 'How is it?' }}</h3>
          <ScoreSheet
            ref="sheet"
            :aspects="store.aspects"
            :people="names"
            :is-sending="isSending"
            @taste="taste"
          />
        </section>

        <section aria-labelledby="done">
          <h3 id="done">What was done</h3>
          <BakeDone
            :bake="judged.bake"
            :tins="household.settings.tins"
            :currency="household.settings.currency"
            @change="change"
            @photo="act(() => store.addPhoto($event))"
            @remove-photo="removePhoto"
          />
        </section>

        <section v-if="store.progress" aria-labelledby="tree">
          <h3 id="tree">{{ store.progress.title }}: where it stands</h3>
          <ul v-if="store.progress.lines.length" class="lines">
            <li v-for="line in store.progress.lines" :key="line">{{ line }}</li>
          </ul>
          <VersionTree
            :recipe="store.progress.recipe_id"
            :branches="store.progress.branches"
            :here="judged.bake.version_id"
          />
          <div class="taper">
            <template v-if="store.progress.taper">
              <p>
                <b>Taper to {{ percent(store.progress.taper.target) }} less.</b>
                {{ store.progress.taper.stand.words }}
              </p>
              <span class="actions">
                <v-btn
                  v-if="['begin', 'go on', 'back'].includes(store.progress.taper.stand.state)"
                  size="small"
                  variant="tonal"
                  @click="step"
                  >Keep the next step</v-btn
                >
                <v-btn size="small" variant="text" @click="act(() => store.endTaper())">End the taper</v-btn>
              </span>
            </template>
            <p v-else>
              Go down by small steps, as long as it is liked, to
              <select v-model.number="target" aria-label="How much less sugar the taper aims at">
                <option v-for="n in [0.2, 0.3, 0.4, 0.5, 0.6]" :key="n" :value="n">
                  {{ percent(n) }} less
                </option>
              </select>
              <v-btn size="small" variant="tonal" @click="act(() => store.beginTaper(target))"
                >Begin a taper</v-btn
              >
            </p>
          </div>
        </section>

        <section aria-labelledby="beside">
          <h3 id="beside">Two bakes side by side</h3>
          <BakesBeside
            :one="judged"
            :other="store.beside"
            :offered="store.bakes"
            :aspects="store.aspects"
            @choose="(id) => act(() => store.putBeside(id))"
          />
        </section>

        <details class="strict">
          <summary>For the strict: two bakes told apart</summary>
          <ToldApart
            :bake="judged.bake"
            :others="store.bakes"
            :tests="store.tests"
            @note="(other, test, tries, right) => act(() => store.noteTest(other, test, tries, right))"
          />
        </details>
      </div>
    </div>
  </section>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  gap: 38px;
  align-items: start;
}
.bakes {
  display: grid;
  max-height: calc(100vh - 120px);
  overflow-y: auto;
  position: sticky;
  top: 16px;
}
.bakes a {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 8px;
  padding: 9px 12px;
  border-radius: 14px;
  color: inherit;
  text-decoration: none;
  line-height: 1.3;
}
.bakes a small {
  grid-column: 1;
}
.bakes a.here {
  background: color-mix(in srgb, var(--sun) 18%, var(--paper));
}
.bakes .suns,
.bakes .open {
  grid-column: 2;
  grid-row: 1 / span 2;
  align-self: center;
}
.open {
  color: var(--ember);
  font-weight: 650;
}
.suns {
  display: inline-flex;
  gap: 3px;
}
.suns i {
  width: 11px;
  height: 11px;
  border-radius: 50%;
  border: 2px solid var(--sun);
}
.suns i.full {
  background: var(--sun);
}
.work {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 26px;
}
.title h2 {
  font-size: clamp(1.5rem, 1.2rem + 1.2vw, 2rem);
}
h3 {
  font-size: 1.12rem;
  margin-bottom: 6px;
}
.said {
  list-style: none;
  padding: 0;
}
.said li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
.lines {
  padding-left: 18px;
  margin: 0 0 8px;
}
.taper {
  padding-top: 10px;
}
.taper p {
  margin: 0 0 6px;
}
.taper select {
  border-bottom: 2px solid var(--sun);
  font-weight: 650;
}
summary {
  cursor: pointer;
  font-weight: 650;
}
@media (max-width: 900px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
    gap: 18px;
  }
  .bakes {
    position: static;
    display: flex;
    overflow-x: auto;
    max-height: none;
    gap: 4px;
  }
  .bakes a {
    min-width: 210px;
  }
}
</style>
