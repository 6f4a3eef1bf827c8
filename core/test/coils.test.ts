import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  coilWirings,
  evaluateMechanism,
  resolvePath,
  rewired,
  slowDecayRate,
  wireCoils,
  type Plan,
  type StepperPart,
  type StepPath,
} from '../src/index.js';
import { demoPlan, mechanismOf, typed, withChange } from './demo.js';

/** Half coils joined otherwise, against the coils added up by hand; decay, enable and what turns on and on. */

const heron = demoPlan('heron');
const table = mechanismOf(heron, 'turntable');
const at = ['mechanisms', heron.mechanisms.indexOf(table)];
const { drive } = table.choices[0]!;
const ids = drive.kind === 'step' ? { motor: drive.motor, driver: drive.driver } : { motor: '', driver: '' };
const eight = applyChanges(heron, [
  { at: ['parts', ids.motor, 'part', 'leads'], to: 8 },
  { at: ['parts', ids.motor, 'part', 'wiring'], to: 'series' },
]);
const check = (plan: Plan, id: string) =>
  evaluateMechanism(plan, mechanismOf(plan, 'turntable')).jobs[0]!.checks.find((one) => one.id === id);
const motorOf = (plan: Plan) => plan.parts[ids.motor]!.part as StepperPart;
const pathOf = (plan: Plan) => resolvePath(plan, mechanismOf(plan, 'turntable'), table.jobs[0]!.id) as StepPath;

describe('half coils joined otherwise', () => {
  const half = { phaseResistance: 0.7, phaseInductance: 0.001, ratedCurrent: 3, holdingTorque: 1 };

  it('have the ohms, henries and amperes of coils in a row and side by side', () => {
    const [row, beside] = [rewired(half, 'half coil', 'series'), rewired(half, 'half coil', 'parallel')];
    expect(row.phaseResistance).toBeCloseTo(0.7 + 0.7, 9);
    expect(beside.phaseResistance).toBeCloseTo(1 / (1 / 0.7 + 1 / 0.7), 9);
    // Two coils on one pole: twice the turns in a row, so four times the inductance; the same turns side by side.
    expect(row.phaseInductance / beside.phaseInductance).toBeCloseTo(4, 9);
    for (const one of [row, beside]) {
      expect(one.ratedCurrent ** 2 * one.phaseResistance).toBeCloseTo(half.ratedCurrent ** 2 * half.phaseResistance, 9);
    }
    // Turns times amperes make the torque.
    expect(row.holdingTorque / half.holdingTorque).toBeCloseTo((2 * row.ratedCurrent) / half.ratedCurrent, 9);
    expect(beside.holdingTorque).toBeCloseTo(row.holdingTorque, 9);
    expect(rewired(row, 'series', 'half coil')).toEqual(
      expect.objectContaining({ ratedCurrent: expect.closeTo(3, 9) as number }),
    );
  });

  it('change the figures of the part, which say what they were', () => {
    const there = motorOf(applyChanges(eight, wireCoils(eight, ids.motor, 'parallel')));
    const before = motorOf(eight);
    expect(there.phaseResistance!.si).toBeCloseTo(before.phaseResistance!.si / 4, 9);
    expect(there.ratedCurrent!.si).toBeCloseTo(2 * before.ratedCurrent!.si, 9);
    expect(there.ratedCurrent!.from).toContain('wired series');
    expect(there.wiring).toBe('parallel');
    expect(() => wireCoils(eight, 'nothing', 'parallel')).toThrow(/no stepper/);
  });

  it('stand side by side: in parallel flat to four times the speed where the driver gives the current', () => {
    const strong = withChange(eight, ['parts', ids.driver, 'part', 'mostCurrent'], typed(20));
    const open = applyChanges(strong, [{ at: ['parts', ids.driver, 'part', 'currentSwitches'] }]);
    const rows = coilWirings(open, 'turntable', table.jobs[0]!.id);
    expect(rows.map(({ wiring }) => wiring)).toEqual(['series', 'parallel', 'half coil']);
    const [series, parallel, one] = rows;
    expect(parallel!.last).toBeGreaterThan(1.5 * series!.last);
    expect(parallel!.atRest).toBeCloseTo(series!.atRest, 6);
    expect(one!.atRest).toBeLessThan(series!.atRest);
    expect(coilWirings(heron, 'turntable', table.jobs[0]!.id)).toEqual([]);
  });
});

describe('decay and enable', () => {
  it('slow decay follows as far as the coil dies away, and is a note beyond', () => {
    const { figures } = pathOf(heron).step.motor as Extract<StepPath['step']['motor'], { loop: 'open' }>;
    const steps = slowDecayRate(figures.phaseResistance, figures.phaseInductance);
    const turning = pathOf(heron).commanded.speed * pathOf(heron).train.total;
    const slow = applyChanges(heron, [{ at: [...at, 'choices', 0, 'drive', 'decay'], to: 'slow' }]);
    const said = check(slow, 'decay')!;
    expect(said.verdict !== undefined && !said.note).toBe(steps >= (turning * 200) / (2 * Math.PI));
    expect(
      check(applyChanges(slow, [{ at: [...at, 'choices', 0, 'drive', 'steps'], to: 1 }]), 'decay'),
    ).toBeUndefined();
    const silent = applyChanges(heron, [{ at: ['parts', ids.driver, 'part', 'decay'] }]);
    expect(check(silent, 'decay')).toBeUndefined();
  });

  it('a driver that waits for its enable does not move until a wire goes there', () => {
    const waits = withChange(heron, ['parts', ids.driver, 'part', 'enable'], 'runs when driven');
    expect(check(waits, 'enable-line')!.verdict).toBe('gives way');
    const wired = withChange(waits, [...at, 'choices', 0, 'drive', 'enableWired'], true);
    expect(check(wired, 'enable-line')!.note).toBe(true);
    const runs = withChange(heron, ['parts', ids.driver, 'part', 'enable'], 'runs when left open');
    expect(check(runs, 'enable-line')!.verdict).toBe('enough');
  });
});

describe('what turns on and on', () => {
  it('works all the time at its speed, and needs no place to stand in', () => {
    const endless = withChange(heron, [...at, 'jobs', 0, 'onAndOn'], true);
    const path = pathOf(endless);
    expect(path.asked.dutyShare).toBe(1);
    expect(path.settling).toBeUndefined();
    // No ramp up and down within a go, that would take half as much speed again.
    expect(path.asked.speed).toBeCloseTo(path.asked.travel! / path.asked.time, 9);
    expect(pathOf(heron).asked.speed).toBeCloseTo(1.5 * path.asked.speed, 9);
    const warm = (plan: Plan) => check(plan, 'standing-heat')!.there;
    expect(warm(endless)).not.toEqual(warm(heron));
  });
});
