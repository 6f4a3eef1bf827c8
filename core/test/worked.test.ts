import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  evaluateMechanism,
  figuresIn,
  operatingAt,
  resolveDcPath,
  resolvePath,
  SITUATIONS,
  stepsIn,
  TERM_IDS,
  typeset,
  valueOf,
  workingOf,
  type Mechanism,
  type Plan,
  type WorkingRef,
} from '../src/index.js';
import { demoPlan, withChange, typed } from './demo.js';
import { allKindsPlan, allMachinesPlan } from './kinds.js';

// The hoist's missing figure filled in, so that a Kv motor is worked too; a rail that is neither level nor straight up.
const heron = withChange(demoPlan('heron'), ['parts', 'motor-2', 'part', 'data', 'resistance'], typed(0.042));
const plans: readonly Plan[] = [
  heron,
  demoPlan('limpet'),
  allKindsPlan(),
  allMachinesPlan(),
  withChange(heron, ['mechanisms', 2, 'choices', 0, 'output', 'loadPerRope'], typed(2)),
];

interface Shown {
  readonly plan: Plan;
  readonly mechanism: Mechanism;
  readonly jobId: string;
  readonly ref: WorkingRef;
  readonly value: number;
}

/** Every number of a plan's results that has a working. */
function shown(plan: Plan): readonly Shown[] {
  return plan.mechanisms.flatMap((mechanism) =>
    evaluateMechanism(plan, mechanism).jobs.flatMap((job) => {
      const of = { plan, mechanism, jobId: job.jobId };
      const rungs = SITUATIONS.flatMap((situation) =>
        job.ladders[situation].rungs
          .filter((rung) => rung.multiple !== undefined)
          .map((rung) => ({
            ...of,
            ref: { of: 'rung' as const, rung: rung.id, situation },
            value: rung.multiple!,
          })),
      );
      const demands = SITUATIONS.map((situation) => ({
        ...of,
        ref: { of: 'demand' as const, situation },
        value: job.ladders[situation].demand!,
      }));
      const checks = job.checks
        .filter((check) => check.multiple !== undefined)
        .map((check) => ({ ...of, ref: { of: 'check' as const, check: check.id }, value: check.multiple! }));
      return [...rungs, ...demands, ...checks];
    }),
  );
}

const all = plans.flatMap(shown);
const close = (a: number, b: number) => Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(b));

describe('workings', () => {
  it('cover the demo', () => {
    expect(all.length).toBeGreaterThan(250);
  });

  it('compute the number that is shown, to 1e-9', () => {
    for (const { plan, mechanism, jobId, ref, value } of all) {
      const working = workingOf(resolvePath(plan, mechanism, jobId), ref);
      // A run that stalls has no time to show; it says so in words.
      if (!working) expect(ref.of).toBe('check');
      else
        expect(
          close(ref.of === 'demand' ? valueOf(working) : Math.max(0, valueOf(working)), value),
          `${mechanism.name} ${JSON.stringify(ref)}: ${valueOf(working)} is not ${value}`,
        ).toBe(true);
    }
  });

  it('change when any input of theirs does', () => {
    const still: string[] = [];
    for (const { plan, mechanism, jobId, ref } of shown(heron)) {
      const working = workingOf(resolvePath(plan, mechanism, jobId), ref)!;
      for (const figure of figuresIn(working)) {
        if (figure.value === undefined || figure.at.length === 0) continue;
        // A current that switches set moves by whole switches.
        const by = figure.key === 'drive.setCurrent' ? 0.7 : figure.value === 1 ? 0.93 : 1.07;
        const changed = applyChanges(plan, [
          { at: figure.at, to: typed(figure.value === 0 ? 0.01 : figure.value * by) },
        ]);
        const after = workingOf(
          resolvePath(
            changed,
            changed.mechanisms.find(({ id }) => id === mechanism.id)!,
            jobId,
          ),
          ref,
        );
        const moved =
          after === undefined ||
          figuresIn(after).some((same) => same.key === figure.key && same.value !== figure.value);
        if (!moved) still.push(`${mechanism.id} ${JSON.stringify(ref)} ${figure.key}`);
        // The tree holds to the result after the change as well.
        expect(Number.isNaN(after ? valueOf(after) : 0)).toBe(false);
      }
    }
    expect(still).toEqual([]);
  });

  it('moves with the mass for the rung that rests on it', () => {
    const lift = heron.mechanisms[1]!;
    const ref: WorkingRef = { of: 'rung', rung: 'supply', situation: 'working' };
    const heavier = withChange(heron, ['mechanisms', 1, 'jobs', 0, 'mass'], typed(25));
    const before = valueOf(workingOf(resolvePath(heron, lift, 'raise'), ref)!);
    const after = valueOf(workingOf(resolvePath(heavier, heavier.mechanisms[1]!, 'raise'), ref)!);
    expect(after).toBeLessThan(before);
  });

  it('show terms of the path', () => {
    const path = resolveDcPath(heron, heron.mechanisms[1]!, 'raise');
    const values = Object.fromEntries(TERM_IDS.map((term) => [term, valueOf(workingOf(path, { of: 'term', term })!)]));
    expect(close(values['total']!, path.train.total)).toBe(true);
    expect(close(values['efficiency']!, path.train.efficiency)).toBe(true);
    expect(close(values['torqueConstant']!, path.drive.motor.torqueConstant)).toBe(true);
    expect(close(values['backEmfConstant']!, path.drive.motor.backEmfConstant)).toBe(true);
    expect(close(values['supplyResistance']!, path.drive.supplyResistance)).toBe(true);
    expect(close(values['restVoltage']!, path.drive.restVoltage)).toBe(true);
    const flow = operatingAt(path, path.load.force(0, path.asked.speed), path.asked.speed);
    expect(close(values['motorCurrent']!, flow.motorCurrent)).toBe(true);
    expect(close(values['supplyCurrent']!, flow.supplyCurrent!)).toBe(true);
    expect(close(values['packVoltage']!, flow.packVoltage!)).toBe(true);
  });

  it('show no current that the volts do not give: of a speed out of reach those at the one that is reached', () => {
    const heavy = withChange(
      withChange(heron, ['mechanisms', 1, 'jobs', 0, 'mass'], typed(900)),
      ['mechanisms', 1, 'jobs', 0, 'time'],
      typed(0.5),
    );
    const path = resolvePath(heavy, heavy.mechanisms[1]!, 'raise');
    if (path.machine !== 'dc') throw new Error('plain motors');
    const most = path.drive.restVoltage / (path.drive.motor.resistance + path.drive.controllerResistance);
    for (const term of ['motorCurrent', 'supplyCurrent'] as const) {
      const current = valueOf(workingOf(path, { of: 'term', term })!);
      expect(current).toBeGreaterThan(0);
      expect(current).toBeLessThan(most);
    }
  });

  it('names each step once, and typesets it in symbols and in numbers', () => {
    const working = workingOf(resolvePath(heron, heron.mechanisms[1]!, 'raise'), {
      of: 'rung',
      rung: 'volts',
      situation: 'working',
    })!;
    const steps = stepsIn(working);
    expect(steps[0]).toMatchObject({ symbol: 'x' });
    expect(new Set(steps.map(({ symbol }) => symbol)).size).toBe(steps.length);
    const total = steps.find(({ symbol }) => symbol === 'G')!;
    expect(total.op === 'named' && typeset(total.of, 'numbers')).toBe('\\frac{54}{16} \\cdot \\frac{48}{18}');
    const kt = steps.find(({ symbol }) => symbol === 'K_t')!;
    expect(kt.op === 'named' && typeset(kt.of, 'symbols')).toBe('\\frac{T_{s}}{I_{s} - I_{0}}');
  });
});
