<script setup lang="ts">
import { mdiMagnify } from '@mdi/js'
import { onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import IngredientCard from '../components/IngredientCard.vue'
import LabelForm from '../components/LabelForm.vue'
import SweetenerTable from '../components/SweetenerTable.vue'
import { useKeys } from '../composables/useKeys'
import { grams } from '../logic/format'
import { useHousehold } from '../stores/household'
import { useNotices } from '../stores/notices'
import { usePantry } from '../stores/pantry'
import { ApiError } from '../api/client'
import type { Label, Product } from '../api/types'

const store = usePantry()
const household = useHousehold()
const product = ref<Product>()
const problem = ref('')
const notices = useNotices()
const route = useRoute()
const router = useRouter()
const words = ref('')
const find = ref<{ focus: () => void }>()
const tabs = [
  { key: 'foods', name: 'Ingredients' },
  { key: 'sweeteners', name: 'Sweeteners side by side' },
  { key: 'label', name: 'From a label' },
]
const tab = ref(String(route.query.tab ?? 'foods'))

function choose(key: string): void {
  tab.value = key
  void router.replace({ query: { ...route.query, tab: key } })
}

async function open(key: string): Promise<void> {
  await router.replace({ query: { food: key } })
  tab.value = 'foods'
  await store.open(key).catch(notices.complain)
}

let compared: [sugar: number, batter: number] = [100, 850]

function compare(...at: typeof compared): void {
  compared = at
  store.compare(...at).catch(notices.complain)
}

async function setPrice(key: string, perKg: number | null): Promise<void> {
  try {
    await household.change({ prices: { [key]: perKg } })
    await store.compare(...compared)
  } catch (error) {
    notices.complain(error)
  }
}

async function readLabel(label: Label): Promise<void> {
  try {
    product.value = await store.readLabel(label)
    problem.value = ''
  } catch (error) {
    problem.value = error instanceof ApiError ? error.message : 'This could not be worked out.'
  }
}

async function keepProduct(label: Label): Promise<void> {
  try {
    await kept(await store.keepProduct(label))
  } catch (error) {
    notices.complain(error)
  }
}

async function kept(made: Product): Promise<void> {
  product.value = undefined
  words.value = ''
  await store.search('').catch(notices.complain)
  await open(made.ingredient.key)
  notices.say(`${made.ingredient.name} is in your pantry.`)
}

async function remove(key: string, name: string): Promise<void> {
  try {
    await store.removeProduct(key)
    await store.search(words.value)
    notices.say(`${name} is put away; recipes that hold it keep it.`, {
      label: 'Undo',
      run: () =>
        store
          .restoreProduct(key)
          .then(() => store.search(words.value))
          .catch(notices.complain),
    })
  } catch (error) {
    notices.complain(error)
  }
}

useKeys({ '/': () => find.value?.focus() })
watch(words, (value) => store.search(value ?? '').catch(notices.complain))
onMounted(() => {
  store.search('').catch(notices.complain)
  store.open(String(route.query.food ?? 'honey')).catch(notices.complain)
})
</script>

<template>
  <section class="place">
    <header class="head">
      <h1>Pantry</h1>
      <nav class="tabs" aria-label="Parts of the pantry">
        <button
          v-for="item in tabs"
          :key="item.key"
          type="button"
          :aria-pressed="tab === item.key"
          @click="choose(item.key)"
        >
          {{ item.name }}
        </button>
      </nav>
    </header>

    <div v-if="tab === 'foods'" class="sides">
      <div class="finder">
        <v-text-field
          ref="find"
          v-model="words"
          label="Find a food by any of its names"
          :prepend-inner-icon="mdiMagnify"
          clearable
        />
        <ul>
          <li v-for="item in store.found" :key="item.key">
            <button type="button" :aria-current="item.key === store.detail?.key" @click="open(item.key)">
              <span>{{ item.name }}</span><span class="quiet">{{ grams(item.total_sugars_g) }} sugar</span>
            </button>
          </li>
        </ul>
        <p v-if="!store.found.length" class="quiet">
          No food is called “{{ words }}”. You can add it from its label.
        </p>
      </div>
      <IngredientCard
        v-if="store.detail"
        :detail="store.detail"
        @remove="remove(store.detail.key, store.detail.name)"
      />
    </div>
    <SweetenerTable
      v-else-if="tab === 'sweeteners'"
      :sweeteners="store.sweeteners"
      @open="open"
      @compare="compare"
      @price="setPrice"
    />
    <LabelForm v-else :read="product" :problem="problem" @label="readLabel" @keep="keepProduct" />
  </section>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
}
.tabs button {
  padding: 4px 0;
  color: var(--quiet);
  border-bottom: 3px solid transparent;
}
.tabs button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 700;
  border-bottom-color: var(--sun);
}
.sides {
  display: grid;
  grid-template-columns: minmax(240px, 0.7fr) minmax(0, 1.6fr);
  gap: 40px;
  align-items: start;
}
ul {
  list-style: none;
  padding: 0;
  margin-top: 10px;
  max-height: calc(100vh - 210px);
  overflow-y: auto;
}
li button {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  width: 100%;
  padding: 6px 8px;
  text-align: left;
  border-bottom: 1px solid var(--hair);
  border-radius: 0;
}
li button:hover {
  background: color-mix(in srgb, var(--sun) 10%, transparent);
}
li button[aria-current='true'] {
  background: color-mix(in srgb, var(--sun) 18%, transparent);
  font-weight: 650;
}
@media (max-width: 800px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
    gap: 20px;
  }
  ul {
    max-height: 220px;
  }
}
</style>
