<script setup lang="ts">
import { useNotices } from '../stores/notices'

const notices = useNotices()

function act(): void {
  notices.isShown = false
  notices.current?.action?.run()
}
</script>

<template>
  <v-snackbar
    v-model="notices.isShown"
    class="notice"
    color="primary"
    :timeout="notices.current?.tone === 'problem' ? 9000 : 6000"
    location="bottom"
    role="status"
  >
    {{ notices.current?.text }}
    <template #actions>
      <v-btn v-if="notices.current?.action" variant="text" @click="act">{{
        notices.current.action.label
      }}</v-btn>
      <v-btn variant="text" @click="notices.isShown = false">Close</v-btn>
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
