<script setup lang="ts">
defineProps<{ words: readonly { key: string; name: string }[]; chosen: readonly string[]; label: string }>()
const emit = defineEmits<{ tap: [key: string] }>()
</script>

<template>
  <span class="words" role="group" :aria-label="label">
    <button
      v-for="word in words"
      :key="word.key"
      type="button"
      :class="{ chosen: chosen.includes(word.key) }"
      :aria-pressed="chosen.includes(word.key)"
      @click="emit('tap', word.key)"
    >
      {{ word.name }}
    </button>
  </span>
</template>

<style scoped>
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
button {
  padding: 6px 12px;
  border-radius: 999px;
  background: var(--band);
}
button.chosen {
  background: var(--sun);
  color: #2c1a10;
  font-weight: 700;
}
button.chosen::before {
  content: '● ';
}
</style>
