import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  backEfficiency,
  drivePoint,
  fullEffort,
  lift,
  motorFromSheet,
  settle,
  shaftTorque,
  type Drive,
  type MotionSystem,
} from '../src/index.js';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

const drives = fc
  .record({
    volts: number(6, 26),
    resistance: number(0.03, 0.5),
    kt: number(0.006, 0.05),
    share: number(0.85, 1),
    free: number(0.3, 4),
    pack: number(0.004, 0.06),
    motors: fc.integer({ min: 1, max: 4 }),
  })
  .map(({ volts, resistance, kt, share, free, pack, motors }): Drive => ({
    motor: { resistance, torqueConstant: kt * share, backEmfConstant: kt, freeCurrent: free, freeCurrentPerSpeed: 0 },
    motors,
    rotorInertia: 4e-5,
    controllerResistance: 0.004,
    restVoltage: volts,
    supplyResistance: motors * pack,
    greatestDuty: 1,
  }));

/** A mass that is lifted by a drum of 20 mm. */
const lifting = (drive: Drive, mass: number, total: number, travel: number): MotionSystem => ({
  drive,
  packResistance: drive.supplyResistance / drive.motors,
  total,
  efficiency: 0.85,
  backEfficiency: backEfficiency(0.85),
  radius: 0.02,
  load: lift({ mass, slope: Math.PI / 2, friction: 0.05 * mass * 9.80665, counterforce: 0, loadPerRope: 1 }),
  until: { travel },
});

const systems = fc
  .record({
    drive: drives,
    mass: number(2, 60),
    total: number(4, 60),
    travel: number(0.2, 2),
    supply: fc.option(number(10, 50)),
    stator: fc.option(number(20, 90)),
  })
  .map(({ drive, mass, total, travel, supply, stator }) =>
    lifting(
      {
        ...drive,
        ...(supply === null ? {} : { supplyLimit: supply }),
        ...(stator === null ? {} : { statorLimit: stator }),
      },
      mass,
      total,
      travel,
    ),
  );

const near = (a: number, b: number, share: number) =>
  Math.abs(a - b) <= share * Math.max(Math.abs(a), Math.abs(b), 1e-9);

describe('properties', () => {
  it('more pack resistance never makes it faster', () => {
    fc.assert(
      fc.property(systems, number(1.05, 3), (system, more) => {
        const weaker = {
          ...system,
          drive: { ...system.drive, supplyResistance: system.drive.supplyResistance * more },
        };
        const [before, after] = [fullEffort(system), fullEffort(weaker)];
        fc.pre(before.outcome === 'arrived');
        if (after.outcome === 'arrived') expect(after.time).toBeGreaterThanOrEqual(before.time * (1 - 1e-4));
        const torque = system.load.force(0, 0) * system.radius;
        const [was, is] = [system, weaker].map(
          ({ drive }) => settle(drive, system.total, system.efficiency, torque).outputSpeed,
        );
        expect(is!).toBeLessThanOrEqual(was! * (1 + 1e-9));
      }),
      { numRuns: 150 },
    );
  });

  it('two motors behind one shared pack-side limit draw the same watts and pull √2 times as hard at stall', () => {
    fc.assert(
      fc.property(drives, number(5, 25), (base, limit) => {
        const motor = { ...base.motor, freeCurrent: 0 };
        const pack = base.supplyResistance / base.motors;
        const one: Drive = { ...base, motor, motors: 1, supplyResistance: pack, supplyLimit: limit };
        const two: Drive = { ...one, motors: 2, supplyResistance: 2 * pack, supplyLimit: limit / 2 };
        const [single, pair] = [drivePoint(one, 0), drivePoint(two, 0)];
        fc.pre(single.heldBy === 'supply' && pair.heldBy === 'supply');
        const watts = (point: typeof single, n: number) => n * point.supplyCurrent * point.supplyVoltage;
        expect(near(watts(single, 1), watts(pair, 2), 1e-9)).toBe(true);
        const pull = (drive: Drive, point: typeof single) => drive.motors * shaftTorque(drive, point.motorCurrent, 0);
        expect(near(pull(two, pair), Math.SQRT2 * pull(one, single), 1e-9)).toBe(true);
      }),
      { numRuns: 300 },
    );
  });

  it('no more work comes out than energy goes in', () => {
    fc.assert(
      fc.property(systems, (system) => {
        const run = fullEffort(system);
        const work = 0.5 * system.load.inertia(0) * run.endSpeed ** 2 + system.load.force(0, 0) * run.place;
        expect(run.packEnergy).toBeGreaterThanOrEqual(work * (1 - 1e-4));
      }),
      { numRuns: 200 },
    );
  });

  it('halving the step moves nothing by more than 0.1 %', () => {
    fc.assert(
      fc.property(systems, (system) => {
        const run = fullEffort(system);
        fc.pre(run.outcome === 'arrived');
        const finer = fullEffort(system, { tolerance: 1e-5 / 8, fewestSteps: 120 });
        for (const key of [
          'time',
          'endSpeed',
          'topSpeed',
          'rmsMotorCurrent',
          'peakSupplyCurrent',
          'leastPackVoltage',
          'packEnergy',
        ] as const) {
          expect(near(run[key], finer[key], 1e-3), `${key}: ${run[key]} and ${finer[key]}`).toBe(true);
        }
      }),
      { numRuns: 150 },
    );
  });

  it('the heat of a short start under one limit, and of a balance where the pull jumps, is that of finer steps', () => {
    const LIGHT_DRIVE: Drive = {
      motor: {
        resistance: 0.03,
        torqueConstant: 0.05,
        backEmfConstant: 0.05,
        freeCurrent: 1.7,
        freeCurrentPerSpeed: 0,
      },
      motors: 3,
      rotorInertia: 4e-5,
      controllerResistance: 0.004,
      restVoltage: 20.9,
      supplyResistance: 0.012,
      greatestDuty: 1,
      supplyLimit: 13.35,
    };
    const sagging: Drive = {
      ...LIGHT_DRIVE,
      motor: { ...LIGHT_DRIVE.motor, torqueConstant: 0.0102, backEmfConstant: 0.01106, freeCurrent: 0.9 },
      restVoltage: 6,
      supplyResistance: 0.1715,
      supplyLimit: 23.42,
    };
    for (const system of [
      lifting({ ...LIGHT_DRIVE, statorLimit: 27.5 }, 2, 10.97, 0.313),
      lifting(sagging, 13.26, 4.345, 1.03),
    ]) {
      const run = fullEffort(system);
      const finer = fullEffort(system, { tolerance: 1e-7, fewestSteps: 240 });
      expect(run.outcome).toBe('arrived');
      expect(run.rmsMotorCurrent / finer.rmsMotorCurrent).toBeCloseTo(1, 3.5);
    }
  });

  it('a drive never breaks its own limits, and never makes power', () => {
    fc.assert(
      fc.property(systems, number(0, 1.2), ({ drive }, share) => {
        const speed = (share * drive.restVoltage) / drive.motor.backEmfConstant;
        const point = drivePoint(drive, speed);
        expect(point.motorCurrent).toBeLessThanOrEqual((drive.statorLimit ?? Infinity) * (1 + 1e-12));
        expect(point.supplyCurrent).toBeLessThanOrEqual((drive.supplyLimit ?? Infinity) * (1 + 1e-12));
        expect(point.supplyCurrent * point.supplyVoltage).toBeGreaterThanOrEqual(point.shaftTorque * speed - 1e-9);
      }),
      { numRuns: 500 },
    );
  });

  it('the sheet’s line goes through the sheet’s numbers', () => {
    fc.assert(
      fc.property(
        number(6, 48),
        number(50, 3000),
        number(0.1, 5),
        number(0.05, 6),
        number(10, 300),
        (ratedVoltage, freeSpeed, freeCurrent, stallTorque, stallCurrent) => {
          const motor = motorFromSheet({ ratedVoltage, freeSpeed, freeCurrent, stallTorque, stallCurrent });
          expect(near(freeCurrent * motor.resistance + motor.backEmfConstant * freeSpeed, ratedVoltage, 1e-12)).toBe(
            true,
          );
          expect(near(motor.torqueConstant * (stallCurrent - freeCurrent), stallTorque, 1e-12)).toBe(true);
        },
      ),
    );
  });
});
