<script setup lang="ts">
import { ref } from 'vue'
import { api, ask, type Schemas } from '../api/client'
import { plural } from '../logic/format'
import { saveFile } from '../logic/saveFile'
import { useNotices } from '../stores/notices'

const emit = defineEmits<{
  /** Everything on the shelf is another household's now, or its own of before. */
  changed: []
}>()
const notices = useNotices()
const input = ref<HTMLInputElement>()
const isBusy = ref(false)
const MOST_BYTES = 60_000_000

async function busily(work: () => Promise<void>): Promise<void> {
  isBusy.value = true
  try {
    await work()
  } catch (error) {
    notices.complain(error)
  } finally {
    isBusy.value = false
    if (input.value) input.value.value = ''
  }
}

const save = () =>
  busily(async () => {
    const file = await ask(api.GET('/api/backup'))
    saveFile(file)
    notices.say(`${file.name} holds everything you keep. Put it somewhere else than on this machine.`)
  })

function told(now: Schemas['RestoredOut']): string {
  return `${now.recipes} ${plural(now.recipes, 'recipe')} and ${now.bakes} ${plural(now.bakes, 'bake')} are back.`
}

const undo = (keptAs: string) =>
  busily(async () => {
    await ask(api.POST('/api/restore/undo', { body: { kept_as: keptAs } }))
    notices.say('Everything is as it was before.')
    emit('changed')
  })

function bringBack(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  return busily(async () => {
    if (!file) return
    if (file.size > MOST_BYTES) {
      notices.say(`${file.name} is larger than any backup; nothing was changed.`)
      return
    }
    const now = await ask(api.POST('/api/restore', { body: { content: await file.text() } }))
    notices.say(told(now), { label: 'Undo', run: () => undo(now.kept_as) })
    emit('changed')
  })
}
</script>

<template>
  <footer class="copy">
    <p class="quiet small">
      All that you keep lies on this machine: recipes, bakes, slices, your products and prices.
    </p>
    <input
      ref="input"
      type="file"
      accept=".json"
      class="hidden-words"
      aria-label="A backup file"
      tabindex="-1"
      @change="bringBack"
    />
    <span class="actions">
      <v-btn size="small" :loading="isBusy" @click="save">Save a copy of everything</v-btn>
      <v-btn size="small" variant="text" :disabled="isBusy" @click="input?.click()">Bring back a copy</v-btn>
    </span>
  </footer>
</template>

<style scoped>
.copy {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 20px;
  padding-top: 28px;
}
</style>
