import { describe, expect, it } from 'vitest';
import {
  atSpeed,
  dcDriveOf,
  currentChoice,
  evaluateMechanism,
  resolvePath,
  situationOf,
  valueOf,
  workingOf,
  type DcPath,
  type Plan,
} from '../src/index.js';
import { demoPlan, mechanismOf, typed, withChange } from './demo.js';

/** Motors that only turn along, and wheels that have an inertia of their own. */

const heron = demoPlan('heron');
const drive = mechanismOf(heron, 'drive');
const at = ['mechanisms', heron.mechanisms.indexOf(drive), 'choices', drive.choices.indexOf(currentChoice(drive))];
const pathOf = (plan: Plan, job = 0) =>
  resolvePath(plan, mechanismOf(plan, 'drive'), mechanismOf(plan, 'drive').jobs[job]!.id) as DcPath;
const output = (key: string, to: unknown) => withChange(heron, [...at, 'output', key], to);

describe('motors that only turn along', () => {
  const two = output('dragged', 2);

  it('cost what their own losses take, back through the train', () => {
    const [free, dragged] = [pathOf(heron), pathOf(two)];
    const { motor, rotorInertia } = free.drive;
    const lever = free.train.total / free.radius;
    const loss = motor.torqueConstant * (motor.freeCurrent + motor.freeCurrentPerSpeed * free.asked.speed * lever);
    const more = dragged.load.force(0, 1) - free.load.force(0, 1);
    // Power lost in two motors, and what the train takes on the way to them.
    expect(more).toBeCloseTo((2 * loss * lever) / free.train.backEfficiency, 9);
    expect(dragged.load.inertia(0) - free.load.inertia(0)).toBeCloseTo(2 * rotorInertia * lever ** 2, 9);
    expect(dragged.load.holdForce(0)).toBe(free.load.holdForce(0));
  });

  it('make the sprint slower than without them, and a dead one worse than one that was taken off', () => {
    const time = (plan: Plan) => evaluateMechanism(plan, mechanismOf(plan, 'drive')).jobs[0]!.run!.time;
    expect(time(two)).toBeGreaterThan(time(heron));
    const motors = dcDriveOf(currentChoice(drive)).motors;
    const fewer = (plan: Plan) => withChange(plan, [...at, 'drive', 'motors'], motors - 1);
    expect(time(fewer(output('dragged', 1)))).toBeGreaterThan(time(fewer(heron)));
  });

  it('stand in the formula of the demand', () => {
    const path = pathOf(two);
    for (const id of ['starting', 'working'] as const)
      expect(valueOf(workingOf(path, { of: 'demand', situation: id })!)).toBeCloseTo(situationOf(path, id).demand, 6);
  });
});

describe('wheels with an inertia of their own', () => {
  const heavy = output('wheelInertia', typed(0.02));

  it('add their energy to the robot’s own', () => {
    const [light, with_] = [pathOf(heron), pathOf(heavy)];
    const v = 2;
    const own = (with_.load.inertia(0) - light.load.inertia(0)) * v ** 2;
    expect(own).toBeCloseTo(0.02 * (v / light.radius) ** 2, 9);
    expect(valueOf(workingOf(with_, { of: 'demand', situation: 'starting' })!)).toBeCloseTo(
      situationOf(with_, 'starting').demand,
      6,
    );
  });

  it('spin down longer when lifted, each motor with its share', () => {
    const [bare, wheels] = [atSpeed(pathOf(heron), 1)!.lifted, atSpeed(pathOf(heavy), 1)!.lifted];
    expect(bare.wheels).toBe(false);
    expect(wheels.wheels).toBe(true);
    const { drive: of, train } = pathOf(heavy);
    const share = 1 + 0.02 / (of.motors * train.total ** 2 * of.rotorInertia);
    expect(wheels.without / bare.without).toBeCloseTo(share, 6);
  });
});
