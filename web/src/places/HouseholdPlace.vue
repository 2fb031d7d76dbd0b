<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { Schemas, Settings } from '../api/types'
import MeasureFields from '../components/MeasureFields.vue'
import OvenFields from '../components/OvenFields.vue'
import OvenList from '../components/OvenList.vue'
import PersonFields from '../components/PersonFields.vue'
import { grams } from '../logic/format'
import { useHousehold } from '../stores/household'
import { useNotices } from '../stores/notices'
import { usePeople } from '../stores/people'

const store = usePeople()
const household = useHousehold()
const notices = useNotices()
const name = ref('')
const settings = computed(() => household.settings)

async function act(work: () => Promise<unknown>): Promise<void> {
  await work().catch(notices.complain)
}

async function add(): Promise<void> {
  if (!name.value.trim()) return
  await act(async () => {
    await store.add(name.value)
    name.value = ''
  })
}

async function remove(id: number, who: string): Promise<void> {
  await act(async () => {
    await store.remove(id)
    notices.say(`${who} is off the list; what ${who} ate stays in the ledger.`, {
      label: 'Undo',
      run: () => store.restore(id).catch(notices.complain),
    })
  })
}

async function forget(): Promise<void> {
  await act(async () => {
    await store.forget()
    notices.say('Forgotten. The tastings stay; what comes from now on teaches.', {
      label: 'Undo',
      run: () => store.learnAgain().catch(notices.complain),
    })
  })
}

/** Numbers of scoops as typed; what is none is left for the answer to name. */
const sizes = (typed: string[]): number[] => typed.map((one) => Number(one.replace(/^\D+/, '')))

function change(changes: Partial<Settings>): Promise<void> {
  return act(() => household.change(changes as Schemas['SettingsIn']))
}

onMounted(() => {
  store.load().catch(notices.complain)
  store.loadLessons().catch(notices.complain)
})
</script>

<template>
  <section class="place">
    <header class="head"><h1>Household</h1></header>
    <div class="sides">
      <section aria-labelledby="people">
        <h2 id="people">Who eats here</h2>
        <p v-if="!store.people.length" class="quiet">
          Name who eats with you: each has a limit by age and authority, and the ledger shows it per person.
        </p>
        <template v-if="store.choices && household.choices">
          <PersonFields
            v-for="one in store.people"
            :key="one.id"
            :person="one"
            :choices="store.choices"
            :diets="household.choices.diets"
            @change="act(() => store.change(one.id, $event))"
            @remove="remove(one.id, one.name)"
          />
        </template>
        <form class="add" @submit.prevent="add">
          <v-text-field v-model="name" label="A name" maxlength="60" hide-details />
          <v-btn type="submit" variant="tonal" :disabled="!name.trim()">Add</v-btn>
        </form>
      </section>

      <div class="right">
        <section aria-labelledby="learned">
          <h2 id="learned">What your tastings taught</h2>
          <ul v-if="store.lessons.length" class="lessons">
            <li v-for="one in store.lessons" :key="one.key">
              <b>{{ one.name }}</b>
              <span>{{ one.words }}</span>
              <small class="quiet"
                >from {{ one.answers }} {{ one.answers === 1 ? 'answer' : 'answers' }}; nine times in ten it
                lies in that span</small
              >
            </li>
          </ul>
          <p v-else class="quiet">
            Nothing yet. After a tasting, the next plan knows how sweet your products really are and how sweet
            you like it.
          </p>
          <v-btn v-if="store.lessons.length" size="small" variant="text" @click="forget"
            >Forget it and begin anew</v-btn
          >
        </section>

        <section aria-labelledby="kitchen">
          <h2 id="kitchen">The kitchen</h2>
          <h3>{{ settings.ovens.length > 1 ? 'Your ovens' : 'Your oven' }}</h3>
          <OvenList :settings="settings" @change="change" />
          <OvenFields :settings="settings" @change="change" />
          <h3>How you measure</h3>
          <MeasureFields
            v-if="household.choices"
            :settings="settings"
            :cups="household.choices.cups"
            @change="change"
          />
          <h3>Nights and numbers</h3>
          <p class="line">
            <label
              >asleep
              <input
                :value="settings.sleep"
                class="sleep"
                aria-label="Hours of sleep, such as 22:30-06:30"
                pattern="\d\d:\d\d-\d\d:\d\d"
                @change="change({ sleep: ($event.target as HTMLInputElement).value })"
            /></label>
            <label
              >numbers as
              <select
                :value="settings.decimal_sign"
                @change="
                  change({
                    decimal_sign: ($event.target as HTMLSelectElement).value as Settings['decimal_sign'],
                  })
                "
              >
                <option value=".">1.5</option>
                <option value=",">1,5</option>
              </select></label
            >
            <label
              >the sun’s horizon
              <select
                :value="settings.daily_limit_g"
                @change="change({ daily_limit_g: Number(($event.target as HTMLSelectElement).value) })"
              >
                <option v-for="limit in household.choices?.limits" :key="limit.name" :value="limit.grams">
                  {{ grams(limit.grams) }}, {{ limit.name }}
                </option>
              </select></label
            >
          </p>
          <h3>Tins, scoops and money</h3>
          <v-combobox
            :model-value="settings.tins"
            label="Tins that you own, such as 20 cm round"
            multiple
            chips
            closable-chips
            hide-details
            @update:model-value="change({ tins: $event })"
          />
          <v-combobox
            :model-value="settings.scoops.map(String)"
            class="scoops"
            label="Scoops that you own, by their number, such as 40"
            multiple
            chips
            closable-chips
            hide-details
            @update:model-value="change({ scoops: sizes($event) })"
          />
          <p class="line money">
            <label
              >money in
              <input
                :value="settings.currency"
                class="sleep"
                maxlength="6"
                aria-label="The sign or letters of your money"
                @change="change({ currency: ($event.target as HTMLInputElement).value })"
            /></label>
          </p>
          <p class="quiet small">
            What stands in the cupboard and what things cost is kept in the
            <router-link to="/pantry">pantry</router-link>.
          </p>
        </section>

        <p class="quiet small">
          Limits are guidance with their source beside them. With diabetes, pregnancy, kidney disease or
          phenylketonuria, ask a doctor or dietitian; all figures are estimates.
        </p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 54px;
  align-items: start;
}
.right {
  display: grid;
  gap: 30px;
}
.add {
  display: flex;
  gap: 12px;
  align-items: center;
  padding-top: 16px;
  max-width: 380px;
}
.lessons {
  list-style: none;
  padding: 0;
  margin: 8px 0;
}
.lessons li {
  display: grid;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
h3 {
  font-size: 1rem;
  margin: 14px 0 6px;
}
.scoops {
  margin: 18px 0 12px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
}
select,
.sleep {
  color: inherit;
  font: inherit;
  border-bottom: 2px solid var(--sun);
  font-weight: 650;
  max-width: 100%;
}
.sleep {
  width: 12ch;
}
.money {
  margin-top: 12px;
}
.money .sleep {
  width: 7ch;
}
@media (max-width: 900px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
    gap: 30px;
  }
}
</style>
