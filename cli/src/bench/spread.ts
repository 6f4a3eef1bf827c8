import { spreadBuilds } from '@rough-gear/core';
import { plan } from './demo.js';
import { leastMs, multipleOf, round } from './least.js';

const BUILDS = 500;

/** Builds of the spread, one after the other. */
export function spread(bareMs: number) {
  const milliseconds = leastMs(80, () => {
    const builds = spreadBuilds(plan, 'lift', 'raise', { count: BUILDS });
    while (!builds.next().done);
  });
  return { of2000Ms: round((milliseconds * 2000) / BUILDS), aBuildOfBare: multipleOf(bareMs, milliseconds / BUILDS) };
}
