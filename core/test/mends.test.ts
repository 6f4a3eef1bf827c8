import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  evaluateMechanism,
  givingWay,
  mendsFor,
  mendsWithin,
  metBy,
  SITUATIONS,
  type Mend,
  type Plan,
  type ChainStage,
  type Target,
} from '../src/index.js';
import { plainPlan, mechanismOf, typed, withChange, said } from './demo.js';

const heron = plainPlan('heron');

/** Everything of a plan that is not enough. */
function targetsOf(plan: Plan): readonly { mechanism: string; target: Target }[] {
  return plan.mechanisms.flatMap((mechanism) =>
    evaluateMechanism(plan, mechanism).jobs.flatMap((job) => [
      ...SITUATIONS.flatMap((situation) =>
        job.ladders[situation].rungs
          .filter((rung) => !rung.outOfReach && (rung.verdict === 'tight' || rung.verdict === 'gives way'))
          .map((rung) => ({
            mechanism: mechanism.id,
            target: { jobId: job.jobId, rung: rung.id, situation } as Target,
          })),
      ),
      ...job.checks
        .filter((check) => check.verdict === 'gives way')
        .map((check) => ({ mechanism: mechanism.id, target: { jobId: job.jobId, check: check.id } as Target })),
    ]),
  );
}

function applied(plan: Plan, mend: Mend): Plan {
  return applyChanges(plan, mend.changes);
}

const troubled: readonly (readonly [string, Plan])[] = [
  ['the demo', heron],
  ['a heavy crate', withChange(heron, ['mechanisms', 1, 'jobs', 0, 'mass'], typed(30))],
  ['a hasty lift', withChange(heron, ['mechanisms', 1, 'jobs', 0, 'time'], typed(1.3))],
  ['a long geared lift', withChange(heron, ['mechanisms', 1, 'choices', 0, 'stages', 1, 'driven'], 80)],
  ['a hard push', withChange(heron, ['mechanisms', 0, 'jobs', 1, 'push'], typed(520))],
  ['a weak rope', withChange(heron, ['mechanisms', 2, 'choices', 0, 'output', 'ropeStrength'], typed(2000))],
  ['thin wire', withChange(heron, ['supply', 3, 'wire', 'gauge'], typed(18))],
  ['a fast rover', withChange(plainPlan('limpet'), ['mechanisms', 0, 'jobs', 0, 'time'], typed(1.4))],
];

describe('mends', () => {
  it.each(troubled)('of %s meet their rung’s margin and let nothing newly give way', (_name, plan) => {
    const targets = targetsOf(plan);
    expect(targets.length).toBeGreaterThan(0);
    for (const { mechanism, target } of targets) {
      const before = evaluateMechanism(plan, mechanismOf(plan, mechanism));
      for (const mend of mendsFor(plan, mechanism, target)) {
        const changed = applied(plan, mend);
        expect(
          metBy(changed, mechanismOf(changed, mechanism), target),
          `${said(mend.label)} for ${JSON.stringify(target)}`,
        ).toBeGreaterThanOrEqual(1);
        evaluateMechanism(changed, mechanismOf(changed, mechanism)).jobs.forEach((job, i) => {
          const was = givingWay(before.jobs[i]!);
          expect(
            [...givingWay(job)].filter((item) => !was.has(item)),
            said(mend.label),
          ).toEqual([]);
        });
      }
    }
  });

  it('carry the amount that just does it: a tooth less does not', () => {
    const plan = withChange(heron, ['mechanisms', 1, 'choices', 0, 'stages', 1, 'driven'], 34);
    const target: Target = { jobId: 'raise', rung: 'stator', situation: 'starting' };
    const mend = mendsFor(plan, 'lift', target).find(({ lever }) => lever === 'deeper')!;
    const { at, to } = mend.changes[0]!;
    const stage = to as ChainStage;
    const oneLess = withChange(plan, at, { ...stage, driven: stage.driven - 1 });
    expect(metBy(applied(plan, mend), mechanismOf(applied(plan, mend), 'lift'), target)).toBeGreaterThanOrEqual(1);
    expect(metBy(oneLess, mechanismOf(oneLess, 'lift'), target)).toBeLessThan(1);
    expect(said(mend.label)).toMatch(/^More reduction: \d+(\.\d+)?:1$/);
  });

  it('show the first rung before and after', () => {
    // Without the way down: a second motor would return more than the pack takes there.
    const raising = withChange(heron, ['mechanisms', 1, 'jobs'], [mechanismOf(heron, 'lift').jobs[0]]);
    const [mend] = mendsFor(raising, 'lift', { jobId: 'raise', rung: 'supply', situation: 'working' }).filter(
      ({ lever }) => lever === 'motors',
    );
    expect(mend).toMatchObject({ label: 'One more motor', firstAfter: 'motor, volts' });
    expect(mend!.before).toBeCloseTo(1.208, 3);
    const changed = applied(raising, mend!);
    expect(mend!.after).toBeCloseTo(
      evaluateMechanism(changed, mechanismOf(changed, 'lift')).jobs[0]!.ladders.working.first!.multiple!,
      12,
    );
  });

  it('raise limit, breaker and wire together, on a controller that can', () => {
    const mend = mendsFor(heron, 'lift', { jobId: 'raise', rung: 'supply', situation: 'working' }).find(
      ({ lever }) => lever === 'supply-limit',
    )!;
    expect(said(mend.label)).toMatch(/^A controller of 5\d A pack-side, breaker 60 A$/);
    const changed = applied(heron, mend);
    const node = changed.supply.find(({ id }) => id === 'branch-lift')!;
    expect(node.kind === 'branch' && node.wire?.gauge?.si).toBe(8);
    // Other branches keep their breakers.
    expect(changed.parts['breaker-1']).toEqual(heron.parts['breaker-1']);
  });

  it('put a ratchet on what would fall', () => {
    const [mend] = mendsFor(heron, 'climb', { jobId: 'haul', check: 'stays-up' });
    expect(mend).toMatchObject({ lever: 'holder', label: 'A ratchet on the drum' });
    expect(evaluateMechanism(applied(heron, mend!), mechanismOf(applied(heron, mend!), 'climb')).headline.verdict).toBe(
      'enough',
    );
  });

  it('find none where no single change does it', () => {
    const hopeless = withChange(
      withChange(heron, ['mechanisms', 1, 'jobs', 0, 'time'], typed(0.05)),
      ['mechanisms', 1, 'jobs', 0, 'distance'],
      typed(6),
    );
    expect(mendsFor(hopeless, 'lift', { jobId: 'raise', check: 'in-time' })).toEqual([]);
  });

  it('are said to be unfinished, with what was found, once their time is up', () => {
    const target = { jobId: 'raise', rung: 'supply', situation: 'working' } as const;
    const all = mendsFor(heron, 'lift', target);
    // A clock that goes on by a tick at each look.
    const within = (ticks: number) => {
      let now = 0;
      return mendsWithin(heron, 'lift', target, ticks, () => now++);
    };
    expect(within(1e6)).toEqual({ mends: all, finished: true });
    expect(within(0)).toEqual({ mends: [], finished: false });
    const some = [50, 100, 150, 200].map(within).filter(({ mends }) => mends.length > 0 && mends.length < all.length);
    expect(some.length).toBeGreaterThan(0);
    for (const { mends, finished } of some) {
      expect(finished).toBe(false);
      expect(mends).toEqual(all.slice(0, mends.length));
    }
  });

  it('leave the rest of the plan as it was', () => {
    for (const mend of mendsFor(heron, 'lift', { jobId: 'raise', rung: 'supply', situation: 'working' })) {
      const changed = applied(heron, mend);
      expect(changed.mechanisms.filter(({ id }) => id !== 'lift')).toEqual(
        heron.mechanisms.filter(({ id }) => id !== 'lift'),
      );
    }
  });
});
