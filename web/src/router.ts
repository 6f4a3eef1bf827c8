import type { Component } from 'vue';
import { createRouter, createWebHistory, type RouteRecordRaw } from 'vue-router';
import { ROUTES, type RouteName } from './routes.js';
import { isDesk } from '@rough-gear/contract/find';
import RobotsView from './views/robots/RobotsView.vue';

/** The page of each address; all but the first are fetched when they are first opened. */
const PAGES: Readonly<Record<RouteName, Component | (() => Promise<Component>)>> = {
  robots: RobotsView,
  'robot-paper': () => import('./views/robot/paper/RobotPaper.vue'),
  pit: () => import('./views/pit/PitView.vue'),
  mechanism: () => import('./views/mechanism/MechanismView.vue'),
  shelf: () => import('./views/shelf/ShelfView.vue'),
  'robot-bench': () => import('./views/bench/BenchView.vue'),
  bench: () => import('./views/bench/BenchView.vue'),
  'trial-paper': () => import('./views/bench/paper/TrialPaper.vue'),
  data: () => import('./views/data/DataView.vue'),
  'sign-in': () => import('./views/access/SignInView.vue'),
  models: () => import('./views/models/ModelsView.vue'),
};

const routes: RouteRecordRaw[] = [
  { path: '/', redirect: ROUTES.robots },
  ...(Object.keys(ROUTES) as RouteName[]).map((name) => ({
    name,
    path: ROUTES[name],
    component: PAGES[name],
    props: ROUTES[name].includes(':'),
  })),
  { path: '/:rest(.*)*', redirect: ROUTES.robots },
];

// All components in every state on one page: for those who change them.
if (import.meta.env.DEV)
  routes.unshift({ path: '/patterns', name: 'patterns', component: () => import('./views/patterns/PatternsView.vue') });

export const router = createRouter({ history: createWebHistory(), routes });

// Addresses of before the desks had names lead on to them.
router.beforeEach(({ name, params, query: { choose, train, ...query } }) => {
  if (name !== 'mechanism' || !params['mechanismId']) return true;
  if (typeof train === 'string')
    return { name, params, query: { ...query, desk: 'teeth', page: train }, replace: true };
  return isDesk(choose) ? { name, params, query: { ...query, desk: choose }, replace: true } : true;
});
