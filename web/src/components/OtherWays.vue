<script setup lang="ts">
import type { Schemas } from '../api/types'
import OfferList from './OfferList.vue'

defineProps<{
  /** Plans for the same wish that do it otherwise; undefined until they are asked for. */
  others: Schemas['OtherOut'][] | undefined
}>()
const emit = defineEmits<{ ask: []; take: [changes: Record<string, unknown>] }>()
</script>

<template>
  <section class="ways">
    <v-btn v-if="!others" size="small" variant="text" @click="emit('ask')">Other ways, nearly as good</v-btn>
    <p v-else-if="!others.length" class="quiet small">Nothing else at hand comes near it.</p>
    <OfferList v-else :offers="others" label="Other ways, nearly as good" @take="emit('take', $event)" />
  </section>
</template>

<style scoped>
.ways {
  margin-top: 10px;
}
</style>
