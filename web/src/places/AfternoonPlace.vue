<script setup lang="ts">
import { computed, onMounted, watch } from 'vue'
import GuestSpread from '../components/GuestSpread.vue'
import NumberField from '../components/NumberField.vue'
import { grams, gramsTenths, number, percent, plural } from '../logic/format'
import { useAfternoon } from '../stores/afternoon'
import { useNotices } from '../stores/notices'
import { usePeople } from '../stores/people'
import { useShelf } from '../stores/shelf'

const store = useAfternoon()
const shelf = useShelf()
const people = usePeople()
const notices = useNotices()
const SOLVE_AFTER_MS = 250
const MOST = 8
const rows = computed(() =>
  (shelf.recipes ?? []).map((row) => ({
    id: row.id,
    title: row.title,
    grams: row.versions[0]?.per_serving.free_sugars_who_g ?? 0,
    unit: row.versions[0]?.unit ?? 'serving',
  })),
)
const onTable = computed(() =>
  store.desserts.filter((one) => rows.value.some((row) => row.id === one.recipe_id)),
)
const isOn = (id: number): boolean => store.desserts.some((one) => one.recipe_id === id)
const portionsOf = (id: number): number => store.desserts.find((one) => one.recipe_id === id)?.portions ?? 1
let timer: ReturnType<typeof setTimeout> | undefined

function setPortions(id: number, portions: number | null): void {
  const one = store.desserts.find((dessert) => dessert.recipe_id === id)
  if (one && portions) one.portions = portions
}

function solve(): void {
  const { diets, eaters } = people.choices?.at_table ?? { diets: [], eaters: [] }
  // A recipe that was put away is no longer on the table.
  if (shelf.recipes && onTable.value.length < store.desserts.length) store.desserts = onTable.value
  store.solve({ diets: [...diets], eaters: [...eaters] }).catch(notices.complain)
}

onMounted(async () => {
  try {
    await Promise.all([shelf.load(), people.load()])
    solve()
  } catch (error) {
    notices.complain(error)
  }
})
watch(
  [() => store.desserts, () => store.most],
  () => {
    clearTimeout(timer)
    timer = setTimeout(solve, SOLVE_AFTER_MS)
  },
  { deep: true },
)
</script>

<template>
  <section class="place">
    <header class="head">
      <h1>One afternoon</h1>
      <span class="quiet">several desserts, and what one guest may eat</span>
    </header>
    <p class="display asked">
      A guest eats at most
      <NumberField
        :model-value="store.most"
        name="Free sugar that a guest eats at most"
        unit="g"
        :max="500"
        :step="1"
        is-inline
        @update:model-value="store.most = $event ?? store.most"
      />
      of free sugar, of all this:
    </p>
    <div class="two">
      <ul class="plain">
        <li v-for="row in rows" :key="row.id" class="row" :class="{ on: isOn(row.id) }">
          <label>
            <input
              type="checkbox"
              :checked="isOn(row.id)"
              :disabled="!isOn(row.id) && store.desserts.length >= MOST"
              @change="store.put(row.id)"
            />
            <span
              >{{ row.title
              }}<small class="quiet">{{ gramsTenths(row.grams) }} in one {{ row.unit }}</small></span
            >
          </label>
          <NumberField
            v-if="isOn(row.id)"
            :model-value="portionsOf(row.id)"
            :name="`Portions of ${row.title} for a guest`"
            :min="0.5"
            :max="20"
            :step="0.5"
            is-inline
            @update:model-value="setPortions(row.id, $event)"
          />
        </li>
      </ul>
      <div aria-live="polite" :aria-busy="store.isWorking">
        <p v-if="!store.desserts.length" class="quiet">Put on the table what there will be: up to eight.</p>
        <p v-else-if="!store.found" class="quiet">Weighing one against the other …</p>
        <template v-else>
          <p class="display words">{{ store.found.words }}</p>
          <GuestSpread :found="store.found" />
          <table>
            <thead>
              <tr>
                <th scope="col">for one guest</th>
                <th scope="col" class="figure">before</th>
                <th scope="col" class="figure">after</th>
                <th scope="col" class="figure">as sweet</th>
                <th scope="col"></th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="one in store.found.desserts" :key="one.recipe_id">
                <th scope="row">
                  {{ one.title
                  }}<small class="quiet"
                    >{{ number(one.portions) }} {{ plural(one.portions, one.unit) }},
                    {{ one.cut ? `cut by ${percent(one.cut)}` : 'as it is' }}</small
                  >
                </th>
                <td class="figure">{{ grams(one.free_sugar_before_g) }}</td>
                <td class="figure">
                  <b>{{ grams(one.free_sugar_g) }}</b>
                </td>
                <td class="figure">{{ percent(one.sweetness) }}</td>
                <td class="figure">
                  <v-btn
                    v-if="one.cut"
                    size="small"
                    variant="text"
                    :to="`/recipes/${one.recipe_id}/bench?cut=${one.cut}`"
                    :aria-label="`Plan ${one.title} with this cut`"
                    >Plan it</v-btn
                  >
                </td>
              </tr>
            </tbody>
            <tfoot>
              <tr>
                <th scope="row">together</th>
                <td class="figure">{{ grams(store.found.before_g) }}</td>
                <td class="figure">
                  <b>{{ grams(store.found.free_sugar_g) }}</b>
                </td>
                <td></td>
                <td></td>
              </tr>
            </tfoot>
          </table>
        </template>
      </div>
    </div>
  </section>
</template>

<style scoped>
.asked {
  font-size: clamp(1.05rem, 0.9rem + 0.7vw, 1.4rem);
  margin: 4px 0 18px;
}
.two {
  display: grid;
  grid-template-columns: minmax(260px, 1fr) minmax(0, 1.7fr);
  gap: 40px;
  align-items: start;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
.plain {
  list-style: none;
  padding: 0;
  margin: 0;
}
.row {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  min-height: 44px;
  border-bottom: 1px solid var(--hair);
}
.row label {
  display: flex;
  gap: 10px;
  align-items: baseline;
  flex: 1;
  padding: 8px 0;
  cursor: pointer;
}
.row small {
  display: block;
  font-weight: 400;
}
.row > :last-child:not(label) {
  flex: 0 0 84px;
}
.on label {
  font-weight: 650;
}
.words {
  font-size: 1.2rem;
  margin: 0 0 14px;
}
.figure {
  text-align: right;
}
th small {
  display: block;
  font-weight: 400;
}
</style>
