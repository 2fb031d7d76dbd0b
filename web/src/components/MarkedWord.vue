<script setup lang="ts">
defineProps<{
  /** The words in the sentence. */
  text: string
  /** What choosing it changes, for a screen reader. */
  label: string
}>()
</script>

<template>
  <v-menu :close-on-content-click="false" location="bottom start" offset="8">
    <template #activator="{ props: opener }">
      <button type="button" class="marked" v-bind="opener" :aria-label="`${label}: ${text}`">
        {{ text }}
      </button>
    </template>
    <div class="panel" role="dialog" :aria-label="label"><slot /></div>
  </v-menu>
</template>

<style scoped>
.marked {
  font-family: inherit;
  font-size: inherit;
  font-weight: 700;
  color: inherit;
  line-height: 1.15;
  text-align: start;
  border-bottom: 3px solid var(--sun);
  padding: 0 1px;
}
.marked:hover {
  background: color-mix(in srgb, var(--sun) 20%, transparent);
}
.panel {
  padding: 16px 20px;
  border-radius: 16px;
  min-width: 270px;
  max-width: min(92vw, 420px);
  max-height: 60vh;
  overflow-y: auto;
  background: var(--card);
  box-shadow: 0 10px 34px #0004;
}
</style>
