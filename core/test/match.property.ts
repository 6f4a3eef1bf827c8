import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { robotOnPack, simulateMatch, withPackAs, type Go, type MatchScript } from '../src/index.js';
import { demoPlan, nansIn } from './demo.js';

const plans = [demoPlan('heron'), demoPlan('limpet')];
const SECONDS = 25;

/** Goes at random times: overlapping, waiting for each other, cut off by the end. */
const scripts = fc.integer({ min: 0, max: plans.length - 1 }).chain((which) => {
  const plan = plans[which]!;
  const goesOf = (mechanism: string) => {
    const { jobs } = plan.mechanisms.find(({ id }) => id === mechanism)!;
    return fc
      .array(fc.tuple(fc.nat(jobs.length - 1), fc.double({ min: 0, max: SECONDS, noNaN: true })), { maxLength: 4 })
      .map((picked) =>
        picked.map(([job, time], i): Go => ({
          id: `${mechanism} ${i}`,
          job: jobs[job]!.id,
          when: { kind: 'at', time },
        })),
      );
  };
  return fc
    .tuple(
      fc.tuple(...plan.mechanisms.map(({ id }) => goesOf(id))),
      fc.double({ min: 0, max: 40, noNaN: true }),
      fc.double({ min: 0.05, max: 1, noNaN: true }),
      fc.double({ min: 0.8, max: 4, noNaN: true }),
    )
    .map(([goes, current, charge, aged]) => ({
      plan,
      charge,
      aged,
      script: {
        id: 'm',
        name: 'random',
        counts: true,
        parts: [{ name: 'all', seconds: SECONDS }],
        lanes: plan.mechanisms.map(({ id }, i) => ({ mechanism: id, goes: goes[i]! })),
        draws: [{ id: 'd', name: 'lights', current, from: 3, to: 20 }],
      } satisfies MatchScript,
    }));
});

describe('Whatever a match asks for', () => {
  it('what the pack gives is what lanes, what stands and the wire take, and every go is told once', () => {
    fc.assert(
      fc.property(scripts, ({ plan, script, charge, aged }) => {
        const result = simulateMatch(withPackAs(robotOnPack(plan, script)!, { aged }), script, {
          start: { charge, lumps: [], branches: [], main: 0 },
        });
        const taken = result.lanes.reduce((sum, { energy }) => sum + energy, 0) + result.standing + result.wire;
        // A pack that collapses gives what it can: what was asked and what was given part there.
        if (result.collapsedAt === undefined)
          expect(Math.abs(taken - result.energy)).toBeLessThan(0.005 * Math.abs(result.energy) + 2);
        expect(nansIn(result)).toEqual([]);
        const asked = script.lanes
          .flatMap(({ goes }) => goes)
          .filter(({ when }) => when.kind === 'at' && when.time < SECONDS);
        expect(result.goes.map(({ go }) => go).sort()).toEqual(asked.map(({ id }) => id).sort());
        for (const { began, ended, planned } of result.goes) {
          if (began === undefined) continue;
          expect(began).toBeGreaterThanOrEqual(planned - 1e-6);
          expect(ended).toBeGreaterThanOrEqual(began);
          expect(ended).toBeLessThanOrEqual(SECONDS + 1e-6);
        }
        expect(result.left ?? 0).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 60 },
    );
  });
});
