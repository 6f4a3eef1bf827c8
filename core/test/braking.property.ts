import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  brakePoint,
  brakeToStop,
  driveBase,
  drivePoint,
  flowFor,
  type Drive,
  type MotionSystem,
} from '../src/index.js';
import { sampleDrive } from './demo.js';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const drives = fc
  .record({
    resistance: number(0.02, 0.5),
    constant: number(0.005, 0.1),
    freeCurrent: number(0, 5),
    motors: fc.integer({ min: 1, max: 4 }),
    brakeLimit: number(2, 120),
    returnLimit: number(0.5, 60),
    supplyLimit: number(2, 80),
  })
  .map(({ resistance, constant, freeCurrent, motors, brakeLimit, returnLimit, supplyLimit }): Drive => ({
    ...sampleDrive,
    motor: {
      resistance,
      torqueConstant: constant * 0.95,
      backEmfConstant: constant,
      freeCurrent,
      freeCurrentPerSpeed: 0,
    },
    motors,
    brakeLimit,
    returnLimit,
    supplyLimit,
  }));

describe('a braking point', () => {
  it('keeps every limit at every speed', () => {
    fc.assert(
      fc.property(drives, number(0, 2000), (drive, speed) => {
        const point = brakePoint(drive, speed);
        expect(point.motorCurrent).toBeGreaterThanOrEqual(0);
        expect(point.motorCurrent).toBeLessThanOrEqual(drive.brakeLimit! * (1 + 1e-9));
        expect(point.returnedCurrent).toBeLessThanOrEqual(drive.returnLimit! * (1 + 1e-6) + 1e-9);
        expect(-point.returnedCurrent).toBeLessThanOrEqual(drive.supplyLimit! * (1 + 1e-6) + 1e-9);
        expect(point.shaftTorque).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 500 },
    );
  });

  it('returns what the shaft gives less what the copper takes', () => {
    fc.assert(
      fc.property(drives, number(1, 2000), (drive, speed) => {
        const { motorCurrent, returnedCurrent } = brakePoint(drive, speed);
        const loop = drive.motor.resistance + drive.controllerResistance;
        const electric = motorCurrent * drive.motor.backEmfConstant * speed - motorCurrent ** 2 * loop;
        expect(returnedCurrent * drive.restVoltage).toBeCloseTo(electric, 4);
      }),
      { numRuns: 300 },
    );
  });

  it('brakes no less with a pack that takes more', () => {
    fc.assert(
      fc.property(drives, number(0, 2000), (drive, speed) => {
        const more = brakePoint({ ...drive, returnLimit: drive.returnLimit! * 2 }, speed);
        expect(more.shaftTorque).toBeGreaterThanOrEqual(brakePoint(drive, speed).shaftTorque - 1e-9);
      }),
      { numRuns: 300 },
    );
  });
});

describe('a stop', () => {
  const system = (drive: Drive): MotionSystem => ({
    drive,
    packResistance: 0.013,
    total: 9,
    efficiency: 0.85,
    backEfficiency: 2 - 1 / 0.85,
    radius: 0.05,
    load: driveBase({ mass: 30, rollingResistance: 0.02, grip: 1, drivenShare: 1, slope: 0 }),
    until: { time: 60 },
  });

  it('takes more room from more speed, and stays within what even steady braking would take', () => {
    fc.assert(
      fc.property(drives, number(0.2, 2), (drive, speed) => {
        const [slow, fast] = [brakeToStop(system(drive), speed), brakeToStop(system(drive), 1.5 * speed)];
        fc.pre(slow.stops && fast.stops);
        expect(fast.distance).toBeGreaterThan(slow.distance);
        expect(fast.time).toBeGreaterThan(slow.time);
        // Never shorter than the tyres allow.
        expect(slow.distance).toBeGreaterThan(speed ** 2 / (2 * 9.80665 * 1.03));
      }),
      { numRuns: 60 },
    );
  });
});

describe('a commanded moment', () => {
  it('asks of the motor what the drive point gives, when it asks for exactly that', () => {
    fc.assert(
      fc.property(drives, number(0.1, 2), (drive, speed) => {
        const moving: MotionSystem = {
          drive,
          packResistance: 0.013,
          total: 9,
          efficiency: 0.85,
          backEfficiency: 2 - 1 / 0.85,
          radius: 0.05,
          load: driveBase({ mass: 30, rollingResistance: 0.02, grip: 50, drivenShare: 1, slope: 0 }),
          until: { travel: 5 },
        };
        const lever = 9 / 0.05;
        const point = drivePoint(drive, speed * lever);
        fc.pre(point.shaftTorque > 1e-3);
        const mass = 30 + drive.motors * drive.rotorInertia * lever ** 2 * 0.85;
        const acceleration = (drive.motors * point.shaftTorque * lever * 0.85 - moving.load.force(0, speed)) / mass;
        fc.pre(30 * acceleration + moving.load.force(0, speed) > 0);
        const { multiple, pull } = flowFor(moving, 0, speed, acceleration);
        expect(multiple).toBeCloseTo(1, 6);
        expect(pull.motorCurrent).toBeCloseTo(point.motorCurrent, 5);
      }),
      { numRuns: 200 },
    );
  });
});
