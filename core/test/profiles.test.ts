import { describe, expect, it } from 'vitest';
import {
  brakeAt,
  brakePoint,
  brakeToStop,
  coastToStop,
  driveBase,
  fullEffort,
  lift,
  phasesOf,
  pullAt,
  resolveDcPath,
  runBy,
  throwAt,
  stopThere,
  trapezoid,
  turntable,
  flywheel,
  leastCountedSpeed,
  leastSteadySpeed,
  creepBackSpeed,
  systemOf,
  type Drive,
  type MotionSystem,
} from '../src/index.js';
import { lowering } from '../src/models/load/lift.js';
import { plainPlan, mechanismOf, sampleDrive, typed, withChange } from './demo.js';

const braking: Drive = { ...sampleDrive, statorLimit: 60, supplyLimit: 40, brakeLimit: 60, returnLimit: 20 };

const system = (load: MotionSystem['load'], travel: number, changes: Partial<MotionSystem> = {}): MotionSystem => ({
  drive: braking,
  packResistance: 0.013,
  total: 10,
  efficiency: 0.85,
  backEfficiency: 2 - 1 / 0.85,
  radius: 0.05,
  load,
  until: { travel },
  ...changes,
});

const base = driveBase({ mass: 30, rollingResistance: 0.02, grip: 1, drivenShare: 1, slope: 0 });

/** The same motion in plain small steps, braking from a place on: where it stands, and when. */
function plainly(moving: MotionSystem, brakesAt: number, step = 2e-5): { place: number; time: number } {
  let [q, v, t] = [0, 0, 0];
  while (t < 20) {
    const { acceleration } = q < brakesAt ? pullAt(moving, q, v) : brakeAt(moving, q, v);
    q += v * step + (acceleration * step * step) / 2;
    v += acceleration * step;
    t += step;
    if (q >= brakesAt && v <= 0) break;
  }
  return { place: q, time: t };
}

describe('full effort and stop there', () => {
  it.each([
    ['a drive base', base, 3],
    ['a turntable', turntable({ inertia: 0.3, frictionTorque: 0.2 }), 3],
    ['a lift', lift({ mass: 15, slope: Math.PI / 2, friction: 5, counterforce: 0, loadPerRope: 1 }), 1.2],
  ] as const)('%s stands at the end, where plain small steps stand too', (name, load, travel) => {
    const moving = system(load, travel, name === 'a turntable' ? { radius: 1, total: 60 } : {});
    const run = stopThere(moving);
    expect(run.outcome).toBe('arrived');
    expect(run.place / travel).toBeCloseTo(1, 3);
    expect(run.endSpeed).toBeLessThan(1e-6);
    const plain = plainly(moving, run.brakesAt!);
    expect(plain.place).toBeCloseTo(run.place, 2);
    expect(plain.time).toBeCloseTo(run.time, 2);
  });

  it('is slower than arriving on the move, and later with weaker brakes', () => {
    const arriving = fullEffort(system(base, 3)).time;
    const stopping = stopThere(system(base, 3)).time;
    const gently = stopThere(system(base, 3, { drive: { ...braking, brakeLimit: 25 } })).time;
    expect(stopping).toBeGreaterThan(arriving);
    expect(gently).toBeGreaterThan(stopping);
  });

  it('lets a load down no faster than its brakes can hold, and stands at the end', () => {
    const down = lowering({ mass: 20, slope: Math.PI / 2, friction: 12, counterforce: 0, loadPerRope: 1 });
    const run = stopThere(system(down, 1.35, { drive: { ...braking, returnLimit: 5 }, radius: 0.022, total: 9 }));
    expect(run.outcome).toBe('arrived');
    expect(run.place).toBeCloseTo(1.35, 3);
    expect(run.peakReturned).toBeLessThan(5.01);
    const faster = stopThere(system(down, 1.35, { radius: 0.022, total: 9 }));
    expect(faster.time).toBeLessThan(run.time);
  });

  it('says so where the brakes cannot hold what pushes', () => {
    const heavy = lowering({ mass: 4000, slope: Math.PI / 2, friction: 1, counterforce: 0, loadPerRope: 1 });
    expect(stopThere(system(heavy, 1)).outcome).toBe('cannot-stop');
  });

  it('of half the step moves nothing by 0.1 %', () => {
    const coarse = stopThere(system(base, 3));
    const fine = stopThere(system(base, 3), { tolerance: 1e-7, fewestSteps: 240 });
    expect(Math.abs(coarse.time / fine.time - 1)).toBeLessThan(1e-3);
    expect(Math.abs(coarse.packEnergy / fine.packEnergy - 1)).toBeLessThan(1e-3);
  });
});

describe('a ramp', () => {
  it('holds the start back by about half of itself, and never counts as a stall', () => {
    const at = (rampTime: number) => fullEffort(system(base, 3, { rampTime }));
    const [plain, ramped] = [at(0), at(0.4)];
    expect(ramped.outcome).toBe('arrived');
    expect(ramped.time - plain.time).toBeGreaterThan(0.1);
    expect(ramped.time - plain.time).toBeLessThan(0.4);
    expect(ramped.peakMotorCurrent).toBeLessThanOrEqual(plain.peakMotorCurrent + 1e-9);
  });

  it('that ends under a load that is too heavy is a stall', () => {
    const heavy = lift({ mass: 400, slope: Math.PI / 2, friction: 0, counterforce: 0, loadPerRope: 1 });
    expect(fullEffort(system(heavy, 1, { rampTime: 0.3 })).outcome).toBe('stalled');
  });
});

describe('a trapezoid', () => {
  it('has its phases by hand', () => {
    expect(phasesOf({ speed: 1, acceleration: 2 }, 3)).toEqual({ top: 1, slope: 0.5, middle: 2.5, total: 3.5 });
    const short = phasesOf({ speed: 10, acceleration: 2 }, 0.5);
    expect(short).toMatchObject({ top: 1, middle: 0, total: 1 });
  });

  it('is followed where the torque is there, and says where it falls behind', () => {
    const easy = trapezoid(system(base, 3), { speed: 1, acceleration: 1 });
    expect(easy.follows!.multiple).toBeGreaterThan(1);
    expect(easy.follows!.behindAt).toBeUndefined();
    expect(easy.place).toBeCloseTo(3, 9);
    const hard = trapezoid(system(base, 3), { speed: 8, acceleration: 20 });
    expect(hard.follows!.multiple).toBeLessThan(1);
    expect(hard.follows!.behindAt!.place).toBeLessThan(3);
  });

  it('takes at its worst what the motion equation says', () => {
    const run = trapezoid(system(base, 3), { speed: 1, acceleration: 1 });
    const lever = 10 / 0.05;
    const mesh = 30 * 1 + base.force(0, 0);
    const torque = mesh / 0.85 / lever + braking.rotorInertia * lever;
    expect(run.peakMotorCurrent).toBeCloseTo(torque / 0.018 + 2, 6);
  });

  it('takes as long as the drive needs where it cannot follow', () => {
    const plan = plainPlan('heron');
    const hurried = withChange(
      withChange(plan, ['mechanisms', 1, 'jobs', 0, 'profile'], 'trapezoid'),
      ['mechanisms', 1, 'jobs', 0, 'time'],
      typed(0.5),
    );
    const path = resolveDcPath(hurried, mechanismOf(hurried, 'lift'), 'raise');
    const run = runBy(path);
    expect(run.follows!.behindAt).toBeDefined();
    expect(run.time).toBeCloseTo(stopThere(systemOf(path)).time, 9);
  });
});

describe('braking', () => {
  it('is full when slow and fades when fast, where a return limit holds', () => {
    const slow = brakePoint(braking, 100);
    const fast = brakePoint({ ...braking, returnLimit: 12 }, 500);
    expect(slow).toMatchObject({ motorCurrent: 60, heldBy: 'stator' });
    expect(fast.heldBy).toBe('returned');
    expect(fast.returnedCurrent).toBeCloseTo(12, 9);
    expect(fast.shaftTorque).toBeLessThan(slow.shaftTorque);
    const open = brakePoint({ ...braking, returnLimit: 40 }, 500);
    expect(open.shaftTorque).toBeGreaterThan(fast.shaftTorque);
  });

  it('without a motor-side limit shorts the motor: nothing returns, and at rest nothing brakes', () => {
    const shorted = brakePoint(sampleDrive, 200);
    expect(shorted.motorCurrent).toBeCloseTo((0.019 * 200) / 0.105, 9);
    expect(shorted.returnedCurrent).toBeCloseTo(0, 9);
    expect(brakePoint(sampleDrive, 0).motorCurrent).toBe(0);
  });

  it('takes from the pack no more than the pack-side limit when it reverses', () => {
    const point = brakePoint({ ...braking, brakeLimit: 500, supplyLimit: 10 }, 50);
    expect(point.heldBy).toBe('supply');
    expect(point.returnedCurrent).toBeCloseTo(-10, 9);
  });

  it('stops in less distance with more grip, and slips beyond it', () => {
    const wet = driveBase({ mass: 30, rollingResistance: 0.02, grip: 0.2, drivenShare: 1, slope: 0 });
    const [dry, slippery] = [brakeToStop(system(base, 9), 2), brakeToStop(system(wet, 9), 2)];
    expect(dry.stops && slippery.stops).toBe(true);
    expect(slippery.distance).toBeGreaterThan(dry.distance);
    expect(slippery.slipped).toBe(true);
    expect(slippery.distance).toBeCloseTo(4 / (2 * 9.80665 * 0.22), 3);
  });
});

describe('coasting', () => {
  it('rolls farther with a drag offset, and creeps on above the free current', () => {
    const at = (offset: number) => coastToStop(system(base, 9), 1, offset);
    expect(at(1).distance).toBeGreaterThan(at(0).distance);
    const smooth = driveBase({ mass: 30, rollingResistance: 0, grip: 1, drivenShare: 1, slope: 0 });
    expect(coastToStop(system(smooth, 9), 1, 1.5).stops).toBe(true);
    expect(coastToStop(system(smooth, 9), 1, 2.1).stops).toBe(false);
  });
});

describe('slow speeds', () => {
  it('a brushed motor creeps down to where friction’s scatter, or a step of duty, stalls it', () => {
    expect(leastSteadySpeed(sampleDrive, 1e-6, 0)).toBeCloseTo((0.3 * 2 * 0.105) / 0.019, 9);
    expect(leastSteadySpeed(sampleDrive, 0.02, 0)).toBeCloseTo((0.02 * 12.24) / 0.019, 9);
  });

  it('a detent stalls with all of itself, and a loop knows no less than a count a period', () => {
    const kt = sampleDrive.motor.torqueConstant;
    expect(leastSteadySpeed(sampleDrive, 1e-6, 0.5 * kt)).toBeCloseTo(((0.3 * 2 + 0.5) * 0.105) / 0.019, 9);
    expect(leastCountedSpeed(4096)).toBeCloseTo((2 * Math.PI) / 4096 / 0.02, 12);
  });

  it('a loaded motor shorted creeps back at T·R/(Kt·Ke)', () => {
    expect(creepBackSpeed(sampleDrive, 0.1)).toBeCloseTo((0.1 * 0.105) / (0.018 * 0.019), 9);
  });
});

describe('a shot', () => {
  const figures = { pieceMass: 0.2, wheelRadius: 0.05, speedShare: 0.5, slip: 0.9, ballInertiaFactor: 0.4 };
  const wheels = (inertia: number) =>
    system(flywheel({ inertia, frictionTorque: 0.02, airDrag: 1e-7 }), 1, {
      radius: 1,
      total: 1.2,
      until: { speed: 400 },
    });

  it('slows the wheels by its momentum, and more inertia drops less', () => {
    const shot = throwAt(wheels(0.004), figures, 400);
    const turning = 0.004 + 6e-5 * 1.44;
    expect(shot.speedAfter).toBeCloseTo(400 - (0.7 * 0.05 * 0.2 * 9) / turning, 6);
    expect(shot.energy).toBeCloseTo(8.1, 9);
    expect(throwAt(wheels(0.02), figures, 400).drop).toBeLessThan(shot.drop);
  });

  it('never recovers where the wheel cannot reach the speed', () => {
    expect(throwAt(wheels(0.004), figures, 4000).recovery).toBe(Infinity);
  });
});
