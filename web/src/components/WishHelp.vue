<script setup lang="ts">
import type { Relaxation } from '../api/types'
import OfferList from './OfferList.vue'

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
    <OfferList
      v-else
      :offers="relaxations"
      label="What would make it possible"
      @take="emit('take', $event)"
    />
  </section>
</template>

<style scoped>
.help {
  margin-top: 12px;
}
</style>
