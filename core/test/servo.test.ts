import { describe, expect, it } from 'vitest';
import {
  angleOf,
  calibrate,
  chainPlaces,
  deadbandAngle,
  estimatedStallCurrent,
  forceAtHorn,
  fourBarAt,
  leversToTip,
  linkageAt,
  loadedCurrent,
  loadedSpeed,
  moveTime,
  pulseFor,
  pushRodAt,
  railBudget,
  ratingAt,
  reversingCurrent,
  reversingTime,
  rotorAtHorn,
  servoTorqueAtCurrent,
  speedOfSecondsPer60,
  throughTravel,
  tipBlob,
  tipErrorLikely,
  tipErrorWorst,
  type FourBar,
} from '../src/index.js';

const DEGREE = Math.PI / 180;
const points = [
  { voltage: 6, stallTorque: 1.2, freeSpeed: speedOfSecondsPer60(0.18), stallCurrent: 2 },
  { voltage: 4.8, stallTorque: 0.9, freeSpeed: speedOfSecondsPer60(0.22), stallCurrent: 1.6 },
];

describe('ratings', () => {
  it('lie between two points, speed as a speed', () => {
    const middle = ratingAt(points, 5.4);
    expect(middle.stallTorque).toBeCloseTo(1.05, 12);
    expect(middle.freeSpeed).toBeCloseTo((speedOfSecondsPer60(0.18) + speedOfSecondsPer60(0.22)) / 2, 12);
    expect(middle).toMatchObject({ above: false, below: false, estimatedCurrent: false });
  });

  it('go down with the volts, and are never rated up', () => {
    expect(ratingAt(points, 2.4)).toMatchObject({ stallTorque: 0.45, below: true });
    expect(ratingAt(points, 8.4)).toMatchObject({ stallTorque: 1.2, above: true });
  });

  it('estimate a missing current, and say so', () => {
    const [{ stallCurrent: _left, ...bare }] = points as [(typeof points)[number]];
    const rating = ratingAt([bare], 6);
    expect(rating.estimatedCurrent).toBe(true);
    expect(rating.stallCurrent).toBeCloseTo(estimatedStallCurrent(1.2, bare.freeSpeed, 6), 12);
    expect(() => ratingAt([], 6)).toThrow(/at least one/);
  });

  it('slow down and draw more under a load, and the current tells the torque', () => {
    const rating = ratingAt(points, 6);
    expect(loadedSpeed(rating, 0.6)).toBeCloseTo(rating.freeSpeed / 2, 12);
    expect(loadedSpeed(rating, 2)).toBe(0);
    const current = loadedCurrent(rating, 0.2, 0.6);
    expect(current).toBeCloseTo(1.1, 12);
    expect(servoTorqueAtCurrent(rating, 0.2, current)).toBeCloseTo(0.6, 12);
    expect(loadedCurrent(rating, 0.2, -1)).toBe(0.2);
    expect(forceAtHorn(1.2, 0.02)).toBe(60);
    expect(reversingCurrent(2)).toBe(4);
  });
});

describe('a move', () => {
  const rating = { stallTorque: 1, freeSpeed: 6 };

  it('takes angle over speed where nothing has to be sped up', () => {
    expect(moveTime(rating, 1e-9, 0.5, 1.5).time).toBeCloseTo(0.5, 4);
  });

  it('takes longer with inertia, as stepping the same law says', () => {
    const [inertia, load, angle] = [0.02, 0.3, 1.2];
    const { time, topSpeed } = moveTime(rating, inertia, load, angle);
    // The same by small steps: full effort until braking just suffices.
    const dt = 1e-5;
    let [q, w, t] = [0, 0, 0];
    while (q + w ** 2 / (2 * ((1 + load) / inertia)) < angle) {
      w += (((1 - w / 6) * 1 - load) / inertia) * dt;
      q += w * dt;
      t += dt;
    }
    expect(topSpeed).toBeCloseTo(w, 2);
    expect(time).toBeCloseTo(t + w / ((1 + load) / inertia), 3);
  });

  it('never ends against more than the stall torque', () => {
    expect(moveTime(rating, 0.01, 1, 1)).toEqual({ time: Infinity, topSpeed: 0, changing: 1 });
  });

  it('reverses slower with a heavier rotor behind more gear', () => {
    expect(rotorAtHorn(1e-7, 300)).toBeCloseTo(9e-3, 12);
    expect(reversingTime(rating, 0.02)).toBeCloseTo(0.24, 12);
  });
});

describe('a four-bar linkage', () => {
  const bar: FourBar = { ground: 0.06, horn: 0.02, rod: 0.055, lever: 0.03 };

  it.each([-100, -40, 0, 25, 70, 130])('closes at %i°', (degrees) => {
    const at = fourBarAt(bar, degrees * DEGREE)!;
    expect(Math.hypot(at.lever.x - at.horn.x, at.lever.y - at.horn.y)).toBeCloseTo(bar.rod, 12);
    expect(Math.hypot(at.lever.x - bar.ground, at.lever.y)).toBeCloseTo(bar.lever, 12);
  });

  it.each([-100, -40, 25, 70, 130])('has the lever its own closure gives at %i°', (degrees) => {
    const step = 1e-6;
    const [before, after] = [-step, step].map((by) => fourBarAt(bar, degrees * DEGREE + by)!.leverAngle);
    expect(fourBarAt(bar, degrees * DEGREE)!.ratio).toBeCloseTo((after! - before!) / (2 * step), 5);
  });

  it('is put together in two ways', () => {
    const crossed = fourBarAt({ ...bar, crossed: true }, 0.4)!;
    expect(crossed.leverAngle).not.toBeCloseTo(fourBarAt(bar, 0.4)!.leverAngle, 3);
    expect(Math.hypot(crossed.lever.x - crossed.horn.x, crossed.lever.y - crossed.horn.y)).toBeCloseTo(bar.rod, 12);
  });

  it('turns one to one as a parallelogram', () => {
    const even: FourBar = { ground: 0.05, horn: 0.02, rod: 0.05, lever: 0.02 };
    for (const angle of [0.3, 1, 2]) expect(Math.abs(fourBarAt(even, angle)!.ratio)).toBeCloseTo(1, 9);
  });

  it('says where its parts do not meet', () => {
    const short = { ...bar, rod: 0.02 };
    expect(fourBarAt(short, Math.PI)).toBeUndefined();
    const { dead } = throughTravel({ kind: 'four-bar', ...short }, -Math.PI, Math.PI);
    expect(dead.some(({ why }) => why === 'no reach')).toBe(true);
  });

  it('stands still where horn and rod are in one line, and is locked where rod and lever are', () => {
    const travel = throughTravel({ kind: 'four-bar', ...bar }, -Math.PI, Math.PI, 720);
    // Dead centre of the horn: horn and rod in line, the lever at its end: (rod ± horn) from the horn's axle.
    for (const reach of [bar.rod + bar.horn, bar.rod - bar.horn]) {
      const inside = (bar.ground ** 2 + reach ** 2 - bar.lever ** 2) / (2 * bar.ground * reach);
      const angle = Math.acos(inside) * (reach > bar.rod ? 1 : 1);
      const horn = reach > bar.rod ? angle : angle - Math.PI;
      const at = [horn, -horn].map((one) => fourBarAt(bar, one)).filter((place) => place !== undefined);
      expect(Math.min(...at.map((place) => Math.abs(place.ratio)))).toBeLessThan(1e-6);
    }
    expect(travel.dead.some(({ why }) => why === 'still')).toBe(true);
    expect(travel.turnsBack).toBe(true);
    const locked = throughTravel({ kind: 'four-bar', ground: 0.06, horn: 0.035, rod: 0.03, lever: 0.025 }, -1.2, 1.2);
    expect(locked.dead.some(({ why }) => why === 'locked' || why === 'no reach')).toBe(true);
  });

  it('loses no power: torque over ratio times turn is the servo’s own', () => {
    const { points: places } = throughTravel({ kind: 'four-bar', ...bar }, 0.4, 1.6, 2000);
    let work = 0;
    places.slice(1).forEach((place, i) => {
      const before = places[i]!;
      const torque = 1 / ((place.ratio + before.ratio) / 2);
      work += torque * (place.output - before.output);
    });
    expect(work).toBeCloseTo(1.2, 4);
  });
});

describe('a push rod', () => {
  const rod = { horn: 0.02, rod: 0.08, offset: 0.005 };

  it('moves by its lever', () => {
    const step = 1e-6;
    for (const angle of [-2, -0.7, 0.4, 1.5]) {
      const [before, after] = [-step, step].map((by) => pushRodAt(rod, angle + by)!.place);
      expect(pushRodAt(rod, angle)!.lever).toBeCloseTo((after! - before!) / (2 * step), 6);
    }
  });

  it('cannot reach a line further off than it is long', () => {
    expect(pushRodAt({ ...rod, offset: 0.2 }, 0)).toBeUndefined();
    expect(linkageAt({ kind: 'push-rod', ...rod, offset: 0.2 }, 0)).toBeUndefined();
  });

  it('stands still at the ends of its stroke', () => {
    const { dead, points: places } = throughTravel({ kind: 'push-rod', ...rod }, -Math.PI, Math.PI);
    expect(dead.filter(({ why }) => why === 'still').length).toBeGreaterThanOrEqual(2);
    const stroke = Math.max(...places.map((p) => p.output)) - Math.min(...places.map((p) => p.output));
    expect(stroke).toBeGreaterThan(2 * rod.horn * 0.99);
  });
});

describe('calibration', () => {
  it('draws the line through two pairs, and both ways', () => {
    const line = calibrate([
      { angle: -0.5, pulse: 1.2e-3 },
      { angle: 0.7, pulse: 1.8e-3 },
    ]);
    expect(pulseFor(line, 0.7)).toBeCloseTo(1.8e-3, 12);
    expect(angleOf(line, pulseFor(line, 0.123))).toBeCloseTo(0.123, 12);
    expect(line.rmsResidual).toBeCloseTo(0, 12);
  });

  it('shows what does not fit', () => {
    const line = calibrate(
      [-1, 0, 1].map((angle) => ({ angle, pulse: 1.5e-3 + 0.5e-3 * angle + (angle === 0 ? 3e-5 : 0) })),
    );
    expect(line.residuals.map((r) => Math.round(r * 1e6))).toEqual([-10, 20, -10]);
  });

  it('takes no line from one angle', () => {
    expect(() => calibrate([{ angle: 1, pulse: 1e-3 }])).toThrow(/two different angles/);
    expect(() =>
      calibrate([
        { angle: 1, pulse: 1e-3 },
        { angle: 1, pulse: 2e-3 },
      ]),
    ).toThrow(/two different angles/);
  });
});

describe('where the tip is', () => {
  const joints = [
    { length: 0.14, angle: 0.7, error: 0.02 },
    { length: 0.11, angle: -1.1, error: 0.03 },
    { length: 0.06, angle: 0.5, error: 0.025 },
  ];

  it('adds the levers, worst and likely', () => {
    const errors = leversToTip(joints).map((lever, i) => ({ lever, error: joints[i]!.error }));
    expect(tipErrorLikely(errors)).toBeLessThan(tipErrorWorst(errors));
    const { long, short } = tipBlob(joints);
    expect(Math.hypot(long, short)).toBeCloseTo(tipErrorLikely(errors), 12);
  });

  it('draws the blob that ten thousand seeded joints fill', () => {
    const random = seeded(20261125);
    const tip = chainPlaces(joints).at(-1)!;
    const { long, short, direction } = tipBlob(joints);
    const samples = Array.from({ length: 10_000 }, () => {
      // ±error is two standard deviations of each joint.
      const at = chainPlaces(
        joints.map((joint) => ({ ...joint, angle: joint.angle + (joint.error / 2) * normal(random) })),
      );
      return { x: at.at(-1)!.x - tip.x, y: at.at(-1)!.y - tip.y };
    });
    const along = samples.map(({ x, y }) => x * Math.cos(direction) + y * Math.sin(direction));
    const across = samples.map(({ x, y }) => -x * Math.sin(direction) + y * Math.cos(direction));
    expect(2 * deviation(along)).toBeCloseTo(long, 3);
    expect(Math.abs(2 * deviation(along) - long) / long).toBeLessThan(0.03);
    expect(Math.abs(2 * deviation(across) - short) / short).toBeLessThan(0.03);
    const inside = along.filter((a, i) => (a / long) ** 2 + (across[i]! / short) ** 2 <= 1).length;
    // Two standard deviations in two directions hold 1 − e^(−2) of them.
    expect(inside / samples.length).toBeGreaterThan(0.85);
    expect(inside / samples.length).toBeLessThan(0.88);
  });

  it('is finer with a smaller travel', () => {
    expect(deadbandAngle(Math.PI / 2, 1e-3, 4e-6)).toBeCloseTo(deadbandAngle(Math.PI, 1e-3, 4e-6) / 2, 12);
  });
});

describe('a rail', () => {
  const servo = (name: string, stalled: number, highestVoltage = 7.4) => ({
    name,
    idle: 0.01,
    moving: 0.3,
    stalled,
    highestVoltage,
  });
  const supply = { voltage: 6, resistance: 0.05, continuous: 5, burst: 8 };

  it('adds up, and says which may stall together', () => {
    const budget = railBudget([servo('pan', 2), servo('grip', 3, 6), servo('leg', 3.5)], supply);
    expect(budget.idle).toBeCloseTo(0.03, 12);
    expect(budget.moving).toBeCloseTo(0.9, 12);
    expect(budget.stalled).toBeCloseTo(8.5, 12);
    expect(budget.voltsStalled).toBeCloseTo(6 - 0.425, 12);
    expect(budget.mayStall).toEqual(['leg', 'grip']);
    expect(budget.weakest).toEqual({ name: 'grip', highestVoltage: 6 });
  });

  it('lets all stall where there is enough, and where nothing is known of a burst', () => {
    expect(railBudget([servo('a', 1), servo('b', 1)], supply).stallsAllowed).toBe(2);
    expect(railBudget([servo('a', 100)], { voltage: 6, resistance: 0 }).stallsAllowed).toBe(1);
    expect(railBudget([], supply)).toMatchObject({ moving: 0, mayStall: [] });
  });
});

function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const normal = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

function deviation(values: readonly number[]): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length);
}
