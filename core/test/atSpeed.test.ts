import { describe, expect, it } from 'vitest';
import { atSpeed, brakeReachOf, reachOf, resolvePath, spinDown, type DcPath, type Plan } from '../src/index.js';
import { demoPlan, mechanismOf, typed, withChange } from './demo.js';

/** What flows at one speed, driving and braking, against the sums written out here. */

const heron = demoPlan('heron');
const pathOf = (plan: Plan, id = 'drive'): DcPath =>
  resolvePath(plan, mechanismOf(plan, id), mechanismOf(plan, id).jobs[0]!.id) as DcPath;
const set = (of: Record<string, unknown>, id = 'drive'): Plan =>
  Object.entries(of).reduce(
    (plan, [key, to]) =>
      withChange(
        plan,
        ['mechanisms', heron.mechanisms.indexOf(mechanismOf(heron, id)), 'choices', 0, 'drive', key],
        to,
      ),
    heron,
  );

describe('at one speed', () => {
  const path = pathOf(
    set({ brakeLimit: typed(60), returnLimit: typed(6), statorLimit: typed(60), supplyLimit: typed(40) }),
  );
  const { drive } = path;
  const loop = drive.motor.resistance + drive.controllerResistance;

  it('full braking returns what its limit allows, and twice the limit brakes more', () => {
    const { braking } = atSpeed(path, 3.2)!;
    const emf = drive.motor.backEmfConstant * ((3.2 * path.train.total) / path.radius);
    // By the energy: what comes back is what the motor makes, less what its loop takes.
    const back = (braking.motorCurrent * (emf - braking.motorCurrent * loop)) / drive.restVoltage;
    expect(braking.packCurrent).toBeCloseTo(-drive.motors * back, 9);
    expect(braking.heldBy).toBe('returned');
    expect(-braking.packCurrent).toBeCloseTo(drive.motors * 6, 6);
    expect(braking.doubled!.packCurrent).toBeCloseTo(-drive.motors * 12, 6);
    expect(braking.doubled!.force).toBeGreaterThan(braking.force);
  });

  it('agrees with the charts of reach and braking, and never pulls more than the tyres carry', () => {
    for (const speed of [0, 0.4, 1, 1.8, 2.6]) {
      const { driving, braking } = atSpeed(path, speed)!;
      const near = (points: readonly { speed: number; force: number }[]) => {
        const i = points.findIndex((point) => point.speed > speed);
        const [a, b] = [points[i - 1]!, points[i]!];
        return a.force + ((b.force - a.force) * (speed - a.speed)) / (b.speed - a.speed);
      };
      expect(driving.force / near(reachOf(path)!.points)).toBeCloseTo(1, 1);
      expect(braking.force / near(brakeReachOf(path)!.points)).toBeCloseTo(1, 1);
      expect(driving.force).toBeLessThanOrEqual(path.load.traction!);
      expect(driving.slips).toBe(driving.force === path.load.traction);
    }
  });

  it('says nothing where a figure is missing', () => {
    expect(atSpeed(pathOf(heron, 'hoist'), 0.1)).toBeUndefined();
  });
});

describe('spinning down', () => {
  const { motor, rotorInertia } = pathOf(heron).drive;

  it('takes as long as small steps say, with drag that grows with speed and without', () => {
    for (const freeCurrentPerSpeed of [0, 0.004]) {
      const dragging = { ...motor, freeCurrentPerSpeed };
      let [omega, time] = [500, 0];
      for (; omega > 0; time += 1e-4)
        omega -= (1e-4 * motor.torqueConstant * (motor.freeCurrent - 0.5 + freeCurrentPerSpeed * omega)) / rotorInertia;
      expect(spinDown(dragging, rotorInertia, 500, 0.5)).toBeCloseTo(time, 2);
    }
  });

  it('goes on where the offset takes all of the drag', () => {
    expect(spinDown(motor, rotorInertia, 500, motor.freeCurrent)).toBe(Infinity);
    const { lifted } = atSpeed(pathOf(set({ dragOffset: typed(motor.freeCurrent / 2) })), 1)!;
    expect(lifted.seconds).toBeCloseTo(2 * lifted.without, 9);
  });
});
