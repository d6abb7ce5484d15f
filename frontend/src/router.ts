import { createRouter, createWebHistory } from 'vue-router'
import { useSession } from './session/session'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/elevation' },
    { path: '/sign-in', name: 'sign-in', component: () => import('./session/SignIn.vue'), meta: { open: true } },
    { path: '/elevation/new', name: 'new-surface', component: () => import('./surface/NewSurface.vue') },
    { path: '/elevation/:surface/outputs', name: 'outputs', component: () => import('./surface/OutputPlace.vue') },
    { path: '/elevation/:surface?', name: 'elevation', component: () => import('./elevation/ElevationPlace.vue') },
    { path: '/bench/:design?', name: 'bench', component: () => import('./bench/BenchPlace.vue') },
    { path: '/stock', name: 'stock', component: () => import('./stock/StockPlace.vue') },
    { path: '/hand-off', name: 'hand-off', component: () => import('./handoff/HandoffPlace.vue') },
    { path: '/:rest(.*)', redirect: '/elevation' },
  ],
})

router.beforeEach(async (to) => {
  const session = useSession()
  await session.load()
  if (!session.me && !to.meta['open']) return { name: 'sign-in', query: { to: to.fullPath } }
  return true
})
