<script setup lang="ts">
import type { Panels } from '../api/types'
import { grams } from '../logic/format'

defineProps<{ panels: Panels }>()
</script>

<template>
  <div class="panels">
    <section
      v-for="law in [panels.us, panels.eu]"
      :key="law.law"
      class="panel"
      :aria-label="`Panel by ${law.law} rules`"
    >
      <h3>
        {{ law.law }} rules,
        {{ law.serving === '100 g' ? law.serving : `${law.serving} of ${grams(law.serving_g)}` }}
      </h3>
      <table>
        <tbody>
          <tr v-for="row in law.rows" :key="row.name">
            <th scope="row" :class="{ under: row.is_under }">{{ row.name }}</th>
            <td :class="{ quiet: row.told.startsWith('not') }">{{ row.told }}</td>
            <td v-if="law.law === 'US'" class="figure">
              {{ row.percent === null ? '' : `${row.percent} %` }}
            </td>
          </tr>
        </tbody>
      </table>
      <p v-for="note in law.notes" :key="note" class="quiet small">{{ note }}</p>
    </section>
    <section aria-label="What may be said of it">
      <h3>What may be said of it</h3>
      <ul>
        <li v-for="claim in panels.claims" :key="claim.key">
          <b>{{ claim.is_allowed ? 'yes' : 'no' }}: “{{ claim.name }}”</b> ({{ claim.law }}):
          <span class="quiet">{{ claim.why }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.panels {
  display: grid;
  gap: 22px;
  padding-top: 8px;
}
h3 {
  font-size: 1rem;
}
.under {
  padding-left: 16px;
}
td {
  text-align: right;
}
.figure {
  width: 56px;
}
p {
  margin: 4px 0 0;
}
ul {
  padding-left: 18px;
}
</style>
