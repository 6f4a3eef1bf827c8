import { describe, expect, it } from 'vitest';
import { evaluateMechanism, leastOutputSpeedOf, resolveDcPath, type Check, type Plan } from '../src/index.js';
import { plainPlan, mechanismOf, typed, withChange, said } from './demo.js';

/** The hoist: an outrunner of 7 pole pairs, its resistance filled in. */
const hoist = withChange(plainPlan('heron'), ['parts', 'motor-2', 'part', 'data', 'resistance'], typed(0.042));
const at = (...keys: (string | number)[]) => ['mechanisms', 3, ...keys];
const started = (style: string, plan: Plan = hoist): Plan =>
  withChange(
    withChange(plan, ['parts', 'controller-2', 'part', 'startStyle'], style),
    ['parts', 'motor-2', 'part', 'sensors'],
    style === 'sensors',
  );

function check(plan: Plan, id: string): Check | undefined {
  return evaluateMechanism(plan, mechanismOf(plan, 'hoist')).jobs[0]!.checks.find((one) => one.id === id);
}

describe('creeping', () => {
  const creeping = (style: string, speed: number) =>
    check(withChange(started(style), at('jobs', 0, 'creep'), typed(speed)), 'creep')!;

  it('goes down to the least electrical speed over pole pairs and reduction', () => {
    const path = resolveDcPath(started('forced'), mechanismOf(hoist, 'hoist'), 'raise');
    const rpm = 300 / 7;
    expect(leastOutputSpeedOf(path)).toBeCloseTo((rpm * (Math.PI / 30) * path.radius) / path.train.total, 9);
  });

  it('is slower when stepped than when bumped, and slowest with sensors, which are not nothing', () => {
    expect(creeping('forced', 0.02).multiple!).toBeCloseTo(creeping('bump', 0.02).multiple! * (2000 / 300), 6);
    const sensed = creeping('sensors', 0.02);
    expect(sensed.multiple!).toBeGreaterThan(creeping('forced', 0.02).multiple!);
    // Friction's scatter and detent: (0.3·I0 + Td/Kt)·R'/Ke, or one step of duty.
    const plan = withChange(started('sensors'), at('jobs', 0, 'creep'), typed(0.02));
    const path = resolveDcPath(plan, mechanismOf(plan, 'hoist'), 'raise');
    const { motor, controllerResistance, restVoltage } = path.drive;
    const stuck = 0.3 * motor.freeCurrent + path.motor.detent / motor.torqueConstant;
    const slowest =
      Math.max(stuck * (motor.resistance + controllerResistance), 0.005 * restVoltage) / motor.backEmfConstant;
    expect(sensed.multiple!).toBeCloseTo(0.02 / ((slowest * path.radius) / path.train.total), 9);
    expect(path.motor.detent).toBeCloseTo(0.05 * motor.torqueConstant * path.motor.continuousCurrent, 9);
  });

  it('says why it cannot', () => {
    expect(creeping('bump', 0.001)).toMatchObject({ verdict: 'gives way' });
    expect(said(creeping('bump', 0.001).sentence)).toContain('loses step');
    expect(said(creeping('forced', 0.0001).sentence)).toContain('surges to catch up');
  });

  it('counts the gear inside a hub motor as pole pairs', () => {
    const hub = withChange(started('bump'), ['parts', 'motor-2', 'part', 'internalGear'], typed(5));
    const speed = (plan: Plan) => leastOutputSpeedOf(resolveDcPath(plan, mechanismOf(plan, 'hoist'), 'raise'));
    expect(speed(hub)).toBeCloseTo(speed(started('bump')) / 5, 12);
  });

  it('is not asked where nobody asks for it', () => {
    expect(check(hoist, 'creep')).toBeUndefined();
  });

  it('with sensors on one side only is blind', () => {
    const motorOnly = withChange(started('bump'), ['parts', 'motor-2', 'part', 'sensors'], true);
    const controllerOnly = withChange(started('sensors'), ['parts', 'motor-2', 'part', 'sensors'], false);
    const slowest = (plan: Plan) => leastOutputSpeedOf(resolveDcPath(plan, mechanismOf(plan, 'hoist'), 'raise'));
    // It does not creep at 0 m/s where another check says that it has none.
    expect(slowest(controllerOnly)).toBeCloseTo(slowest(started('bump')), 12);
    expect(slowest(started('sensors'))).toBeLessThan(slowest(controllerOnly));
    for (const plan of [motorOnly, controllerOnly]) expect(check(plan, 'starts-loaded')).toBeDefined();
    expect(check(started('sensors'), 'starts-loaded')).toBeUndefined();
  });
});

describe('starting under load', () => {
  it('by hand: what is left of the torque, over 0.3 s, against the turning needed', () => {
    const plan = started('bump');
    const path = resolveDcPath(plan, mechanismOf(plan, 'hoist'), 'raise');
    const { drive, train, radius, load, motor } = path;
    const lever = train.total / radius;
    const current = 70;
    const spare =
      drive.motor.torqueConstant * (0.3 * current - drive.motor.freeCurrent) -
      load.force(0, 0) / (lever * train.efficiency) -
      motor.detent;
    expect(motor.detent).toBeGreaterThan(0);
    const inertia = drive.rotorInertia + load.inertia(0) / (lever ** 2 * train.efficiency);
    const wanted = (2000 * (Math.PI / 30)) / motor.polePairs!;
    expect(check(plan, 'starts-loaded')!.multiple).toBeCloseTo((spare * 0.3) / (inertia * wanted), 6);
  });

  it('jerks and does not start under what the share of its torque cannot carry', () => {
    const heavy = withChange(started('bump'), at('jobs', 0, 'mass'), typed(80));
    expect(check(heavy, 'starts-loaded')).toMatchObject({
      verdict: 'gives way',
      multiple: undefined,
      there: 'no torque to spare',
    });
  });

  it('is better when stepped: half of the torque is there', () => {
    expect(check(started('forced'), 'starts-loaded')!.multiple!).toBeGreaterThan(
      check(started('bump'), 'starts-loaded')!.multiple!,
    );
  });
});

describe('holding still', () => {
  const open = withChange(started('bump'), at('choices', 0, 'output', 'holder'), 'nothing');

  it('without sensors gives way, with them not', () => {
    expect(check(open, 'holds-still')).toMatchObject({ verdict: 'gives way', there: 'loses step at rest' });
    expect(check(started('sensors', open), 'holds-still')).toBeUndefined();
  });

  it('is no question behind a brake, and none behind a worm that stays', () => {
    expect(check(started('bump'), 'holds-still')).toBeUndefined();
    const worm = { id: 's2', kind: 'worm', starts: 1, teeth: 30, leadAngle: typed(0.05), friction: typed(0.2) };
    const stays = withChange(open, at('choices', 0, 'stages', 1), worm);
    expect(check(stays, 'holds-still')).toMatchObject({ verdict: 'enough', there: 'a stage stays' });
  });
});
