<script setup lang="ts">
import type { ShelfRow } from '../api/types'

defineProps<{ recipe: ShelfRow }>()
defineEmits<{ remove: []; save: [] }>()
</script>

<template>
  <li class="damaged">
    <span>
      <span class="display title">{{ recipe.title }}</span><br />
      <span class="words">Damaged, and left as it is. {{ recipe.damage }}</span>
    </span>
    <span class="actions">
      <v-btn size="small" :aria-label="`Save ${recipe.title} as it is stored`" @click="$emit('save')"
        >Save it as it is</v-btn
      >
      <v-btn
        size="small"
        variant="text"
        :aria-label="`Take ${recipe.title} off the shelf`"
        @click="$emit('remove')"
        >Put it away</v-btn
      >
    </span>
  </li>
</template>

<style scoped>
.damaged {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 20px;
  padding: 14px 0 14px 14px;
  border-bottom: 1px solid var(--hair);
  border-left: 4px solid var(--ember);
}
.title {
  font-size: 1.3rem;
}
.words {
  color: var(--ember);
  font-size: 0.9rem;
  overflow-wrap: anywhere;
}
</style>
