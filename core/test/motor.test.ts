import { describe, expect, it } from 'vitest';
import {
  auditMotor,
  continuousCurrent,
  currentAtPeakPower,
  currentToLimit,
  kvFromRpmPerVolt,
  motorConstant,
  motorFromKv,
  motorFromSheet,
  freeSpeedAt,
  peakEfficiency,
  peakPower,
  resistanceAt,
  speedAt,
  thermalFromMass,
  windingTemperature,
} from '../src/index.js';

const sheet = { ratedVoltage: 12, freeSpeed: 600, freeCurrent: 2, stallTorque: 2, stallCurrent: 102 };

describe('a motor from its data sheet', () => {
  const motor = motorFromSheet(sheet);

  it('has the constants worked by hand', () => {
    expect(motor.resistance).toBeCloseTo(12 / 102, 12);
    expect(motor.torqueConstant).toBeCloseTo(0.02, 12);
    expect(motor.backEmfConstant).toBeCloseTo((12 - 2 * (12 / 102)) / 600, 12);
  });

  it('goes through all four data-sheet numbers', () => {
    expect(freeSpeedAt(motor, 12)).toBeCloseTo(600, 9);
    expect(motor.torqueConstant * (12 / motor.resistance - motor.freeCurrent)).toBeCloseTo(2, 9);
  });

  it('peaks in power half-way between free and stall current', () => {
    const current = currentAtPeakPower(motor, 12);
    const power = (i: number) => motor.torqueConstant * (i - motor.freeCurrent) * speedAt(motor, 12, i);
    expect(current).toBeCloseTo(52, 9);
    expect(peakPower(motor, 12)).toBeCloseTo(power(52), 9);
    expect(power(51)).toBeLessThan(power(52));
    expect(power(53)).toBeLessThan(power(52));
  });

  it('has its peak efficiency where shaft power over input is greatest', () => {
    const efficiency = (i: number) => (motor.torqueConstant * (i - 2) * speedAt(motor, 12, i)) / (12 * i);
    const best = Math.max(...Array.from({ length: 1000 }, (_, k) => efficiency(2.1 + k * 0.1)));
    expect(peakEfficiency(motor, 12)).toBeCloseTo(best, 4);
  });
});

describe('a motor from its Kv', () => {
  it('has Kt = Ke = 60/(2π·Kv)', () => {
    const motor = motorFromKv({ kv: kvFromRpmPerVolt(1000), resistance: 0.05, freeCurrent: 1 });
    expect(motor.torqueConstant).toBeCloseTo(60 / (2 * Math.PI * 1000), 12);
    expect(motor.backEmfConstant).toBe(motor.torqueConstant);
  });

  it('keeps its motor constant for another winding of the same frame', () => {
    const few = motorFromKv({ kv: 100, resistance: 0.05, freeCurrent: 1 });
    const many = motorFromKv({ kv: 50, resistance: 0.2, freeCurrent: 0.5 });
    expect(motorConstant(many)).toBeCloseTo(motorConstant(few), 12);
  });
});

describe('the audit', () => {
  it('finds a motor that would make power from nothing', () => {
    const audit = auditMotor(motorFromSheet({ ...sheet, stallTorque: 2.2 }));
    expect(audit.verdict).toBe('impossible');
    expect(audit.findings[0]).toContain('power from nothing');
  });

  it('suspects one whose torque is far too small', () => {
    expect(auditMotor(motorFromSheet({ ...sheet, stallTorque: 1.4 })).verdict).toBe('suspicious');
  });

  it('says when a stated Kv or resistance disagrees by more than 5 %', () => {
    const motor = motorFromSheet(sheet);
    const kv = 1 / motor.backEmfConstant;
    expect(auditMotor(motor, { kv: kv * 1.04, resistance: motor.resistance * 0.96 }).findings).toEqual([]);
    expect(auditMotor(motor, { kv: kv * 1.06 }).findings).toEqual([
      'The stated Kv does not agree with free speed and voltage.',
    ]);
    expect(auditMotor(motor, { resistance: motor.resistance * 1.06 }).findings).toHaveLength(1);
  });
});

describe('heat', () => {
  const thermal = thermalFromMass(0.5, 120, 25);

  it('takes the default lumps from the mass', () => {
    expect(thermal.windingCapacity).toBeCloseTo(0.15 * 0.5 * 385, 9);
    expect(thermal.caseCapacity).toBeCloseTo(0.85 * 0.5 * 460, 9);
    expect(thermal.windingToCase).toBeCloseTo(60 / 28.875, 9);
  });

  it('rises in copper by 0.393 % a kelvin', () => {
    expect(resistanceAt(0.1, 120)).toBeCloseTo(0.1 * 1.393, 12);
  });

  it('agrees with small explicit steps of the two lumps', () => {
    let [winding, shell] = [25, 25];
    const step = 0.01;
    for (let t = 0; t < 40; t += step) {
      const across = (winding - shell) / thermal.windingToCase;
      winding += (step * (40 * 40 * resistanceAt(0.1, winding) - across)) / thermal.windingCapacity;
      shell += (step * (across - (shell - 25) / thermal.caseToAir)) / thermal.caseCapacity;
    }
    expect(windingTemperature(0.1, thermal, 40, 40)).toBeCloseTo(winding, 0);
  });

  it('holds the continuous current for ever, and more only for a time', () => {
    const steady = continuousCurrent(0.1, thermal);
    expect(windingTemperature(0.1, thermal, steady, 1e5)).toBeCloseTo(120, 3);
    const burst = currentToLimit(0.1, thermal, 10);
    expect(burst).toBeGreaterThan(steady);
    expect(windingTemperature(0.1, thermal, burst, 10)).toBeCloseTo(120, 6);
  });
});
