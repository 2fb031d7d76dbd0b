<script setup lang="ts">
import { mdiMagnify } from '@mdi/js'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { RecipeSummary } from '../api/client'
import RecipeRow from '../components/RecipeRow.vue'
import { useKeys } from '../composables/useKeys'
import { useNotices } from '../stores/notices'
import { useShelf } from '../stores/shelf'

const shelf = useShelf()
const notices = useNotices()
const router = useRouter()
const words = ref('')
const find = ref<{ focus: () => void }>()

const shown = computed(() => {
  const wanted = words.value.toLowerCase().split(/\s+/).filter(Boolean)
  return shelf.recipes?.filter((r) => wanted.every((w) => r.title.toLowerCase().includes(w)))
})
const most = computed(() =>
  Math.max(1, ...(shelf.recipes ?? []).map((r) => r.versions[0]?.per_serving.free_sugars_who_g ?? 0)),
)

async function remove(recipe: RecipeSummary): Promise<void> {
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
        <v-btn to="/bring-in" variant="flat" color="primary">Bring in a recipe</v-btn>
      </span>
    </header>

    <ul v-if="shown?.length" class="shelf">
      <RecipeRow
        v-for="recipe in shown"
        :key="recipe.id"
        :recipe="recipe"
        :most="most"
        @remove="remove(recipe)"
      />
    </ul>
    <p v-else-if="shelf.recipes?.length" class="empty">No dessert on the shelf is called “{{ words }}”.</p>
    <div v-else-if="shelf.recipes" class="empty">
      <h2>The shelf is empty</h2>
      <p>Paste a dessert you bake. Sun Crumb turns it into grams, cuts its sugar and keeps it in balance.</p>
      <v-btn to="/bring-in">Bring in the first one</v-btn>
    </div>
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
.empty {
  padding: 60px 0;
  display: grid;
  gap: 12px;
  justify-items: start;
}
</style>
