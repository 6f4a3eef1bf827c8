import { describe, expect, it } from 'vitest';
import {
  bandOf,
  correlation,
  evaluateMechanism,
  randomFrom,
  resolvePath,
  resolveDcPath,
  type AnyPath,
  type DcPath,
  spreadAmounts,
  spreadBuilds,
  TYPICAL_SPREAD,
  type Plan,
  type Spread,
} from '../src/index.js';
import { adjustFor } from '../src/judge/spread/factors.js';
import { plainPlan, mechanismOf, nansIn, typed, withChange } from './demo.js';

const heron = plainPlan('heron');

function spreadOf(plan: Plan, id: string, count = 150, seed = 1): Spread {
  const builds = spreadBuilds(plan, id, mechanismOf(plan, id).jobs[0]!.id, { count, seed });
  for (;;) {
    const next = builds.next();
    if (next.done) return next.value;
  }
}

const none = { constants: 0, friction: 0, mass: 0, charge: 0, efficiency: 0 };

describe('seeded numbers', () => {
  it('are the same for a seed, different for another, and spread evenly over 0…1', () => {
    const draw = (seed: number) => Array.from({ length: 2000 }, randomFrom(seed));
    expect(draw(7)).toEqual(draw(7));
    expect(draw(7)).not.toEqual(draw(8));
    const mean = draw(7).reduce((sum, value) => sum + value, 0) / 2000;
    expect(mean).toBeCloseTo(0.5, 1);
    expect(Math.min(...draw(7))).toBeLessThan(0.01);
    expect(Math.max(...draw(7))).toBeGreaterThan(0.99);
  });
});

describe('bands and correlation', () => {
  it('by hand', () => {
    const values = Array.from({ length: 101 }, (_, i) => i);
    expect(bandOf(values)).toEqual({ low: 5, middle: 50, high: 95 });
    expect(bandOf([3])).toEqual({ low: 3, middle: 3, high: 3 });
    expect(correlation([1, 2, 3], [2, 4, 6])).toBeCloseTo(1, 12);
    expect(correlation([1, 2, 3], [3, 2, 1])).toBeCloseTo(-1, 12);
    expect(correlation([1, 2, 3], [5, 5, 5])).toBe(0);
  });
});

function dcOf(path: AnyPath): DcPath {
  if (path.machine !== 'dc') throw new Error('not a plain motor');
  return path;
}

describe('a build', () => {
  const lift = mechanismOf(heron, 'lift');
  const built = (build: Partial<typeof none>) =>
    dcOf(resolvePath(heron, lift, 'raise', adjustFor({ ...none, ...build }, TYPICAL_SPREAD, 3)));
  const middle = resolveDcPath(heron, lift, 'raise');

  it('moves torque and back-EMF constant together', () => {
    const strong = built({ constants: 1 }).drive.motor;
    const { torqueConstant, backEmfConstant } = middle.drive.motor;
    expect(strong.torqueConstant / torqueConstant).toBeCloseTo(1.07, 6);
    expect(strong.backEmfConstant / backEmfConstant).toBeCloseTo(1.07, 2);
  });

  it('moves friction, mass, charge and losses, each by its amount', () => {
    expect(built({ friction: 1 }).drive.motor.freeCurrent).toBeCloseTo(2.2 * 1.3, 9);
    expect(built({ mass: -1 }).load.inertia(0)).toBeCloseTo(19, 9);
    expect(built({ charge: 1 }).pack.charge).toBe(1);
    expect(built({ charge: -1 }).pack.charge).toBe(0.7);
    expect(built({ efficiency: 1 }).train.efficiency).toBeGreaterThan(middle.train.efficiency + 0.03);
  });

  it('leaves the plan’s own figures as they are shown', () => {
    expect(built({ mass: 1 }).figures['job.mass']).toEqual(middle.figures['job.mass']);
  });
});

describe('a spread', () => {
  it('is the same for a seed, and says nothing that is not a number', () => {
    const [one, two] = [spreadOf(heron, 'lift', 60), spreadOf(heron, 'lift', 60)];
    expect(one).toEqual(two);
    expect(nansIn(one)).toEqual([]);
    expect(spreadOf(heron, 'lift', 60, 9)).not.toEqual(one);
  });

  it('counts how many builds pass each rung and check', () => {
    const hurried = withChange(heron, ['mechanisms', 1, 'jobs', 0, 'time'], typed(1.47));
    const spread = spreadOf(hurried, 'lift');
    expect(spread.count).toBe(150);
    for (const row of spread.passing) {
      expect(row.passes).toBeLessThanOrEqual(150);
      expect(row.enough).toBeLessThanOrEqual(row.passes);
    }
    const inTime = spread.passing.find(({ id }) => id === 'in-time')!;
    expect(inTime.passes).toBeGreaterThan(0);
    expect(inTime.passes).toBeLessThan(150);
    expect(spread.allPass).toBeLessThanOrEqual(inTime.passes);
  });

  it('has the drawing’s own time within its band, which widens with the spread', () => {
    const spread = spreadOf(heron, 'lift');
    // At the charge the spread draws from, not the half-empty pack of the plan.
    const full = withChange(heron, ['supply', 0, 'charge'], typed(0.85));
    const time = evaluateMechanism(full, mechanismOf(full, 'lift')).jobs[0]!.run!.time;
    expect(spread.time!.low).toBeLessThan(time);
    expect(spread.time!.high).toBeGreaterThan(time);
    const exact = withChange(heron, ['spread'], {
      constants: typed(0),
      friction: typed(0),
      mass: typed(0),
      efficiency: typed(0),
      leastCharge: typed(0.85),
      mostCharge: typed(0.85),
    });
    const narrow = spreadOf(exact, 'lift', 20).time!;
    expect(narrow.high - narrow.low).toBeLessThan(1e-9);
    expect(narrow.middle).toBeCloseTo(time, 9);
  });

  it('ranks what matters: with only the mass unsure, the mass explains it all', () => {
    const exact = {
      constants: typed(0),
      friction: typed(0),
      efficiency: typed(0),
      leastCharge: typed(0.8),
      mostCharge: typed(0.8),
    };
    const { matters } = spreadOf(withChange(heron, ['spread'], exact), 'lift');
    expect(matters[0]!.factor).toBe('mass');
    expect(matters[0]!.time).toBeGreaterThan(0.95);
    expect(matters.reduce((sum, { time }) => sum + time, 0)).toBeLessThan(1.1);
  });

  it('draws bands along the run and the reach that contain their middle', () => {
    const { speed, force } = spreadOf(heron, 'lift', 60);
    expect(speed.length).toBeGreaterThan(10);
    expect(force.length).toBeGreaterThan(10);
    for (const { low, middle, high } of [...speed, ...force]) {
      expect(low).toBeLessThanOrEqual(middle);
      expect(middle).toBeLessThanOrEqual(high);
    }
  });

  it('yields after every build, so that it can be stopped', () => {
    const builds = spreadBuilds(heron, 'lift', 'raise', { count: 5 });
    expect([1, 2, 3, 4, 5].map(() => builds.next().value)).toEqual([1, 2, 3, 4, 5]);
    expect(builds.next().done).toBe(true);
  });

  it('of what is not known counts what is', () => {
    expect(nansIn(spreadOf(heron, 'hoist', 10))).toEqual([]);
  });

  it('reads the plan’s own amounts, the typical ones where it says nothing', () => {
    expect(spreadAmounts({})).toEqual(TYPICAL_SPREAD);
    expect(spreadAmounts({ spread: { mass: typed(0.2) } })).toEqual({ ...TYPICAL_SPREAD, mass: 0.2 });
  });
});
