import { readFileSync } from 'node:fs';
import { applyChanges, resolvePath, type Plan } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { problemAt, readPlan } from '../src/plan/index.js';

const PLANS = ['heron', 'limpet'].map(
  (name) => JSON.parse(readFileSync(new URL(`../demo/${name}.json`, import.meta.url), 'utf8')) as Plan,
);

/** Every figure of a plan's machines that stands in a place of the plan. */
const figuresOf = (plan: Plan) => {
  const figures = plan.mechanisms.flatMap((mechanism) =>
    mechanism.jobs.flatMap((job) => Object.values(resolvePath(plan, mechanism, job.id).figures)),
  );
  return [...new Map(figures.map((figure) => [figure.at.join('.'), figure])).values()].filter(
    ({ at }) => at.length > 1,
  );
};

const [heron, limpet] = PLANS as [Plan, Plan];

describe('what the schema has against a figure', () => {
  it('is what the whole plan would be refused for', () => {
    let refused = 0;
    for (const { at, key } of figuresOf(limpet))
      for (const si of [-1, 0.3, 2000]) {
        const next = applyChanges(limpet, [{ at, to: { si, as: String(si), source: 'typed' } }]);
        const whole = readPlan(next);
        expect(problemAt(next, at) === undefined, `${key} as ${si}`).toBe(whole.ok);
        if (!whole.ok) refused++;
      }
    expect(refused).toBeGreaterThan(20);
  });

  it('is nothing where it is emptied: it goes back to its typical value', () => {
    for (const plan of PLANS)
      for (const { at, key } of figuresOf(plan)) {
        const next = applyChanges(plan, [{ at }]);
        expect(problemAt(next, at), `${plan.name}, ${key}`).toBeUndefined();
      }
  });

  it.each([
    [['supply', 1, 'wire', 'gauge'], 60, { most: 36 }],
    [['parts', 'motor-1', 'part', 'windingLimit'], 900, { most: 400 }],
    [['match', 'rounds'], 0.2, { least: 1 }],
    [['supply', 1, 'wire', 'connectors'], 1.5, { reason: 'a whole number is allowed' }],
  ])('names what is allowed: %j as %d', (at, si, problem) => {
    const next = applyChanges(heron, [{ at, to: { si, as: String(si), source: 'typed' } }]);
    expect(problemAt(next, at)).toEqual(problem);
  });
});
