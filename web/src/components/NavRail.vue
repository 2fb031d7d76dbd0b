<script setup lang="ts">
import { mdiKeyboardOutline, mdiWeatherNight, mdiWhiteBalanceSunny } from '@mdi/js'
import { computed, onMounted } from 'vue'
import { useRoute } from 'vue-router'
import { useTheme } from 'vuetify'
import { draft, keepDraft } from '../logic/draft'
import type { DecimalSign } from '../logic/format'

const props = defineProps<{ decimalSign: DecimalSign }>()
defineEmits<{ help: []; sign: [sign: DecimalSign] }>()
const theme = useTheme()
const other = computed(() => (props.decimalSign === '.' ? ',' : '.'))
const route = useRoute()
const places = [
  { to: '/', name: 'Today' },
  { to: '/recipes', name: 'Recipes' },
  { to: '/bring-in', name: 'Bring in' },
  { to: '/tastings', name: 'Tastings' },
  { to: '/ledger', name: 'Ledger' },
  { to: '/pantry', name: 'Pantry', isSecond: true },
  { to: '/workshop', name: 'Workshop', isSecond: true },
  { to: '/household', name: 'Household', isSecond: true },
]
/** On a phone there is room for five; the others are behind one more. */
const second = places.filter((place) => place.isSecond)

function turn(): void {
  const next = theme.global.name.value === 'morning' ? 'oven' : 'morning'
  theme.change(next)
  keepDraft('theme', next)
}
onMounted(() => theme.change(draft('theme', 'morning')))
</script>

<template>
  <nav class="rail" aria-label="Places">
    <router-link to="/" class="mark" aria-label="Sun Crumb, today">
      <svg viewBox="0 0 56 40" width="52" aria-hidden="true">
        <g stroke="#E8A020" stroke-width="3" stroke-linecap="round">
          <path d="M28 3v5M13 9l3 4M43 9l-3 4M5 22l5 1.5M51 22l-5 1.5" />
        </g>
        <circle cx="28" cy="27" r="12" fill="#E8A020" />
        <path d="M2 30c7-4 12 1 20-1s13-2 19-1 8 1 13-1v11H2z" fill="#9A5F36" />
      </svg>
    </router-link>
    <router-link
      v-for="place in places"
      :key="place.to"
      :to="place.to"
      class="place-link"
      :class="{
        here: place.to === '/' ? route.path === '/' : route.path.startsWith(place.to),
        second: place.isSecond,
      }"
      >{{ place.name }}</router-link
    >
    <v-menu location="top end">
      <template #activator="{ props: opener }">
        <button type="button" class="more" v-bind="opener">More</button>
      </template>
      <v-list>
        <v-list-item v-for="place in second" :key="place.to" :to="place.to" :title="place.name" />
      </v-list>
    </v-menu>
    <span class="foot">
      <button
        type="button"
        :aria-label="`${theme.global.name.value === 'morning' ? 'Late oven' : 'Morning'} colours`"
        @click="turn"
      >
        <v-icon
          :icon="theme.global.name.value === 'morning' ? mdiWeatherNight : mdiWhiteBalanceSunny"
          size="20"
        />
      </button>
      <button
        type="button"
        :aria-label="`Numbers are written as 1${decimalSign}5; change that to 1${other}5`"
        @click="$emit('sign', other)"
      >
        1{{ decimalSign }}5
      </button>
      <button type="button" aria-label="Keys" class="keys" @click="$emit('help')">
        <v-icon :icon="mdiKeyboardOutline" size="20" />
      </button>
    </span>
  </nav>
</template>

<style scoped>
.rail {
  position: fixed;
  inset: 0 auto 0 0;
  z-index: 900;
  width: 92px;
  padding: 18px 8px;
  display: flex;
  flex-direction: column;
  gap: 6px;
  align-items: stretch;
  background: #3a2431;
  color: #f7e6cd;
}
.mark {
  display: grid;
  place-items: center;
  margin-bottom: 18px;
}
.place-link,
button {
  padding: 10px 4px;
  text-align: center;
  border-radius: 12px;
  color: inherit;
  text-decoration: none;
  font-size: 0.92rem;
}
.place-link:hover,
button:hover {
  background: #4d3342;
}
.place-link.here {
  background: #5d3f4f;
  font-weight: 700;
  box-shadow: inset 3px 0 0 #e8a020;
}
.rail :focus-visible {
  outline-color: #ffd98a;
}
.more {
  display: none;
}
.foot {
  margin-top: auto;
  display: grid;
}
@media (max-width: 700px) {
  .rail {
    inset: auto 0 0 0;
    width: auto;
    flex-direction: row;
    align-items: center;
    padding: 4px 8px;
  }
  .mark,
  .keys,
  .second {
    display: none;
  }
  .more {
    display: block;
    font-size: 0.78rem;
  }
  .place-link {
    flex: 1;
    padding: 10px 2px;
    font-size: 0.78rem;
    white-space: nowrap;
  }
  button {
    padding: 10px 6px;
  }
  .place-link.here {
    box-shadow: inset 0 3px 0 #e8a020;
  }
  .foot {
    margin: 0;
    display: flex;
  }
}
</style>
