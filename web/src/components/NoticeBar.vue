<script setup lang="ts">
import type { Notice } from '../api/types'

const props = defineProps<{ notice: Notice | undefined }>()
const isShown = defineModel<boolean>({ required: true })

function act(): void {
  isShown.value = false
  props.notice?.action?.run()
}
</script>

<template>
  <v-snackbar
    v-model="isShown"
    class="notice"
    color="primary"
    :timeout="notice?.tone === 'problem' ? 9000 : 6000"
    location="bottom"
    role="status"
  >
    {{ notice?.text }}
    <template #actions>
      <v-btn v-if="notice?.action" variant="text" @click="act">{{ notice.action.label }}</v-btn>
      <v-btn variant="text" @click="isShown = false">Close</v-btn>
    </template>
  </v-snackbar>
</template>

<style>
/* Above the places at the foot of a phone. */
@media (max-width: 700px) {
  .notice {
    margin-bottom: 56px;
  }
}
</style>
