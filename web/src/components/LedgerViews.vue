<script setup lang="ts">
const VIEWS = [
  { to: '/ledger', name: 'Lately' },
  { to: '/ledger/day', name: 'A day' },
  { to: '/ledger/week', name: 'A week' },
  { to: '/ledger/month', name: 'A month' },
  { to: '/ledger/year', name: 'A year' },
]
</script>

<template>
  <nav class="views" aria-label="Views of the ledger">
    <router-link v-for="one in VIEWS" :key="one.to" :to="one.to" exact-active-class="here">{{
      one.name
    }}</router-link>
  </nav>
</template>

<style scoped>
.views {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
a {
  padding: 6px 14px;
  white-space: nowrap;
  border-radius: 999px;
  color: inherit;
  text-decoration: none;
}
a:hover {
  background: var(--band);
}
a.here {
  background: var(--sun);
  color: #2c1a10;
  font-weight: 700;
}
@media (max-width: 700px) {
  a {
    padding: 6px 10px;
  }
}
@media print {
  .views {
    display: none;
  }
}
</style>
