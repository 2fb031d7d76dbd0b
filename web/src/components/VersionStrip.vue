<script setup lang="ts">
import { ref } from 'vue'
import type { Difference, Recipe } from '../api/types'
import { grams, plural } from '../logic/format'
import NumberField from './NumberField.vue'
import VersionDifference from './VersionDifference.vue'

defineProps<{ recipe: number; versions: Recipe['versions']; difference: Difference | undefined }>()
const emit = defineEmits<{
  baked: [versionId: number]
  cut: [servings: number]
  compare: [first: number, second: number]
  save: [format: string]
  pattern: [number: number, isPattern: boolean]
}>()
const isComparing = ref(false)
const FORMATS = [
  { key: 'html', name: 'page' },
  { key: 'jsonld', name: 'JSON-LD' },
  { key: 'csv', name: 'CSV' },
  { key: 'json', name: 'own file, all versions' },
]
</script>

<template>
  <v-menu location="bottom start" :close-on-content-click="false">
    <template #activator="{ props: opener }">
      <button type="button" class="strip" v-bind="opener">
        {{
          versions.length === 1
            ? 'the original'
            : `${versions.length - 1} kept, newest “${versions.at(-1)?.label}”`
        }}
        ▾
      </button>
    </template>
    <ul class="panel">
      <li v-for="version in versions" :key="version.id">
        <span>
          <router-link v-if="version.goals" :to="{ query: { version: version.id } }">{{
            version.label
          }}</router-link>
          <b v-else>{{ version.label }}</b><br />
          <span class="quiet small"
            >{{ grams(version.per_serving.free_sugars_who_g) }} free sugar in one {{ version.unit
            }}<template v-for="kind in version.portions" :key="kind.name"
              ><br />{{ kind.count }} {{ kind.name }}: {{ grams(kind.holds.free_sugars_who_g) }}</template
            ></span
          >
        </span>
        <v-btn
          size="small"
          variant="text"
          :aria-pressed="version.is_pattern"
          :aria-label="`${version.label} as a pattern for other desserts`"
          @click="emit('pattern', version.number, !version.is_pattern)"
          >{{ version.is_pattern ? '✓ pattern' : 'Pattern' }}</v-btn
        >
        <v-btn
          size="small"
          variant="tonal"
          :to="{ name: 'bake-day', params: { id: recipe, version: version.id } }"
          :aria-label="`Bake day of ${version.label}`"
          >Bake day</v-btn
        >
        <v-btn size="small" :aria-label="`I baked ${version.label}`" @click="$emit('baked', version.id)"
          >I baked it</v-btn
        >
      </li>
      <li v-if="versions.length > 1" class="cut">
        <v-btn size="small" @click="isComparing = true">Compare two versions</v-btn>
      </li>
      <li class="cut">
        <span>
          Cut it into
          <NumberField
            :model-value="versions[0]?.servings ?? null"
            name="Portions of the whole"
            :min="1"
            :max="1000"
            is-inline
            is-whole
            @update:model-value="(servings) => servings && emit('cut', servings)"
          />
          {{ plural(versions[0]?.servings ?? 1, versions[0]?.unit ?? '') }}
        </span>
      </li>
      <li class="files">
        <span class="quiet small">Take it out as</span>
        <v-btn
          v-for="format in FORMATS"
          :key="format.key"
          size="small"
          variant="text"
          @click="emit('save', format.key)"
          >{{ format.name }}</v-btn
        >
      </li>
    </ul>
  </v-menu>
  <v-dialog v-model="isComparing" max-width="820" aria-label="Two versions compared">
    <VersionDifference
      v-if="isComparing"
      :versions="versions"
      :difference="difference"
      @choose="(first, second) => emit('compare', first, second)"
      @close="isComparing = false"
    />
  </v-dialog>
</template>

<style scoped>
.strip {
  color: var(--quiet);
}
.panel {
  list-style: none;
  margin: 0;
  padding: 10px 18px;
  border-radius: 16px;
  background: var(--card);
  box-shadow: 0 10px 34px #0004;
}
li {
  display: flex;
  gap: 24px;
  align-items: center;
  justify-content: space-between;
  padding: 8px 0;
}
.cut {
  border-top: 1px solid var(--hair);
}
.cut input {
  width: 64px;
  border-bottom: 2px solid var(--sun);
  font-weight: 650;
}
@media (max-width: 600px) {
  li {
    flex-wrap: wrap;
    gap: 6px 10px;
    justify-content: start;
  }
  li > span:first-child {
    flex-basis: 100%;
  }
}
.files {
  flex-wrap: wrap;
  gap: 4px;
  justify-content: start;
  border-top: 1px solid var(--hair);
}
a {
  color: inherit;
  font-weight: 700;
  text-decoration-color: var(--sun);
  text-decoration-thickness: 2px;
}
</style>
