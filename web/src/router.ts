import { createRouter, createWebHistory, type RouteRecordRaw } from 'vue-router';
import RobotsView from './views/robots/RobotsView.vue';

const routes: RouteRecordRaw[] = [
  { path: '/', redirect: '/robots' },
  { path: '/robots', name: 'robots', component: RobotsView },
  {
    path: '/robots/:planId/paper/:sheet(order|cards|wiring|book)',
    name: 'robot-paper',
    component: () => import('./views/robot/paper/RobotPaper.vue'),
    props: true,
  },
  {
    path: '/robots/:planId/pit/:page(checks|cards|wires|verdicts)?',
    name: 'pit',
    component: () => import('./views/pit/PitView.vue'),
    props: true,
  },
  {
    path: '/robots/:planId/:mechanismId?/:link?',
    name: 'mechanism',
    component: () => import('./views/mechanism/MechanismView.vue'),
    props: true,
  },
  {
    path: '/shelf/:kind?/:partId?',
    name: 'shelf',
    component: () => import('./views/shelf/ShelfView.vue'),
    props: true,
  },
  {
    path: '/bench/:trialId?',
    name: 'bench',
    component: () => import('./views/bench/BenchView.vue'),
    props: true,
  },
  {
    path: '/bench/:trialId/paper/:form(blank|report)',
    name: 'trial-paper',
    component: () => import('./views/bench/paper/TrialPaper.vue'),
    props: true,
  },
  { path: '/data', name: 'data', component: () => import('./views/data/DataView.vue') },
  { path: '/sign-in', name: 'sign-in', component: () => import('./views/access/SignInView.vue') },
  { path: '/models', name: 'models', component: () => import('./views/models/ModelsView.vue') },
  { path: '/:rest(.*)*', redirect: '/robots' },
];

// All components in every state on one page: for those who change them.
if (import.meta.env.DEV)
  routes.unshift({ path: '/patterns', name: 'patterns', component: () => import('./views/patterns/PatternsView.vue') });

export const router = createRouter({ history: createWebHistory(), routes });
