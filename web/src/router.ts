import { createRouter, createWebHistory } from 'vue-router'
import RecipesPlace from './places/RecipesPlace.vue'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/recipes' },
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
