import { describe, expect, it } from 'vitest';
import { mixedAt, motorFromSheet, type MixedUnit } from '../src/index.js';

/** Different motors on one output, against the power that goes in and out. */

const strong = motorFromSheet({ ratedVoltage: 12, freeSpeed: 600, freeCurrent: 2, stallTorque: 2, stallCurrent: 110 });
const quick = motorFromSheet({
  ratedVoltage: 12,
  freeSpeed: 1800,
  freeCurrent: 1.5,
  stallTorque: 0.7,
  stallCurrent: 100,
});
const unit = (motor: typeof strong, total: number, count = 1): MixedUnit => ({
  motor,
  count,
  resistance: 0.02,
  total,
  efficiency: 0.9,
});
const at = { volts: 12, speed: 1.5, force: 60, radius: 0.05 };

describe('motors of two kinds on one output', () => {
  it('carry the load together, and each watt is accounted for', () => {
    const units = [unit(strong, 12), unit(quick, 36)];
    const { duty, each } = mixedAt(units, at);
    expect(duty).toBeDefined();
    expect(each.reduce((sum, { force }) => sum + force, 0)).toBeCloseTo(60, 6);
    expect(each.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    each.forEach(({ current, speed, heat, force }, i) => {
      const { motor, resistance } = units[i]!;
      const supplied = duty! * at.volts * current;
      const shaft = (force * at.speed) / 0.9;
      const friction = motor.torqueConstant * motor.freeCurrent * speed;
      const apart = (motor.backEmfConstant - motor.torqueConstant) * current * speed;
      expect(supplied).toBeCloseTo(heat + current ** 2 * resistance + shaft + friction + apart, 6);
    });
  });

  it('that are alike share alike', () => {
    const { each } = mixedAt([unit(strong, 12), unit(strong, 12)], at);
    expect(each[0]!.force).toBeCloseTo(each[1]!.force, 9);
  });

  it('one geared too deep is dragged along by the other', () => {
    const { each } = mixedAt([unit(strong, 12), unit(strong, 40)], { ...at, force: 5 });
    expect(each[1]!.force).toBeLessThan(0);
    expect(each[0]!.force).toBeGreaterThan(5);
  });

  it('beyond what they give at full command there is no share of the volts that does it', () => {
    const { duty, most } = mixedAt([unit(strong, 12)], { ...at, force: 1e5 });
    expect(duty).toBeUndefined();
    expect(most).toBeLessThan(1e5);
  });
});
