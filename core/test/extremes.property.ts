import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  evaluateMechanism,
  reachOf,
  resolvePath,
  SITUATIONS,
  type Figure,
  type Mechanism,
  type Plan,
} from '../src/index.js';
import { demoPlan, nansIn, typed } from './demo.js';

interface Place {
  readonly plan: Plan;
  readonly mechanism: Mechanism;
  readonly jobId: string;
  readonly figure: Figure;
}

const valueAt = (plan: unknown, at: Place['figure']['at']): unknown =>
  at.reduce<unknown>((value, key) => (value as Record<string | number, unknown> | undefined)?.[key], plan);

const places: readonly Place[] = (['heron', 'limpet'] as const).flatMap((name) => {
  const plan = demoPlan(name);
  return plan.mechanisms.flatMap((mechanism) =>
    mechanism.jobs.flatMap((job) =>
      Object.values(resolvePath(plan, mechanism, job.id).figures)
        // A shaft that is not there has no size: the schema takes one only with its form.
        .filter(({ at }) => at.length > 0 && (at.at(-2) !== 'shaft' || valueAt(plan, at.slice(0, -1)) !== undefined))
        .map((figure) => ({ plan, mechanism, jobId: job.id, figure })),
    ),
  );
});

/** A value the schema would take, however absurd. */
function allowed({ dimension, key }: Figure, factor: number, value: number): number {
  const wild = (value || 1) * factor;
  if (dimension === 'share') return Math.min(1, Math.max(0.001, wild));
  if (dimension === 'angle') return Math.min(1.5, Math.max(0.001, wild));
  if (dimension === 'gauge') return Math.min(36, Math.max(0, wild));
  if (dimension === 'temperature') return Math.min(400, Math.max(30, wild));
  // A day as long as the schema takes.
  if (key === 'match.length') return Math.min(3600, wild);
  if (key === 'match.rounds') return Math.min(20, Math.max(1, wild));
  // The schema wants a stall current above the free current.
  if (key === 'motor.stallCurrent') return Math.max(wild, 5);
  if (key === 'motor.freeCurrent') return Math.min(wild, 0.2);
  return wild;
}

describe('absurd figures', () => {
  it('give no NaN and nothing endless, one or two at a time', () => {
    const factor = fc.constantFrom(1e-6, 1e-3, 0.1, 10, 1e3, 1e6);
    fc.assert(
      fc.property(
        fc.constantFrom(...places),
        factor,
        fc.nat(),
        factor,
        ({ plan, mechanism, jobId, figure }, first, other, second) => {
          const siblings = places.filter((place) => place.mechanism === mechanism && place.jobId === jobId);
          const also = siblings[other % siblings.length]!.figure;
          const change = (one: Figure, by: number) => ({ at: one.at, to: typed(allowed(one, by, one.value ?? 1)) });
          const changed = applyChanges(plan, [change(figure, first), change(also, second)]);
          const after = changed.mechanisms.find(({ id }) => id === mechanism.id)!;
          const result = evaluateMechanism(changed, after);
          const said = `${mechanism.id} ${figure.key} × ${first}, ${also.key} × ${second}`;
          expect(nansIn(result), said).toEqual([]);
          for (const job of result.jobs) {
            for (const id of SITUATIONS) {
              for (const rung of job.ladders[id].rungs) {
                if (rung.multiple !== undefined)
                  expect(Number.isFinite(rung.multiple), `${said}: ${rung.id}`).toBe(true);
              }
            }
            expect(job.run?.samples.length ?? 0, said).toBeLessThan(25_000);
          }
          expect(nansIn(reachOf(resolvePath(changed, after, jobId))), said).toEqual([]);
        },
      ),
      { numRuns: 1500 },
    );
  });
});
