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
  padding: 7px 13px;
  border-radius: 999px;
  background: var(--band);
  line-height: 1.2;
}
button.chosen {
  background: var(--sun);
  color: #2c1a10;
  font-weight: 700;
}
button.chosen::before {
  content: '● ';
}
@media (max-width: 700px) {
  button {
    padding: 10px 14px;
  }
}
</style>
