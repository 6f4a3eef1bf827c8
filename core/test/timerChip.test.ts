import { describe, expect, it } from 'vitest';
import {
  evaluateMechanism,
  lowerForRate,
  resolvePath,
  timerPulses,
  timerRange,
  type Plan,
  type StepPath,
} from '../src/index.js';
import { demoPlan, mechanismOf, said, typed, withChange } from './demo.js';

/** Pulses by two resistors and a capacitor, against the capacitor charged and discharged in small steps. */

function byStepping(upper: number, lower: number, capacitor: number): { readonly high: number; readonly low: number } {
  let [volts, high, low] = [1 / 3, 0, 0];
  const h = (lower * capacitor) / 50_000;
  for (; volts < 2 / 3; high += h) volts += (h * (1 - volts)) / ((upper + lower) * capacitor);
  for (; volts > 1 / 3; low += h) volts -= (h * volts) / (lower * capacitor);
  return { high, low };
}

describe('a timer chip', () => {
  it('is high while its capacitor charges through both resistors, and low while it empties through one', () => {
    for (const [upper, lower, capacitor] of [
      [1000, 10_000, 1e-8],
      [4700, 2200, 1e-7],
    ] as const) {
      const { rate, high, low, duty } = timerPulses(upper, lower, capacitor);
      const found = byStepping(upper, lower, capacitor);
      expect(high / found.high).toBeCloseTo(1, 3);
      expect(low / found.low).toBeCloseTo(1, 3);
      expect(rate).toBeCloseTo(1 / (high + low), 6);
      expect(duty).toBeGreaterThan(0.5);
      expect(lowerForRate(upper, capacitor, rate)).toBeCloseTo(lower, 6);
    }
  });

  const heron = demoPlan('heron');
  const at = heron.mechanisms.indexOf(mechanismOf(heron, 'turntable'));
  const { drive } = mechanismOf(heron, 'turntable').choices[0]!;
  const board = drive.kind === 'step' ? drive.board : '';
  const CHIP = { timerUpper: 1000, timerLower: 2000, timerLowerMost: 100_000, timerCapacitor: 1e-8 };
  const part = (of: Partial<typeof CHIP> = {}) => ({
    kind: 'board',
    name: 'timer',
    pinVoltage: typed(5),
    pinCurrent: typed(0.1),
    feedVoltage: typed(5),
    ...Object.fromEntries(Object.entries({ ...CHIP, ...of }).map(([key, si]) => [key, typed(si)])),
  });
  const on = (ramp: 'ramp' | 'at once', of: Partial<typeof CHIP> = {}): Plan =>
    withChange(
      withChange(heron, ['parts', board, 'part'], part(of)),
      ['mechanisms', at, 'choices', 0, 'drive', 'ramp'],
      ramp,
    );
  const checkOf = (plan: Plan, id = 'timer') =>
    evaluateMechanism(plan, mechanismOf(plan, 'turntable')).jobs[0]!.checks.find((one) => one.id === id)!;

  it('gives as many pulses as the fast end of its knob does, and is asked nothing where a program makes them', () => {
    const path = resolvePath(
      on('at once'),
      mechanismOf(heron, 'turntable'),
      mechanismOf(heron, 'turntable').jobs[0]!.id,
    );
    expect((path as StepPath).board.pulseLimit).toBeCloseTo(
      timerRange({ upper: 1000, lower: 2000, lowerMost: 1e5, capacitor: 1e-8 }).fast.rate,
      6,
    );
    expect(checkOf(heron)).toBeUndefined();
  });

  it('makes no ramp but that of a hand on its knob, and says where that stands for the job', () => {
    const fixed = checkOf(on('ramp', { timerLowerMost: 2000 }));
    expect(fixed.verdict).toBe('gives way');
    expect(said(fixed.sentence)).toContain('A ramp needs a knob, or a program');
    const turned = checkOf(on('ramp'));
    expect(turned.verdict).toBe('enough');
    expect(said(turned.sentence)).toContain('turned up by hand from the slow end, is the ramp: about 0.5 s');
    const once = checkOf(on('at once'));
    expect(once.verdict).toBe('enough');
    expect(said(once.sentence)).toMatch(/lower resistor is [\d.]+ Ω|beyond its fast end|under its slow end/);
    // A capacitor of a thousandth: pulses too short to be seen.
    expect(checkOf(on('at once', { timerCapacitor: 1e-11 })).verdict).toBe('gives way');
  });
});
