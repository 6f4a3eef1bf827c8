import { describe, expect, it } from 'vitest';
import {
  cellRestVoltage,
  currentAtSupply,
  currentAtVoltage,
  drivePoint,
  fullVoltage,
  holdingCurrent,
  largestBreaker,
  loopResistance,
  packResistance,
  packRestVoltage,
  packVoltage,
  supplyForMotorCurrent,
  thinnestWire,
  tripCurrent,
  tripTime,
  wireDiameter,
  wireResistance,
  type PackFigures,
} from '../src/index.js';
import { sampleDrive } from './demo.js';

const drive = sampleDrive;

describe('a pack', () => {
  const pack: PackFigures = { chemistry: 'lead', series: 6, parallel: 2, cellResistance: 0.004, leadResistance: 0.003 };

  it('reads the rest voltage between two points of the table', () => {
    expect(cellRestVoltage('lead', 0.5)).toBeCloseTo(2.04, 12);
    expect(cellRestVoltage('lead', 0.55)).toBeCloseTo(2.05, 12);
    expect(cellRestVoltage('lipo', -1)).toBeCloseTo(3.27, 12);
    expect(cellRestVoltage('lipo', 2)).toBeCloseTo(4.2, 12);
  });

  it('sags by its resistance', () => {
    expect(packResistance(pack)).toBeCloseTo(0.015, 12);
    expect(packRestVoltage(pack, 0.5)).toBeCloseTo(12.24, 12);
    expect(packVoltage(pack, 0.5, 100)).toBeCloseTo(10.74, 12);
    expect(fullVoltage(pack)).toBeCloseTo(13.8, 12);
  });
});

describe('the drive point', () => {
  it('is held by the voltage without limits', () => {
    const point = drivePoint(drive, 300);
    expect(point.heldBy).toBe('voltage');
    expect(point.motorCurrent).toBeCloseTo((12.24 - 5.7) / 0.125, 9);
    expect(point.supplyVoltage).toBeCloseTo(12.24 - 0.02 * point.motorCurrent, 9);
  });

  it('is held by the pack-side limit, and energy is kept', () => {
    const point = drivePoint({ ...drive, supplyLimit: 30 }, 100);
    expect(point.heldBy).toBe('supply');
    expect(point.supplyCurrent).toBe(30);
    expect(point.supplyVoltage * 30).toBeCloseTo(
      point.motorCurrent * (1.9 + point.motorCurrent * loopResistance(drive)),
      9,
    );
  });

  it('is held by the motor-side limit at rest, where the pack gives little', () => {
    const point = drivePoint({ ...drive, statorLimit: 60, supplyLimit: 40 }, 0);
    expect(point.heldBy).toBe('stator');
    expect(point.motorCurrent).toBe(60);
    expect(point.supplyCurrent).toBeLessThan(40);
  });

  it('takes a greatest duty below one', () => {
    expect(currentAtVoltage(drive, 0, 0.5)).toBeCloseTo(6.12 / (0.105 + 0.25 * 0.02), 9);
  });

  it('gives no torque at rest below the free current, and drags while turning', () => {
    expect(drivePoint({ ...drive, statorLimit: 1 }, 0).shaftTorque).toBe(0);
    expect(drivePoint(drive, 900).shaftTorque).toBeCloseTo(-0.036, 9);
  });

  it('finds the supply current of a motor current, or that the pack has not that much', () => {
    const ib = supplyForMotorCurrent(drive, 200, 40)!;
    expect(currentAtSupply(drive, 200, ib)).toBeCloseTo(40, 9);
    expect(supplyForMotorCurrent(drive, 600, 400)).toBeUndefined();
  });

  it('never asks for more than the pack’s greatest power', () => {
    const best = drive.restVoltage / (2 * drive.supplyResistance);
    expect(currentAtSupply(drive, 0, best * 3)).toBeCloseTo(currentAtSupply(drive, 0, best), 9);
  });
});

describe('a breaker', () => {
  const breaker = { rated: 40, holdMultiple: 1.3, timeConstant: 12 };

  it('holds its rating for ever and trips above', () => {
    expect(tripTime(breaker, 52)).toBeNull();
    expect(tripTime(breaker, 104)).toBeCloseTo(-12 * Math.log(1 - 0.25), 9);
  });

  it('trips at the current worked back from the time', () => {
    expect(tripTime(breaker, tripCurrent(breaker, 3))).toBeCloseTo(3, 9);
  });

  it('trips sooner when warm, and is derated in heat', () => {
    expect(tripCurrent(breaker, 3, 0.5)).toBeLessThan(tripCurrent(breaker, 3));
    expect(tripCurrent(breaker, 3, 1)).toBe(0);
    expect(holdingCurrent(breaker, 45)).toBeCloseTo(52 * 0.88, 9);
  });
});

describe('wire', () => {
  it('has the diameters of the American gauge', () => {
    expect(wireDiameter(36)).toBeCloseTo(0.000127, 9);
    expect(wireDiameter(12)).toBeCloseTo(0.0020525, 6);
  });

  it('counts both ways and warms up', () => {
    expect(wireResistance(12, 0.6)).toBeCloseTo((1.724e-8 * 1.2) / 3.3088e-6, 6);
    expect(wireResistance(12, 0.6, 60)).toBeCloseTo(wireResistance(12, 0.6) * 1.1572, 9);
  });

  it('goes behind its typical breaker', () => {
    expect(largestBreaker(12)).toBe(40);
    expect(largestBreaker(13)).toBe(30);
    expect(largestBreaker(30)).toBe(0);
    expect(thinnestWire(35)).toBe(12);
    expect(thinnestWire(500)).toBeUndefined();
  });
});
