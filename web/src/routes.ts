/** Every address of the program by its name, in the order in which they are tried. The walk of the end-to-end tests goes by it. */
export const ROUTES = {
  robots: '/robots',
  'robot-paper': '/robots/:planId/paper/:sheet(order|cards|wiring|book)',
  pit: '/robots/:planId/pit/:page(checks|cards|wires|verdicts)?',
  'robot-bench': '/robots/:planId/bench',
  mechanism: '/robots/:planId/:mechanismId?/:link?',
  shelf: '/shelf/:kind?/:partId?',
  bench: '/bench/:trialId?',
  'trial-paper': '/bench/:trialId/paper/:form(blank|report)',
  data: '/data',
  'sign-in': '/sign-in',
  models: '/models',
} as const;

export type RouteName = keyof typeof ROUTES;
