import { describe, expect, it } from 'vitest';
import {
  alongTrain,
  backEfficiency,
  driveBase,
  fullEffort,
  GRAVITY,
  lift,
  pullAt,
  screwBackEfficiency,
  screwEfficiency,
  settle,
  trainOf,
  type MotionSystem,
} from '../src/index.js';
import { sampleDrive } from './demo.js';

const drive = sampleDrive;

const crate = lift({ mass: 20, slope: Math.PI / 2, friction: 12, counterforce: 0, loadPerRope: 1 });
const system = (change: Partial<MotionSystem> = {}): MotionSystem => ({
  drive,
  packResistance: 0.013,
  total: 9,
  efficiency: 0.87,
  backEfficiency: backEfficiency(0.87),
  radius: 0.022,
  load: crate,
  until: { travel: 1.35 },
  ...change,
});

describe('a train', () => {
  const train = trainOf([
    { ratio: 54 / 16, efficiency: 0.96, backEfficiency: backEfficiency(0.96) },
    { ratio: 48 / 18, efficiency: 0.95, backEfficiency: backEfficiency(0.95) },
  ]);

  it('multiplies ratios and losses', () => {
    expect(train.total).toBeCloseTo(9, 12);
    expect(train.efficiency).toBeCloseTo(0.912, 12);
    expect(train.backEfficiency).toBeCloseTo((2 - 1 / 0.96) * (2 - 1 / 0.95), 12);
  });

  it('writes torque and speed on every shaft', () => {
    const [first, second] = alongTrain(train, 1, 90);
    expect(first).toEqual({ torque: 3.375 * 0.96, speed: 90 / 3.375 });
    expect(second!.torque).toBeCloseTo(9 * 0.912, 12);
    expect(second!.speed).toBeCloseTo(10, 12);
  });

  it('is 1:1 without stages', () => {
    expect(trainOf([])).toMatchObject({ total: 1, efficiency: 1, backEfficiency: 1 });
  });

  it('stays by itself in a steep worm only', () => {
    const [slow, fast] = [0.05, 0.6].map((angle) => screwBackEfficiency(angle, 0.12, 0.25));
    expect(slow).toBe(0);
    expect(fast).toBeGreaterThan(0.5);
    expect(screwEfficiency(0.05, 0.12, 0.25)).toBeLessThan(0.5);
  });
});

describe('loads', () => {
  it('lift: k·(m·g·sinα + friction − counterforce), and k²·m', () => {
    const cascade = lift({ mass: 10, slope: Math.PI / 6, friction: 5, counterforce: 15, loadPerRope: 2 });
    expect(cascade.force(0, 0)).toBeCloseTo(2 * (10 * GRAVITY * 0.5 + 5 - 15), 9);
    expect(cascade.holdForce(0)).toBeCloseTo(2 * (10 * GRAVITY * 0.5 - 15), 9);
    expect(cascade.inertia(0)).toBe(40);
  });

  it('drive base: rolling, slope and push resist; the tyres carry their share', () => {
    const base = driveBase({ mass: 50, rollingResistance: 0.02, grip: 0.9, drivenShare: 0.6, slope: 0.1, push: 100 });
    expect(base.force(0, 0)).toBeCloseTo(50 * GRAVITY * (Math.sin(0.1) + 0.02 * Math.cos(0.1)) + 100, 9);
    expect(base.traction).toBeCloseTo(0.9 * 50 * GRAVITY * Math.cos(0.1) * 0.6, 9);
  });
});

describe('motion', () => {
  it('starts with the acceleration worked by hand', () => {
    const lever = 9 / 0.022;
    const torque = 0.018 * (12.24 / 0.125 - 2);
    const expected = (torque * lever * 0.87 - crate.force(0, 0)) / (20 + 6e-5 * lever * lever * 0.87);
    expect(pullAt(system(), 0, 0).acceleration).toBeCloseTo(expected, 9);
  });

  it('settles where torque meets the load', () => {
    const settled = settle(drive, 9, 0.87, crate.force(0, 0) * 0.022);
    const current = 2 + (crate.force(0, 0) * 0.022) / (9 * 0.87 * 0.018);
    expect(settled.point.motorCurrent).toBeCloseTo(current, 6);
    expect(fullEffort(system({ until: { travel: 8 } })).endSpeed).toBeCloseTo(settled.outputSpeed * 0.022, 4);
  });

  it('stalls where the load is more than it can start, and says where', () => {
    const heavy = lift({ mass: 200, slope: Math.PI / 2, friction: 0, counterforce: 0, loadPerRope: 1 });
    expect(fullEffort(system({ load: heavy }))).toMatchObject({ outcome: 'stalled', place: 0, time: 0 });
  });

  it('stalls part-way against a load that grows', () => {
    const spring = { ...crate, force: (q: number) => crate.force(q, 0) + 2000 * q };
    const run = fullEffort(system({ load: spring }));
    expect(run.outcome).toBe('stalled');
    expect(run.place).toBeGreaterThan(0.1);
    expect(run.place).toBeLessThan(1.35);
  });

  it('gives up after the time looked at', () => {
    const run = fullEffort(system({ until: { travel: 1000 } }), { longest: 5 });
    expect(run).toMatchObject({ outcome: 'time-up', time: 5 });
  });

  it('ends by time where the job does', () => {
    expect(fullEffort(system({ until: { time: 0.7 } }))).toMatchObject({ outcome: 'arrived', time: 0.7 });
  });

  it('slips at the tyres’ limit and no faster', () => {
    const base = driveBase({ mass: 20, rollingResistance: 0.02, grip: 0.3, drivenShare: 1, slope: 0 });
    const pull = pullAt(system({ load: base, radius: 0.05 }), 0, 0);
    expect(pull.slipping).toBe(true);
    expect(pull.acceleration).toBeCloseTo((0.3 - 0.02) * GRAVITY, 9);
  });

  it('lets a rope go slack where a counterweight pulls the load up', () => {
    const light = lift({ mass: 5, slope: Math.PI / 2, friction: 0, counterforce: 200, loadPerRope: 1 });
    expect(pullAt(system({ load: light }), 0, 5).acceleration).toBeCloseTo((200 - 5 * GRAVITY) / 5, 9);
  });

  it('catches the peak where one limit takes over from the other', () => {
    const limited = { ...drive, statorLimit: 60, supplyLimit: 40 };
    expect(fullEffort(system({ drive: limited })).peakSupplyCurrent).toBeCloseTo(40, 6);
  });

  it('goes at the settled speed from the start where next to nothing is moved', () => {
    const bare = { ...system(), drive: { ...drive, rotorInertia: 1e-13 } };
    const light = lift({ mass: 1e-7, slope: Math.PI / 2, friction: 200, counterforce: 0, loadPerRope: 1 });
    const settled = settle(drive, 9, 0.87, 200 * 0.022).outputSpeed * 0.022;
    const run = fullEffort({ ...bare, load: light });
    expect(run.time).toBeCloseTo(1.35 / settled, 3);
    expect(run.samples.length).toBeLessThan(100);
    const timed = fullEffort({ ...bare, load: light, until: { time: 2 } });
    expect([timed.outcome, timed.time]).toEqual(['arrived', 2]);
    expect(timed.place).toBeCloseTo(2 * settled, 3);
  });

  it('finishes along the settled speed what would crawl there in countless steps', () => {
    const slow = system({
      until: { travel: 60 },
      load: lift({ mass: 0.02, slope: Math.PI / 2, friction: 200, counterforce: 0, loadPerRope: 1 }),
      drive: { ...drive, rotorInertia: 1e-9 },
    });
    const run = fullEffort(slow, { longest: 600 });
    const settled = settle(drive, 9, 0.87, slow.load.force(0, 0) * 0.022).outputSpeed * 0.022;
    expect(run.outcome).toBe('arrived');
    expect(run.time / (60 / settled)).toBeCloseTo(1, 3);
    expect(run.samples.length).toBeLessThan(1700);
  });

  it('stops where the balance fails on the way', () => {
    const rising = {
      ...lift({ mass: 1e-7, slope: Math.PI / 2, friction: 0, counterforce: 0, loadPerRope: 1 }),
      force: (q: number) => 100 + 1000 * q,
    };
    const run = fullEffort({ ...system({ load: rising }), drive: { ...drive, rotorInertia: 1e-13 } });
    expect(run.outcome).toBe('stalled');
    expect(run.place).toBeGreaterThan(0.3);
  });

  it('warms winding and breaker', () => {
    const thermal = {
      windingCapacity: 60,
      caseCapacity: 400,
      windingToCase: 1,
      caseToAir: 2,
      windingLimit: 120,
      ambient: 25,
    };
    const run = fullEffort(system({ thermal, breaker: { holds: 52, timeConstant: 12, share: 1 } }));
    expect(run.windingTemperature).toBeGreaterThan(25 + (0.5 * run.rmsMotorCurrent ** 2 * 0.1 * run.time) / 60);
    expect(run.breakerHeat).toBeGreaterThan(0);
    expect(run.breakerHeat).toBeLessThan(0.2);
  });
});
