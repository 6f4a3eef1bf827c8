import { describe, expect, it } from 'vitest';
import {
  bindOf,
  brakePoint,
  brakeReachOf,
  enduranceOf,
  evaluateMechanism,
  motorSpeed,
  resolveDcPath,
  runBy,
  type Plan,
} from '../src/index.js';
import { plainPlan, mechanismOf, nansIn, typed, withChange } from './demo.js';

const heron = plainPlan('heron');
const pathOf = (plan: Plan, id: string) =>
  resolveDcPath(plan, mechanismOf(plan, id), mechanismOf(plan, id).jobs[0]!.id);

describe('the brake chart', () => {
  const brake = brakeReachOf(pathOf(heron, 'lift'))!;

  it('has the two limits, full when slow and fading when fast', () => {
    expect(nansIn(brake)).toEqual([]);
    expect(new Set(brake.points.map(({ heldBy }) => heldBy))).toEqual(new Set(['stator', 'returned']));
    expect(brake.points[0]!.force).toBeGreaterThan(brake.points.at(-1)!.force);
  });

  it('shows what a pack that takes twice as much would give', () => {
    const gained = brake.open!.filter((point, i) => point.force > brake.points[i]!.force + 1e-9);
    expect(gained.length).toBeGreaterThan(5);
    expect(brake.open!.every((point, i) => point.force >= brake.points[i]!.force - 1e-9)).toBe(true);
  });

  it('is the brake point on the output, the losses helping', () => {
    const path = pathOf(heron, 'lift');
    const { speed, force } = brake.points[20]!;
    const point = brakePoint(path.drive, motorSpeed(path, speed));
    expect(force).toBeCloseTo((point.shaftTorque * path.train.total) / path.radius / path.train.backEfficiency, 9);
  });

  it('is not there without a figure it needs', () => {
    expect(brakeReachOf(pathOf(heron, 'hoist'))).toBeUndefined();
  });
});

describe('endurance', () => {
  it('says how long a stall and a hold may last', () => {
    const path = pathOf(heron, 'climb');
    const found = enduranceOf(path, runBy(path))!;
    expect(found.stalled).toBeGreaterThan(5);
    expect(found.stalled).toBeLessThan(60);
    // What it carries for ever it holds for over an hour.
    expect(found.holding).toBeNull();
    const heavier = withChange(heron, ['mechanisms', 2, 'jobs', 0, 'mass'], typed(90));
    const loaded = pathOf(heavier, 'climb');
    const hot = enduranceOf(loaded, runBy(loaded))!;
    expect(hot.holding!).toBeGreaterThan(hot.stalled!);
    const held = pathOf(heron, 'lift');
    expect(enduranceOf(held, runBy(held))!.holding).toBeUndefined();
    expect(enduranceOf(held, undefined)).toBeUndefined();
  });
});

describe('a bind', () => {
  it('rolled back pushes less, draws less and lasts longer than plain effort', () => {
    const { effort, lock } = bindOf(pathOf(heron, 'lift'));
    expect(lock.force).toBeLessThan(effort.force);
    expect(lock.current).toBeLessThan(effort.current);
    expect(lock.lasts ?? Infinity).toBeGreaterThan(effort.lasts ?? Infinity);
  });

  it('breaks the rope where the motor is the stronger', () => {
    const weak = withChange(heron, ['mechanisms', 1, 'choices', 0, 'output', 'ropeStrength'], typed(1000));
    const { effort, lock, weakest } = bindOf(pathOf(weak, 'lift'));
    expect(weakest).toMatchObject({ name: 'rope', force: 200 });
    expect(effort.breaks).toBe(true);
    expect(lock.breaks).toBe(false);
  });
});

describe('the demo', () => {
  it('has its motor mechanisms saying different things', () => {
    const said = Object.fromEntries(
      heron.mechanisms.map((mechanism) => [mechanism.id, evaluateMechanism(heron, mechanism).headline]),
    );
    expect(said['drive']!.verdict).toBe('enough');
    expect(said['lift']!.verdict).toBe('tight');
    expect(said['climb']!.verdict).toBe('gives way');
    expect(said['hoist']!.verdict).toBe('not known');
    expect(new Set(Object.values(said).map(({ name }) => name)).size).toBeGreaterThan(4);
  });
});
