<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import type { Sweetener } from '../api/types'
import { grams, kcal, number } from '../logic/format'
import NumberField from './NumberField.vue'

const props = defineProps<{ sweeteners: Sweetener[] }>()
const emit = defineEmits<{
  open: [key: string]
  compare: [sugar: number, batter: number]
  price: [key: string, perKg: number | null]
}>()
const sugar = ref<number | null>(100)
const batter = ref<number | null>(850)
const most = computed(() => Math.max(1, ...props.sweeteners.map((s) => s.free_sugars_who_g ?? 0)))

function compare(): void {
  if (sugar.value && batter.value) emit('compare', sugar.value, batter.value)
}

watch([sugar, batter], compare)
onMounted(compare)
</script>

<template>
  <div>
    <p class="ask">
      As sweet as
      <NumberField v-model="sugar" name="Grams of sugar" :min="1" :max="5000" :step="10" is-inline is-live />
      g of sugar in
      <NumberField
        v-model="batter"
        name="Grams of batter"
        :min="1"
        :max="50000"
        :step="50"
        is-inline
        is-live
      />
      g of batter takes
    </p>
    <div class="wide">
      <table>
        <thead>
          <tr>
            <th scope="col">sweetener</th>
            <th scope="col">weight</th>
            <th scope="col">measure</th>
            <th scope="col">free sugar</th>
            <th scope="col">in the UK</th>
            <th scope="col">energy</th>
            <th scope="col">water</th>
            <th scope="col">price of a kg</th>
            <th scope="col">costs</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="item in sweeteners" :key="item.key" :class="{ refined: item.is_refined }">
            <th scope="row">
              <button type="button" @click="emit('open', item.key)">{{ item.name }}</button>
            </th>
            <template v-if="item.grams !== null">
              <td>
                <b>{{ grams(item.grams) }}</b>
              </td>
              <td>{{ item.household }}</td>
              <td>
                <span class="bar" :style="{ width: `${(46 * (item.free_sugars_who_g ?? 0)) / most}px` }" />{{
                  number(item.free_sugars_who_g ?? 0)
                }}
                g
              </td>
              <td>{{ grams(item.free_sugars_uk_g ?? 0) }}</td>
              <td>{{ kcal(item.energy_kcal ?? 0) }}</td>
              <td>{{ grams(item.water_g ?? 0) }}</td>
            </template>
            <td v-else colspan="6" class="quiet">can’t reach this sweetness, however much is taken</td>
            <td>
              <NumberField
                :model-value="item.price_per_kg"
                :name="`Price of a kilogram of ${item.name}`"
                :max="10000"
                is-inline
                is-optional
                @update:model-value="emit('price', item.key, $event)"
              />
            </td>
            <td>{{ item.price === null ? '' : number(item.price) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="quiet small">
      By sweetness alone: bulk, moisture and browning are the Bench’s work. Stevia and monk fruit level off.
    </p>
  </div>
</template>

<style scoped>
.ask {
  font-family: var(--display);
  font-size: 1.2rem;
  margin-bottom: 12px;
}
.wide {
  overflow-x: auto;
}
table {
  white-space: nowrap;
}
th,
td {
  text-align: right;
  vertical-align: middle;
  padding: 5px 8px;
}
th:first-child,
td:nth-child(3),
th:nth-child(3) {
  text-align: left;
}
thead th {
  color: var(--quiet);
  font-size: 0.85rem;
  border-bottom: 2px solid var(--ink);
}
tbody button {
  text-decoration: underline;
  text-decoration-color: var(--hair);
}
.refined th {
  font-style: italic;
}
.bar {
  display: inline-block;
  height: 9px;
  margin-right: 7px;
  border-radius: 5px;
  background: var(--sun);
}
</style>
