<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { ApiError, api, ask } from '../api/client'
import type { Recipe, Schemas, ShelfRow } from '../api/types'
import IngredientPicker from '../components/IngredientPicker.vue'
import PutIn from '../components/PutIn.vue'
import SumPicture from '../components/SumPicture.vue'
import { clientKey } from '../logic/draft'
import { useHousehold } from '../stores/household'
import { useNotices } from '../stores/notices'

type Sum = Schemas['SumOut']

const notices = useNotices()
const household = useHousehold()
const route = useRoute()
const router = useRouter()
const sums = ref<Sum[]>([])
const given = ref<Record<string, string>>({})
const names = ref<Record<string, string>>({})
const worked = ref<Schemas['WorkedOut']>()
const problem = ref<{ field: string | null; words: string }>()
const shelf = ref<ShelfRow[]>([])
const recipe = ref<Recipe>()
const isBusy = ref(false)
const sum = computed(() => sums.value.find((one) => one.key === route.query.sum) ?? sums.value[0])

async function work(): Promise<void> {
  if (!sum.value) return
  try {
    worked.value = await ask(
      api.POST('/api/workshop/{key}', {
        params: { path: { key: sum.value.key } },
        body: { given: given.value },
      }),
    )
    problem.value = undefined
  } catch (error) {
    if (!(error instanceof ApiError)) throw error
    problem.value = { field: error.field, words: error.message }
  }
}

function choose(key: string, food: { key: string; name: string }): void {
  given.value = { ...given.value, [key]: food.key }
  names.value = { ...names.value, [key]: food.name }
}

async function loadShelf(): Promise<void> {
  try {
    shelf.value = (await ask(api.GET('/api/recipes', { params: { query: { count: '500' } } }))).recipes
    const first = shelf.value[0]
    if (first && !recipe.value) await chooseRecipe(first.id)
  } catch (error) {
    notices.complain(error)
  }
}

async function chooseRecipe(id: number): Promise<void> {
  try {
    recipe.value = await ask(api.GET('/api/recipes/{recipe_id}', { params: { path: { recipe_id: id } } }))
  } catch (error) {
    notices.complain(error)
  }
}

/** Keeps a version of the recipe with what the sum made. */
async function keep(version: number, position: number | null, grams: number | null): Promise<void> {
  if (!recipe.value || !sum.value || isBusy.value) return
  isBusy.value = true
  try {
    const kept = await ask(
      api.POST('/api/workshop/{key}/use', {
        params: { path: { key: sum.value.key } },
        body: {
          given: given.value,
          recipe_id: recipe.value.id,
          version_id: version,
          position,
          grams,
          client_key: clientKey(),
        },
      }),
    )
    recipe.value = kept
    const made = kept.versions.at(-1)
    notices.say(`Kept as “${made?.label}” of ${kept.title}.`, {
      label: 'Bake day',
      run: () => router.push(`/recipes/${kept.id}/bake-day/${made?.id}`),
    })
  } catch (error) {
    notices.complain(error)
  } finally {
    isBusy.value = false
  }
}

/** What the household owns, beside a field that asks for one. */
function ownList(key: string, field: string): string | undefined {
  if (key === 'tin' && field === 'new') return 'own-tins'
  return key === 'scoop' && field === 'size' ? 'own-scoops' : undefined
}

const called = (key: string): string => (names.value[key] ?? given.value[key] ?? '').replaceAll('_', ' ')

watch(sum, (one) => {
  names.value = {}
  worked.value = undefined
  // What a link brings along stands in place of the usual.
  const brought = (key: string): string =>
    typeof route.query[key] === 'string' ? String(route.query[key]) : ''
  given.value = Object.fromEntries(
    (one?.fields ?? []).map((field) => [field.key, brought(field.key) || field.usual]),
  )
})
watch(given, work, { deep: true })
onMounted(async () => {
  try {
    sums.value = (await ask(api.GET('/api/workshop', {}))).sums
  } catch (error) {
    notices.complain(error)
  }
})
</script>

<template>
  <section class="place">
    <header class="head"><h1>Workshop</h1></header>
    <div class="sides">
      <nav aria-label="Sums">
        <button
          v-for="one in sums"
          :key="one.key"
          type="button"
          :class="{ here: one.key === sum?.key }"
          :aria-current="one.key === sum?.key"
          @click="router.replace({ query: { sum: one.key } })"
        >
          {{ one.name }}
        </button>
      </nav>
      <div v-if="sum" class="sum">
        <p class="quiet">{{ sum.words }}</p>
        <form @submit.prevent="work">
          <div v-for="field in sum.fields" :key="`${sum.key} ${field.key}`" class="field">
            <template v-if="field.unit === 'food'">
              <IngredientPicker :label="field.name" @pick="choose(field.key, $event)" />
              <span class="quiet small">now {{ called(field.key) }}</span>
            </template>
            <label v-else
              ><span
                >{{ field.name
                }}<template v-if="field.unit && field.unit !== 'text'">, {{ field.unit }}</template></span
              >
              <input
                v-model="given[field.key]"
                :list="ownList(sum.key, field.key)"
                :inputmode="field.unit === 'text' ? 'text' : 'decimal'"
                :aria-invalid="problem?.field === field.key"
              />
            </label>
          </div>
        </form>
        <p v-if="problem" class="wrong" role="alert">{{ problem.words }}</p>
        <template v-else-if="worked">
          <dl class="figures">
            <div v-for="figure in worked.figures" :key="figure.name">
              <dt class="quiet">{{ figure.name }}</dt>
              <dd class="display">{{ figure.told }}</dd>
            </div>
          </dl>
          <SumPicture v-if="worked.picture" :picture="worked.picture" />
          <p v-for="words in worked.words" :key="words" class="words">{{ words }}</p>
          <PutIn
            v-if="worked.makes"
            :key="sum.key"
            class="put-in"
            :makes="worked.makes"
            :food="given.food"
            :shelf="shelf"
            :recipe="recipe"
            :is-busy="isBusy"
            @open="loadShelf"
            @choose="chooseRecipe"
            @keep="keep"
          />
        </template>
      </div>
    </div>
    <datalist id="own-scoops">
      <option v-for="size in household.settings.scoops" :key="size" :value="size" />
    </datalist>
    <datalist id="own-tins">
      <option v-for="tin in household.settings.tins" :key="tin" :value="tin" />
    </datalist>
  </section>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 44px;
}
nav {
  display: grid;
  align-content: start;
}
nav button {
  text-align: left;
  padding: 8px 12px;
  border-left: 3px solid var(--hair);
}
nav button.here {
  border-left-color: var(--sun);
  font-weight: 700;
}
form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 16px 30px;
  margin: 10px 0 26px;
}
label {
  display: grid;
  gap: 2px;
}
label span {
  color: var(--quiet);
  font-size: 0.88rem;
}
input {
  font: inherit;
  font-size: 1.15rem;
  color: inherit;
  border-bottom: 2px solid var(--sun);
  padding: 4px 2px;
}
input[aria-invalid='true'] {
  border-bottom-color: var(--ember);
}
.wrong {
  color: var(--ember);
}
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 18px 44px;
  margin: 0 0 16px;
}
dd {
  margin: 0;
  font-size: 1.9rem;
}
.words {
  max-width: 62ch;
  margin: 4px 0;
}
.put-in {
  margin-top: 18px;
}
@media (max-width: 700px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
    gap: 16px;
  }
  nav {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
  }
  nav button {
    border-left: 0;
    border-bottom: 3px solid var(--hair);
    padding: 6px 8px;
  }
  nav button.here {
    border-bottom-color: var(--sun);
  }
}
</style>
