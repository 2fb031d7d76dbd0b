<script setup lang="ts">
defineProps<{ offers: { words: string; changes: Record<string, unknown> }[]; label: string }>()
const emit = defineEmits<{ take: [changes: Record<string, unknown>] }>()
</script>

<template>
  <ul :aria-label="label">
    <li v-for="item in offers" :key="item.words">
      <span>{{ item.words }}</span>
      <v-btn size="small" :aria-label="`Take it: ${item.words}`" @click="emit('take', item.changes)"
        >Take it</v-btn
      >
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  padding: 5px 0;
  font-size: 0.92rem;
}
span::first-letter {
  text-transform: uppercase;
}
</style>
