import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  compareVariant,
  evaluateMechanism,
  mendsFor,
  motorCounts,
  resolveDcPath,
  runOf,
  voltVariants,
  windingVariants,
  type Plan,
  type Shelved,
  type Target,
} from '../src/index.js';
import { mechanismOf, plainPlan, typed } from './demo.js';

/** What is said of a change is what comes of it, on plans that nobody chose. */

const heron = plainPlan('heron');
const { parts: shelf } = JSON.parse(
  readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8'),
) as { parts: Shelved[] };

const MECHANISMS = ['drive', 'lift', 'climb', 'arm', 'intake'] as const;
const at = (id: string) => ['mechanisms', heron.mechanisms.findIndex((one) => one.id === id)];

/** The demo robot with another load, another time and another pack. */
const robot = fc.record({
  mechanism: fc.constantFrom(...MECHANISMS),
  heavier: fc.double({ min: 0.5, max: 3, noNaN: true }),
  slower: fc.double({ min: 0.6, max: 2, noNaN: true }),
  series: fc.constantFrom(4, 6, 8),
});
type Robot = typeof robot extends fc.Arbitrary<infer T> ? T : never;

function planOf({ mechanism: id, heavier, slower, series }: Robot): Plan {
  const [job] = mechanismOf(heron, id).jobs;
  const keys = Object.keys(job!);
  const scaled = (key: string, by: number) => {
    const value: unknown = Object.entries(job!).find(([name]) => name === key)?.[1];
    return keys.includes(key) && value !== undefined
      ? [{ at: [...at(id), 'jobs', 0, key], to: typed((value as { si: number }).si * by) }]
      : [];
  };
  return applyChanges(heron, [
    ...['mass', 'payload', 'push', 'conveyMass'].flatMap((key) => scaled(key, heavier)),
    ...scaled('time', slower),
    { at: ['parts', 'pack-1', 'part', 'series'], to: series },
  ]);
}

/** Numbers agree to a billionth; what is absent is absent on both sides. */
const same = (a: number | undefined, b: number | undefined): boolean =>
  a === b || (a !== undefined && b !== undefined && Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(a)));

describe('on any plan', () => {
  it('a mend that is applied gives what it said', () => {
    fc.assert(
      fc.property(robot, (of) => {
        const plan = planOf(of);
        const { headline } = evaluateMechanism(plan, mechanismOf(plan, of.mechanism));
        const { jobId, rung, check, situation } = headline;
        if (headline.verdict !== 'gives way') return;
        const target: Target | undefined = check ? { jobId, check } : rung && situation && { jobId, rung, situation };
        if (!target) return;
        for (const { changes, after, still, label } of mendsFor(plan, of.mechanism, target)) {
          const made = applyChanges(plan, changes);
          const now = evaluateMechanism(made, mechanismOf(made, of.mechanism));
          const job = now.jobs.find((one) => one.jobId === jobId)!;
          const there =
            'check' in target
              ? job.checks.find(({ id }) => id === target.check)?.multiple
              : job.ladders[target.situation].first?.multiple;
          expect(same(there, after), `${JSON.stringify(label)}: ${there}, said ${after}`).toBe(true);
          expect(now.headline.verdict === 'gives way', JSON.stringify(label)).toBe(still !== undefined);
        }
      }),
      { numRuns: 8 },
    );
  });

  it('a row that is put in force is as it was told', () => {
    fc.assert(
      fc.property(robot, fc.nat(), (of, pick) => {
        const plan = planOf(of);
        const { mechanism: id } = of;
        const job = mechanismOf(plan, id).jobs[0]!.id;
        const rows = [
          ...motorCounts(plan, id, false, false),
          ...windingVariants(plan, id, shelf, true),
          ...voltVariants(plan, id, job),
        ];
        const row = compareVariant(plan, id, job, rows[pick % rows.length]!);
        const made = applyChanges(plan, row.changes);
        const mechanism = mechanismOf(made, id);
        expect(evaluateMechanism(made, mechanism).headline, row.label).toEqual(row.headline);
        expect(resolveDcPath(made, mechanism, job).train.total).toBe(row.total);
        const again = compareVariant(made, id, job, { id: 'now', label: 'now', changes: [] });
        for (const figure of ['pull', 'top', 'mass', 'price', 'motorCurrent', 'supplyCurrent'] as const)
          expect(same(again[figure], row[figure]), `${row.label}: ${figure}`).toBe(true);
      }),
      { numRuns: 25 },
    );
  });

  it.each(['moving', 'stop'])('more resistance never makes a go earlier: %s', (profile) => {
    fc.assert(
      fc.property(robot, fc.double({ min: 1.05, max: 4, noNaN: true }), (of, times) => {
        const { mechanism: id } = of;
        const plan = applyChanges(planOf(of), [{ at: [...at(id), 'jobs', 0, 'profile'], to: profile }]);
        const job = mechanismOf(plan, id).jobs[0]!.id;
        const timed = (changed: Plan): number => {
          const run = runOf(resolveDcPath(changed, mechanismOf(changed, id), job));
          return run?.outcome === 'arrived' ? run.time : Infinity;
        };
        const cells = (plan.parts['pack-1']!.part as { cellResistance?: { si: number } }).cellResistance;
        const more = applyChanges(plan, [
          { at: ['parts', 'pack-1', 'part', 'cellResistance'], to: typed((cells?.si ?? 0.002) * times) },
        ]);
        expect(timed(more)).toBeGreaterThanOrEqual(timed(plan) * (1 - 1e-4));
      }),
      { numRuns: 40 },
    );
  });

  it('a go that brakes at the last moment stands where it is to stand', () => {
    fc.assert(
      fc.property(robot, (of) => {
        const { mechanism: id } = of;
        const plan = applyChanges(planOf(of), [{ at: [...at(id), 'jobs', 0, 'profile'], to: 'stop' }]);
        const path = resolveDcPath(plan, mechanismOf(plan, id), mechanismOf(plan, id).jobs[0]!.id);
        const run = runOf(path);
        if (run?.outcome !== 'arrived' || run.brakesAt === undefined) return;
        expect(run.samples.at(-1)!.place / path.asked.travel!).toBeCloseTo(1, 3);
      }),
      { numRuns: 40 },
    );
  });
});
