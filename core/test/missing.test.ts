import { describe, expect, it } from 'vitest';
import { applyChanges, evaluateMechanism, resolvePath, workingOf, SITUATIONS, type Plan } from '../src/index.js';
import { demoPlan, nansIn } from './demo.js';

/** Every figure of every job, taken out of the plan one at a time. */
const cases = (['heron', 'limpet'] as const).flatMap((name) => {
  const plan = demoPlan(name);
  return plan.mechanisms.flatMap((mechanism) =>
    mechanism.jobs.flatMap((job) =>
      Object.values(resolvePath(plan, mechanism, job.id).figures)
        .filter((figure) => figure.as !== undefined)
        .map((figure) => ({ name, plan, mechanism: mechanism.id, job: job.id, key: figure.key, at: figure.at })),
    ),
  );
});

function without(plan: Plan, at: readonly (string | number)[]): Plan {
  return applyChanges(plan, [{ at }]);
}

describe('a missing figure', () => {
  it('is tried for every figure the demo gives', () => {
    expect(cases.length).toBeGreaterThan(120);
  });

  it.each(cases)(
    '$name/$mechanism/$job without $key: no NaN, and what is not known names a figure',
    ({ plan, mechanism, job, at }) => {
      const lacking = without(plan, at);
      const found = lacking.mechanisms.find(({ id }) => id === mechanism)!;
      const result = evaluateMechanism(lacking, found);
      expect(nansIn(result)).toEqual([]);
      const judged = result.jobs.find(({ jobId }) => jobId === job)!;
      for (const item of [...SITUATIONS.flatMap((id) => judged.ladders[id].rungs), ...judged.checks]) {
        if (item.verdict === 'not known') expect(item.lacks.length).toBeGreaterThan(0);
        else expect(item.lacks).toEqual([]);
      }
      const path = resolvePath(lacking, found, job);
      for (const id of SITUATIONS) {
        for (const rung of judged.ladders[id].rungs) {
          const working = workingOf(path, { of: 'rung', rung: rung.id, situation: id });
          expect(working === undefined).toBe(rung.verdict === 'not known');
        }
      }
    },
  );
});
