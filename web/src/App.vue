<script setup lang="ts">
import { onMounted, provide, ref } from 'vue'
import { useRouter } from 'vue-router'
import KeyHelp from './components/KeyHelp.vue'
import NavRail from './components/NavRail.vue'
import NoticeBar from './components/NoticeBar.vue'
import { FIND_FOODS } from './composables/foods'
import { useKeys } from './composables/useKeys'
import { useTimers } from './composables/useTimers'
import { useHousehold } from './stores/household'
import { useNotices } from './stores/notices'
import { usePantry } from './stores/pantry'

const router = useRouter()
const notices = useNotices()
const household = useHousehold()
const isHelpOpen = ref(false)

provide(FIND_FOODS, usePantry().find)

useKeys({
  '?': () => (isHelpOpen.value = true),
  t: () => void router.push('/'),
  r: () => void router.push('/recipes'),
  w: () => void router.push('/workshop'),
  b: () => void router.push('/bring-in'),
  l: () => void router.push('/ledger'),
  p: () => void router.push('/pantry'),
  e: () => void router.push('/tastings'),
  h: () => void router.push('/household'),
})
useTimers()
onMounted(() => household.load().catch(notices.complain))
</script>

<template>
  <v-app>
    <a class="skip" href="#main">Skip to the work</a>
    <NavRail
      :decimal-sign="household.settings.decimal_sign"
      @help="isHelpOpen = true"
      @sign="household.change({ decimal_sign: $event }).catch(notices.complain)"
    />
    <main id="main" class="main" tabindex="-1">
      <router-view :key="household.settings.decimal_sign + household.settings.temperature" />
    </main>
    <NoticeBar v-model="notices.isShown" :notice="notices.current" />
    <KeyHelp v-model="isHelpOpen" />
  </v-app>
</template>

<style>
.main {
  margin-left: 92px;
  min-height: 100vh;
  outline: none;
}
.skip {
  position: fixed;
  top: -60px;
  left: 100px;
  z-index: 2000;
  padding: 10px 16px;
  background: var(--card);
  color: var(--ink);
}
.skip:focus {
  top: 8px;
}
@media (max-width: 700px) {
  .main {
    margin-left: 0;
  }
}
</style>
