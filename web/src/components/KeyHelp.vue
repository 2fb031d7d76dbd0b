<script setup lang="ts">
const isOpen = defineModel<boolean>({ required: true })
const groups = [
  {
    name: 'Everywhere',
    keys: [
      ['t', 'Today'],
      ['r', 'Recipes'],
      ['b', 'Bring in'],
      ['e', 'Tastings: how was it eaten'],
      ['l', 'Ledger'],
      ['p', 'Pantry'],
      ['w', 'Workshop'],
      ['h', 'Household'],
      ['/', 'Find'],
      ['?', 'These keys'],
    ],
  },
  {
    name: 'Bring in',
    keys: [
      ['n', 'Next doubt'],
      ['1 … 5', 'Take that candidate'],
      ['k', 'Keep the recipe'],
    ],
  },
  {
    name: 'Bench',
    keys: [
      ['1 … 5', 'Choose a path'],
      ['← →', 'Cut less or more'],
      ['↓ ↑', 'Less or more sweet'],
      ['Ctrl Z', 'Undo'],
      ['Ctrl Y', 'Redo'],
      ['s', 'Paths side by side'],
      ['k', 'Keep this version'],
    ],
  },
  {
    name: 'Bake day and counter',
    keys: [
      ['c', 'To the counter'],
      ['Space', 'Next step'],
      ['←', 'Back a step'],
      ['i', 'Start the step’s timer'],
      ['s', 'Ring to stir, every few minutes'],
      ['Enter', 'Take what the scale shows'],
      ['t', 'Tare the scale'],
      ['↑ ↓', 'Move a food to another step, where foods are moved'],
      ['← →', 'Move a step’s time by five minutes, on its time'],
      ['Esc', 'Leave the counter'],
    ],
  },
]
</script>

<template>
  <v-dialog v-model="isOpen" max-width="640" aria-label="Keys">
    <section class="sheet">
      <h2>Keys</h2>
      <div class="groups">
        <div v-for="group in groups" :key="group.name">
          <h3>{{ group.name }}</h3>
          <dl>
            <div v-for="[key, does] in group.keys" :key="key" class="row">
              <dt>
                <kbd>{{ key }}</kbd>
              </dt>
              <dd>{{ does }}</dd>
            </div>
          </dl>
        </div>
      </div>
      <v-btn autofocus @click="isOpen = false">Close</v-btn>
    </section>
  </v-dialog>
</template>

<style scoped>
.sheet {
  padding: 24px;
  border-radius: 18px;
  background: var(--card);
}
.groups {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 18px;
  margin: 12px 0 20px;
}
h3 {
  font-size: 1rem;
}
.row {
  display: grid;
  grid-template-columns: 72px 1fr;
  padding: 4px 0;
}
kbd {
  padding: 1px 7px;
  border: 1px solid var(--hair);
  border-radius: 6px;
  font: inherit;
  font-size: 0.85rem;
}
</style>
