import { createRouter, createWebHistory } from 'vue-router'
import RecipesPlace from './places/RecipesPlace.vue'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    {
      path: '/',
      name: 'today',
      component: () => import('./places/TodayPlace.vue'),
      meta: { title: 'Today' },
    },
    {
      path: '/workshop',
      name: 'workshop',
      component: () => import('./places/WorkshopPlace.vue'),
      meta: { title: 'Workshop' },
    },
    { path: '/recipes', name: 'recipes', component: RecipesPlace, meta: { title: 'Recipes' } },
    {
      path: '/bring-in',
      name: 'bring-in',
      component: () => import('./places/BringInPlace.vue'),
      meta: { title: 'Bring in' },
    },
    {
      path: '/recipes/:id(\\d+)/bench',
      name: 'bench',
      component: () => import('./places/BenchPlace.vue'),
      props: (route) => ({ id: Number(route.params.id) }),
      meta: { title: 'Bench' },
    },
    {
      path: '/recipes/:id(\\d+)/bake-day/:version(\\d+)',
      name: 'bake-day',
      component: () => import('./places/BakeDayPlace.vue'),
      props: (route) => ({ id: Number(route.params.id), version: Number(route.params.version) }),
      meta: { title: 'Bake day' },
    },
    {
      path: '/recipes/:id(\\d+)/counter/:version(\\d+)',
      name: 'counter',
      component: () => import('./places/CounterPlace.vue'),
      props: (route) => ({ id: Number(route.params.id), version: Number(route.params.version) }),
      meta: { title: 'Counter' },
    },
    {
      path: '/pantry',
      name: 'pantry',
      component: () => import('./places/PantryPlace.vue'),
      meta: { title: 'Pantry' },
    },
    {
      path: '/ledger',
      name: 'ledger',
      component: () => import('./places/LedgerPlace.vue'),
      meta: { title: 'Ledger' },
    },
    {
      path: '/ledger/:view(day|week|month|year)',
      name: 'days',
      component: () => import('./places/DaysPlace.vue'),
      props: (route) => ({ view: route.params.view }),
      meta: { title: 'Ledger' },
    },
    {
      path: '/tastings/:bake(\\d+)?',
      name: 'tastings',
      component: () => import('./places/TastingsPlace.vue'),
      props: (route) => ({ bake: route.params.bake ? Number(route.params.bake) : undefined }),
      meta: { title: 'Tastings' },
    },
    {
      path: '/compare',
      name: 'compare',
      component: () => import('./places/ComparePlace.vue'),
      meta: { title: 'Compare' },
    },
    {
      path: '/afternoon',
      name: 'afternoon',
      component: () => import('./places/AfternoonPlace.vue'),
      meta: { title: 'One afternoon' },
    },
    {
      path: '/household',
      name: 'household',
      component: () => import('./places/HouseholdPlace.vue'),
      meta: { title: 'Household' },
    },
    {
      path: '/:rest(.*)*',
      name: 'lost',
      component: () => import('./places/LostPlace.vue'),
      meta: { title: 'Nothing here' },
    },
  ],
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
})

router.afterEach((to) => {
  document.title = `${String(to.meta.title ?? '')} · Sun Crumb`
})
