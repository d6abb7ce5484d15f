import { createRouter, createWebHistory, type RouteLocationNormalized, type RouteLocationRaw } from 'vue-router'
import { useSession } from './session/session'

/** Addresses begin with the site. Those without one lead to the first site that is theirs. */
const PLACES = ['elevation', 'designs', 'bench', 'stock', 'hand-off']
const atHome = (to: RouteLocationNormalized): RouteLocationRaw => {
  const slug = useSession().slug
  return { path: `/${slug}${to.path === '/' ? '/elevation' : to.path}`, query: to.query }
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/sign-in', name: 'sign-in', component: () => import('./session/SignIn.vue'), meta: { open: true } },
    { path: `/:place(${PLACES.join('|')})/:rest(.*)*`, name: 'home', component: () => import('./session/SignIn.vue') },
    {
      path: '/:site/elevation/new',
      name: 'new-surface',
      component: () => import('./surface/NewSurface.vue'),
      meta: { right: 'mount' },
    },
    {
      path: '/:site/elevation/:surface/outputs',
      name: 'outputs',
      component: () => import('./surface/OutputPlace.vue'),
    },
    {
      path: '/:site/elevation/:surface?',
      name: 'elevation',
      component: () => import('./elevation/ElevationPlace.vue'),
    },
    { path: '/:site/bench/:design?', name: 'bench', component: () => import('./bench/BenchPlace.vue') },
    { path: '/:site/designs', name: 'designs', component: () => import('./designs/DesignsPlace.vue') },
    { path: '/:site/stock', name: 'stock', component: () => import('./stock/StockPlace.vue') },
    { path: '/:site/stock/playlists', name: 'playlists', component: () => import('./designs/PlaylistsPlace.vue') },
    { path: '/:site/stock/styles/:style?', name: 'styles', component: () => import('./styles/StylesPlace.vue') },
    { path: '/:site/hand-off/:player', name: 'player', component: () => import('./handoff/PlayerPlace.vue') },
    { path: '/:site/hand-off', name: 'hand-off', component: () => import('./handoff/HandoffPlace.vue') },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./session/SignIn.vue') },
  ],
})

/** A place's script comes while the server says who is there. */
function bring(to: RouteLocationNormalized): void {
  for (const { components } of to.matched) {
    const load: unknown = components?.['default']
    if (typeof load === 'function') void (load as () => Promise<unknown>)().catch(() => undefined)
  }
}

router.beforeEach(async (to) => {
  const session = useSession()
  if (!session.me) bring(to)
  await session.load()
  if (to.meta['open']) return true
  if (!session.me) return { name: 'sign-in', query: { to: to.fullPath } }
  if (to.name === 'home') return atHome(to)
  const slug = typeof to.params['site'] === 'string' ? to.params['site'] : ''
  if (to.name === 'nowhere' || !session.me.sites.some((one) => one.slug === slug)) return `/${session.slug}/elevation`
  session.at = slug
  if (to.meta['right'] === 'mount' && !session.may('mount')) return { name: 'elevation', params: { site: slug } }
  return true
})
