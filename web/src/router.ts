import { createRouter, createWebHistory } from 'vue-router'

/** The working surfaces in the order of work; number keys open them. */
export const surfaces = [
  { key: 'brief', name: 'Brief' },
  { key: 'space', name: 'Space' },
  { key: 'core', name: 'Core' },
  { key: 'water', name: 'Water' },
  { key: 'pipes', name: 'Pipes' },
  { key: 'endurance', name: 'Endurance' },
  { key: 'prove', name: 'Prove' },
] as const

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'home', component: () => import('./home/HomeView.vue') },
    { path: '/new', name: 'new', component: () => import('./home/NewBuild.vue') },
    { path: '/build/new/:rest(.*)*', redirect: '/new' },
    { path: '/build/:id(\\d+)', redirect: (to) => `${to.path}/endurance` },
    {
      path: '/build/:id(\\d+)',
      component: () => import('./shell/BuildView.vue'),
      children: [
        { path: 'brief', name: 'brief', component: () => import('./brief/BriefSurface.vue') },
        { path: 'space', name: 'space', component: () => import('./space/SpaceSurface.vue') },
        { path: 'water', name: 'water', component: () => import('./water/WaterSurface.vue') },
        { path: 'core', name: 'core', component: () => import('./core/CoreSurface.vue') },
        { path: 'pipes', name: 'pipes', component: () => import('./pipes/PipesSurface.vue') },
        { path: 'prove', name: 'prove', component: () => import('./prove/ProveSurface.vue') },
        { path: 'endurance', name: 'endurance', component: () => import('./endurance/EnduranceSurface.vue') },
      ],
    },
    { path: '/catalogue', name: 'catalogue', component: () => import('./catalogue/CatalogueView.vue') },
    { path: '/licences', name: 'licences', component: () => import('./licences/LicencesView.vue') },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
})
