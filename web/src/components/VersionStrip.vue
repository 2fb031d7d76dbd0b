<script setup lang="ts">
import type { Recipe } from '../api/client'
import { grams } from '../logic/format'

defineProps<{ versions: Recipe['versions'] }>()
defineEmits<{ baked: [versionId: number] }>()
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
            >{{ grams(version.per_serving.free_sugars_who_g) }} free sugar in one {{ version.unit }}</span
          >
        </span>
        <v-btn size="small" :aria-label="`I baked ${version.label}`" @click="$emit('baked', version.id)"
          >I baked it</v-btn
        >
      </li>
    </ul>
  </v-menu>
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
a {
  color: inherit;
  font-weight: 700;
  text-decoration-color: var(--sun);
  text-decoration-thickness: 2px;
}
</style>
