import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  arm,
  carriage,
  evaluateMechanism,
  flywheel,
  grip,
  gripForceFor,
  GRAVITY,
  layersOnDrum,
  lift,
  MECHANISM_JOBS,
  resolveDcPath,
  roller,
  throwImpulse,
  spoolRadius,
  turntable,
  wheelSpeedFor,
  exitSpeed,
  worstHoldingPlace,
  worstWorkingPlace,
  jobKindOf,
} from '../src/index.js';
import { lowering } from '../src/models/load/lift.js';
import { nansIn, typed, withChange } from './demo.js';
import { allKindsPlan, MECHANISM_KINDS } from './kinds.js';

const kinds = allKindsPlan();
const resultOf = (kind: string) =>
  evaluateMechanism(
    kinds,
    kinds.mechanisms.find((one) => one.kind === kind)!,
  );

describe('a mechanism of every kind', () => {
  it.each(MECHANISM_KINDS)('%s is proposed, answers at once and arrives', (kind) => {
    const result = resultOf(kind);
    expect(nansIn(result)).toEqual([]);
    expect(result.jobs.map((job) => job.kind)).toEqual(
      kind === 'drive-base' ? ['sprint', 'push'] : [...MECHANISM_JOBS[kind].jobs],
    );
    const [job] = result.jobs;
    expect(job!.run?.outcome).toBe('arrived');
    expect(job!.checks.find(({ id }) => id === 'in-time')).toMatchObject({ verdict: 'enough' });
    expect(job!.ladders.working.first?.multiple).toBeGreaterThan(1);
    expect(result.headline.verdict).not.toBe('not known');
  });

  it.each(['lift', 'arm', 'climb'] as const)('%s asks what keeps it up, and gives way until something does', (kind) => {
    const check = resultOf(kind).jobs[0]!.checks.find(({ id }) => id === 'stays-up')!;
    expect(check).toMatchObject({ verdict: 'gives way', there: 'nothing' });
  });

  it.each(['thrower', 'roller', 'turntable', 'grip'] as const)('%s has nothing that falls', (kind) => {
    expect(resultOf(kind).jobs[0]!.checks.some(({ id }) => id === 'stays-up')).toBe(false);
  });

  it('a carriage asks it only on a slope', () => {
    const at = kinds.mechanisms.findIndex(({ kind }) => kind === 'carriage');
    const steep = withChange(kinds, ['mechanisms', at, 'jobs', 0, 'slope'], typed(0.5));
    const checks = (plan: typeof kinds) => evaluateMechanism(plan, plan.mechanisms[at]!).jobs[0]!.checks;
    expect(checks(kinds).some(({ id }) => id === 'stays-up')).toBe(false);
    expect(checks(steep).some(({ id }) => id === 'stays-up')).toBe(true);
  });

  it.each(MECHANISM_KINDS)('%s is pulled harder, slower and hotter by more load', (kind) => {
    const index = kinds.mechanisms.findIndex((one) => one.kind === kind);
    const [job] = kinds.mechanisms[index]!.jobs;
    const path = resolveDcPath(kinds, kinds.mechanisms[index]!, job!.id);
    // A piece costs a thrower speed at each throw; what its start has to move is the wheel.
    const key = kind === 'thrower' ? 'output.flywheelInertia' : jobKindOf(job!.kind).heavy;
    const figure = path.figures[key]!;
    const heavier = applyChanges(kinds, [{ at: figure.at, to: typed(figure.value! * 1.4) }]);
    const before = evaluateMechanism(kinds, kinds.mechanisms[index]!).jobs[0]!;
    const after = evaluateMechanism(heavier, heavier.mechanisms[index]!).jobs[0]!;
    expect(after.ladders.starting.demand!).toBeGreaterThan(before.ladders.starting.demand!);
    expect(after.run!.time).toBeGreaterThan(before.run!.time);
  });
});

describe('an arm', () => {
  const figures = {
    mass: 3,
    centreOfMass: 0.4,
    inertiaAboutCentre: 0.05,
    frictionTorque: 0.5,
    springRate: 2,
    springZero: 1.5,
    fromAngle: -0.7,
    toAngle: 1.2,
  };

  it('by hand: the weight on its lever, less the spring, and friction', () => {
    const load = arm(figures);
    const level = 3 * GRAVITY * 0.4 - 2 * 1.5;
    expect(load.force(0.7, 0)).toBeCloseTo(level + 0.5, 9);
    expect(load.holdForce(0.7)).toBeCloseTo(level, 9);
    expect(load.inertia(0)).toBeCloseTo(0.05 + 3 * 0.16, 12);
  });

  it('swung down is the same arm the other way', () => {
    const down = arm({ ...figures, fromAngle: 1.2, toAngle: -0.7 });
    expect(down.force(1.9 - 0.7, 0)).toBeCloseTo(-(arm(figures).force(0.7, 0) - 0.5) + 0.5, 9);
  });

  it('names the angle at which it pulls most, between the places looked at', () => {
    const load = arm({ ...figures, springRate: 0 });
    expect(load.places!.some((place) => Math.abs(place - 0.7) < 1e-9)).toBe(true);
    const sprung = arm(figures);
    const most = Math.max(...sprung.places!.filter((q) => q > 0 && q < 1.9).map((q) => sprung.force(q, 0)));
    for (let q = 0; q <= 1.9; q += 0.001) expect(sprung.force(q, 0)).toBeLessThanOrEqual(most + 1e-9);
  });

  it('held at an angle is judged there, else at its worst', () => {
    const index = kinds.mechanisms.findIndex(({ kind }) => kind === 'arm');
    const held = withChange(kinds, ['mechanisms', index, 'jobs', 0, 'holdAngle'], typed(1.2));
    const path = (plan: typeof kinds) => resolveDcPath(plan, plan.mechanisms[index]!, 'swing');
    expect(worstHoldingPlace(path(held))).toBeCloseTo(1.2 + Math.PI / 6, 9);
    expect(worstHoldingPlace(path(kinds))).toBeCloseTo(Math.PI / 6, 9);
    expect(worstWorkingPlace(path(kinds))).toBeCloseTo(Math.PI / 6, 9);
  });

  it('carries its payload at its tip', () => {
    const loaded = arm({ ...figures, springRate: 0, payload: 2, length: 0.9 });
    expect(loaded.holdForce(0.7)).toBeCloseTo(GRAVITY * (3 * 0.4 + 2 * 0.9), 9);
    expect(loaded.inertia(0)).toBeCloseTo(0.53 + 2 * 0.81, 12);
  });
});

describe('the other loads', () => {
  it('a load let down pulls forwards, and holding it takes the same', () => {
    const figures = { mass: 10, slope: Math.PI / 2, friction: 6, counterforce: 20, loadPerRope: 2 };
    const weight = 10 * GRAVITY;
    expect(lowering(figures).force(0, 0)).toBeCloseTo(2 * (6 - (weight - 20)), 9);
    expect(lowering(figures).holdForce(0)).toBeCloseTo(lift(figures).holdForce(0), 12);
    expect(lowering(figures).inertia(0)).toBe(40);
  });

  it('a flywheel: friction at rest, air with the square of its speed', () => {
    const load = flywheel({ inertia: 0.004, frictionTorque: 0.02, airDrag: 1e-6 });
    expect(load.force(0, 0)).toBe(0.02);
    expect(load.force(0, 300)).toBeCloseTo(0.02 + 0.09, 12);
    expect(load.holdForce(0)).toBe(0);
  });

  it('a shot: speed, and what it takes from the wheels', () => {
    const hooded = { pieceMass: 0.2, wheelRadius: 0.05, speedShare: 0.5, slip: 0.9, ballInertiaFactor: 0.4 };
    expect(exitSpeed(hooded, 400)).toBeCloseTo(9, 12);
    expect(wheelSpeedFor(hooded, 9)).toBeCloseTo(400, 9);
    expect(throwImpulse(hooded, 9)).toBeCloseTo(0.7 * 0.05 * 0.2 * 9, 12);
    expect(throwImpulse({ ...hooded, speedShare: 1 }, 9)).toBeCloseTo(0.05 * 0.2 * 9, 12);
  });

  it('rollers, turntables, carriages and grips', () => {
    expect(roller({ mass: 2, pull: 10, slope: 0.3 }).force(0, 1)).toBeCloseTo(10 + 2 * GRAVITY * Math.sin(0.3), 9);
    expect(turntable({ inertia: 0.2, frictionTorque: 0.1 }).force(0, 0)).toBe(0.1);
    expect(carriage({ mass: 2, push: 5, friction: 1, slope: 0 }).force(0, 0)).toBe(6);
    expect(carriage({ mass: 2, push: 5, friction: 1, slope: 0 }).holdForce(0)).toBe(5);
    const force = gripForceFor(1.5, 5, 2, 0.6);
    expect(force).toBeCloseTo((1.5 * (GRAVITY + 5) * 2) / 1.2, 12);
    expect(grip({ gripForce: force, fingerLength: 0.1, inertia: 1e-4 }).force(0, 0)).toBeCloseTo(force / 10, 12);
  });

  it('a drum that fills: each layer a rope higher', () => {
    // 10 turns a layer at 2π·(20 + 2) mm: 1.382 m of rope.
    expect(layersOnDrum(0.02, 0.004, 0.04, 1.38)).toBe(1);
    expect(layersOnDrum(0.02, 0.004, 0.04, 1.39)).toBe(2);
    expect(spoolRadius(0.02, 0.004, 0.04, 1.39)).toBeCloseTo(0.026, 12);
    expect(spoolRadius(0.02, 0, 0.04, 9)).toBe(0.02);
  });
});
