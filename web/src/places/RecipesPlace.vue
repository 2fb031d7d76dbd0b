<script setup lang="ts">
import { mdiMagnify } from '@mdi/js'
import { computed, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { ShelfRow } from '../api/types'
import CopyOfEverything from '../components/CopyOfEverything.vue'
import DamagedRow from '../components/DamagedRow.vue'
import RecipeRow from '../components/RecipeRow.vue'
import { useKeys } from '../composables/useKeys'
import { plural } from '../logic/format'
import { saveFile } from '../logic/saveFile'
import { useFiles } from '../stores/files'
import { useHousehold } from '../stores/household'
import { useNotices } from '../stores/notices'
import { useShelf } from '../stores/shelf'

const shelf = useShelf()
const household = useHousehold()
const notices = useNotices()
const router = useRouter()
const words = ref(shelf.words)
const find = ref<{ focus: () => void }>()
const FIND_AFTER_MS = 120
const MOST_BYTES = 60_000_000
const files = useFiles()
const isBusy = ref(false)
let timer: ReturnType<typeof setTimeout> | undefined

const most = computed(() =>
  Math.max(1, ...(shelf.recipes ?? []).map((r) => r.versions[0]?.per_serving.free_sugars_who_g ?? 0)),
)

watch(words, (wanted) => {
  clearTimeout(timer)
  timer = setTimeout(() => shelf.find(wanted ?? '').catch(notices.complain), FIND_AFTER_MS)
})

async function busily(work: () => Promise<void>): Promise<void> {
  isBusy.value = true
  try {
    await work()
  } catch (error) {
    notices.complain(error)
  } finally {
    isBusy.value = false
  }
}

/** Everything is another household's now, or its own of before. */
const reload = () => Promise.all([shelf.load(), household.reload()])

const saveAsItIs = (id: number) => busily(async () => saveFile(await files.recipe(id, 'json')))

const saveAll = () =>
  busily(async () => {
    const file = await files.everything()
    saveFile(file)
    notices.say(`${file.name} holds everything you keep. Put it somewhere else than on this machine.`)
  })

const undoBringBack = (keptAs: string) =>
  busily(async () => {
    await files.undoBringBack(keptAs)
    notices.say('Everything is as it was before.')
    await reload()
  })

const bringBack = (file: File) =>
  busily(async () => {
    if (file.size > MOST_BYTES) {
      notices.say(`${file.name} is larger than any backup; nothing was changed.`)
      return
    }
    const now = await files.bringBack(await file.text())
    const there = `${now.recipes} ${plural(now.recipes, 'recipe')} and ${now.bakes} ${plural(now.bakes, 'bake')}`
    notices.say(`${there} are back.`, { label: 'Undo', run: () => undoBringBack(now.kept_as) })
    await reload()
  })

async function remove(recipe: ShelfRow): Promise<void> {
  try {
    await shelf.remove(recipe.id)
    notices.say(`${recipe.title} is off the shelf.`, {
      label: 'Undo',
      run: () => shelf.restore(recipe.id).catch(notices.complain),
    })
  } catch (error) {
    notices.complain(error)
  }
}

useKeys({ '/': () => find.value?.focus(), n: () => void router.push('/bring-in') })
onMounted(() => shelf.load().catch(notices.complain))
</script>

<template>
  <section class="place">
    <header class="head">
      <h1>Recipes</h1>
      <span v-if="shelf.recipes?.length" class="quiet">free sugar in one portion, original and rework</span>
      <span class="push actions">
        <v-text-field
          ref="find"
          v-model="words"
          label="Find a dessert"
          :prepend-inner-icon="mdiMagnify"
          class="find"
          clearable
        />
        <v-btn v-if="shelf.recipes?.length" to="/compare" variant="text">Compare two</v-btn>
        <v-btn v-if="shelf.recipes?.length" to="/afternoon" variant="text">One afternoon</v-btn>
        <v-btn to="/bring-in" variant="flat" color="primary">Bring in a recipe</v-btn>
      </span>
    </header>

    <ul v-if="shelf.recipes?.length" class="shelf">
      <template v-for="recipe in shelf.recipes" :key="recipe.id">
        <DamagedRow
          v-if="recipe.damage"
          :recipe="recipe"
          @remove="remove(recipe)"
          @save="saveAsItIs(recipe.id)"
        />
        <RecipeRow v-else :recipe="recipe" :most="most" @remove="remove(recipe)" />
      </template>
    </ul>
    <p v-else-if="shelf.recipes && shelf.words" class="empty">
      No dessert on the shelf is called “{{ shelf.words }}”.
    </p>
    <div v-else-if="shelf.recipes" class="empty">
      <h2>The shelf is empty</h2>
      <p>Paste a dessert you bake. Sun Crumb turns it into grams, cuts its sugar and keeps it in balance.</p>
      <v-btn to="/bring-in">Bring in the first one</v-btn>
    </div>
    <p v-if="shelf.left > 0 && shelf.recipes" class="more">
      <v-btn variant="text" @click="shelf.more().catch(notices.complain)"
        >Show more of the other {{ shelf.left }}</v-btn
      >
    </p>
    <CopyOfEverything :is-busy="isBusy" @save="saveAll" @bring-back="bringBack" />
  </section>
</template>

<style scoped>
.find {
  width: 220px;
}
.shelf {
  list-style: none;
  padding: 0;
  border-top: 2px solid var(--ink);
}
.more {
  padding: 14px 0;
  text-align: center;
}
.empty {
  padding: 60px 0;
  display: grid;
  gap: 12px;
  justify-items: start;
}
</style>
