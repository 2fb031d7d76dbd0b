<script setup lang="ts">
defineProps<{
  /** The component's name, empty for the base. */
  component: string
  /** What it may be, the likeliest first. */
  candidates: { key: string; name: string }[]
}>()
const emit = defineEmits<{ choose: [family: string] }>()
</script>

<template>
  <p class="asked">
    <span>{{ component ? `What kind is the ${component}?` : 'What kind of dessert is it?' }}</span>
    <button v-for="one in candidates" :key="one.key" type="button" @click="emit('choose', one.key)">
      {{ one.name }}
    </button>
  </p>
</template>

<style scoped>
.asked {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
  margin: 4px 0;
  color: var(--ember);
  font-size: 0.9rem;
}
button {
  min-height: 32px;
  color: var(--ink);
  font-weight: 650;
  border-bottom: 2px solid var(--sun);
}
</style>
