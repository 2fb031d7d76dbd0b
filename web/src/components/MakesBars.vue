<script setup lang="ts">
import { computed } from 'vue'
import type { Apart } from '../api/types'
import { gramsTenths, list } from '../logic/format'

const props = defineProps<{ found: Apart }>()
const most = computed(() => Math.max(0.1, ...props.found.makes.map((m) => Math.abs(m.grams))))
</script>

<template>
  <ol class="makes">
    <li v-for="one in found.makes" :key="one.part + one.kind">
      <span class="name"
        >{{ one.name }}<small v-if="found.by_part.length > 1" class="quiet">{{ one.part }}</small></span
      >
      <span class="bar" aria-hidden="true"
        ><i
          :class="one.grams < 0 ? 'less' : 'more'"
          :style="{
            width: `${(50 * Math.abs(one.grams)) / most}%`,
            marginLeft: one.grams < 0 ? `${50 - (50 * -one.grams) / most}%` : '50%',
          }"
        ></i
      ></span>
      <b class="figure">{{ one.grams > 0 ? '+' : '' }}{{ gramsTenths(one.grams) }}</b>
      <small class="quiet">{{
        list([one.first || 'none', one.second || 'none']).replace(' and ', ' → ')
      }}</small>
    </li>
  </ol>
</template>

<style scoped>
.makes {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 190px minmax(120px, 300px) 76px minmax(0, 1fr);
  gap: 14px;
  align-items: center;
  padding: 7px 0;
  border-bottom: 1px solid var(--hair);
}
.bar {
  position: relative;
  height: 16px;
  background: linear-gradient(
    to right,
    transparent calc(50% - 1px),
    var(--quiet) 0 calc(50% + 1px),
    transparent 0
  );
}
.bar i {
  display: block;
  height: 100%;
  border-radius: 5px;
}
.less {
  background: var(--leaf);
}
.more {
  background: var(--sun);
}
.figure {
  text-align: right;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr) 90px 70px;
  }
  li > small {
    grid-column: 1 / -1;
  }
}
</style>
