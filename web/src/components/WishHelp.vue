<script setup lang="ts">
import type { Relaxation } from '../stores/bench'

defineProps<{
  /** What would bring the wish into balance; undefined until it is asked for. */
  relaxations: Relaxation[] | undefined
}>()
const emit = defineEmits<{ ask: []; take: [changes: Record<string, unknown>] }>()
</script>

<template>
  <section class="help">
    <v-btn v-if="!relaxations" size="small" @click="emit('ask')">What would make it possible?</v-btn>
    <p v-else-if="!relaxations.length">
      No single change brings all of it into balance; a smaller piece or another path may.
    </p>
    <ul v-else aria-label="What would make it possible">
      <li v-for="item in relaxations" :key="item.goal">
        <span>{{ item.words }}</span>
        <v-btn size="small" :aria-label="`Take it: ${item.words}`" @click="emit('take', item.changes)"
          >Take it</v-btn
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.help {
  margin-top: 12px;
}
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
