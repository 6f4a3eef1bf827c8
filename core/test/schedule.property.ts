import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { matchWork, robotOnPack, simulateMatch, type Go, type MatchScript, type When } from '../src/index.js';
import { demoPlan, mechanismOf } from './demo.js';

/** The pit counts goes by the script alone; the match goes through them. Both must play the same ones. */
const plan = demoPlan('heron');
const LANES = ['drive', 'thrower'] as const;
const time = fc.integer({ min: 0, max: 400 }).map((tenths) => tenths / 10);

/** Goes at times, again and again, and after or with any other; drives that end by the clock, so that volts change nothing. */
const scripts = fc.integer({ min: 1, max: 6 }).chain((count) => {
  const others = Array.from({ length: count }, (_, i) => `go ${i}`);
  const when: fc.Arbitrary<When> = fc.oneof(
    fc.record({ kind: fc.constant('at' as const), time }),
    fc.record({
      kind: fc.constant('every' as const),
      time: time.map((t) => t + 2),
      from: time,
      to: time.map((t) => 4 * t),
    }),
    fc.record({ kind: fc.constantFrom('after' as const, 'with' as const), go: fc.constantFrom(...others), wait: time }),
  );
  return fc
    .array(
      fc.record({
        when,
        lane: fc.nat(LANES.length - 1),
        seconds: fc.integer({ min: 3, max: 80 }).map((tenths) => tenths / 10 + 0.037),
      }),
      { minLength: count, maxLength: count },
    )
    .map((goes): MatchScript => ({
      id: 'm',
      name: 'random',
      counts: true,
      parts: [{ name: 'all', seconds: 30 }],
      lanes: LANES.map((mechanism, at) => ({
        mechanism,
        goes: goes.flatMap(({ when, lane, seconds }, i): Go[] =>
          lane === at ? [{ id: `go ${i}`, when, cruise: { speed: 0.5, seconds } }] : [],
        ),
      })),
      draws: [],
    }));
});

describe('the goes of any script', () => {
  it('are counted in the pit as the match plays them, and last as long', () => {
    fc.assert(
      fc.property(scripts, (script) => {
        const { goes } = simulateMatch(robotOnPack(plan, script)!, script);
        LANES.forEach((id, lane) => {
          const begun = goes.filter((go) => go.lane === lane && go.outcome !== 'never begun');
          const work = matchWork({ ...plan, scripts: [script] }, mechanismOf(plan, id));
          expect(work.goes).toBe(begun.length);
          const seconds = begun.reduce((sum, { began, ended }) => sum + (ended! - began!), 0);
          expect(work.seconds).toBeCloseTo(seconds, 3);
        });
      }),
      { numRuns: 60 },
    );
  });
});
