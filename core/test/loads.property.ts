import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  arm,
  carriage,
  currentChoice,
  driveBase,
  evaluateMechanism,
  flywheel,
  fullEffort,
  grip,
  gripForceFor,
  jobKindOf,
  lift,
  resolveDcPath,
  roller,
  throwImpulse,
  spoolRadius,
  systemOf,
  turntable,
  valueOf,
  worstOver,
  worstPlace,
  type Load,
  type DcPath,
} from '../src/index.js';
import { lowering } from '../src/models/load/lift.js';
import { typed } from './demo.js';
import { allKindsPlan, MECHANISM_KINDS } from './kinds.js';

const positive = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });
const angle = fc.double({ min: -Math.PI, max: Math.PI, noNaN: true });
const slope = fc.double({ min: -1.5, max: 1.5, noNaN: true });

/** Every load with figures drawn at random, and how far it goes. */
const LOADS: readonly (readonly [name: string, loads: fc.Arbitrary<{ load: Load; travel: number }>])[] = [
  [
    'drive base',
    fc
      .record({
        mass: positive(0.2, 200),
        rollingResistance: positive(0, 0.2),
        grip: positive(0.1, 1.5),
        drivenShare: positive(0.2, 1),
        slope,
        push: positive(0, 500),
      })
      .map((figures) => ({ load: driveBase(figures), travel: 5 })),
  ],
  [
    'lift',
    fc
      .record({
        mass: positive(0.1, 100),
        slope,
        friction: positive(0, 50),
        counterforce: positive(0, 300),
        loadPerRope: positive(0.5, 4),
      })
      .map((figures) => ({ load: lift(figures), travel: 1.5 })),
  ],
  [
    'lift going down',
    fc
      .record({
        mass: positive(0.1, 100),
        slope,
        friction: positive(0, 50),
        counterforce: positive(0, 300),
        loadPerRope: positive(0.5, 4),
      })
      .map((figures) => ({ load: lowering(figures), travel: 1.5 })),
  ],
  [
    'arm',
    fc
      .record({
        mass: positive(0.1, 20),
        centreOfMass: positive(0.05, 1),
        inertiaAboutCentre: positive(0.001, 2),
        frictionTorque: positive(0, 3),
        springRate: positive(0, 30),
        springZero: angle,
        fromAngle: angle,
        toAngle: angle,
        payload: positive(0, 5),
        length: positive(0.1, 1.5),
      })
      .map((figures) => ({ load: arm(figures), travel: Math.abs(figures.toAngle - figures.fromAngle) })),
  ],
  [
    'flywheel',
    fc
      .record({ inertia: positive(1e-4, 0.1), frictionTorque: positive(0, 0.5), airDrag: positive(0, 1e-5) })
      .map((figures) => ({ load: flywheel(figures), travel: 0 })),
  ],
  [
    'roller',
    fc
      .record({ mass: positive(0.05, 20), pull: positive(0, 200), slope })
      .map((figures) => ({ load: roller(figures), travel: 0.5 })),
  ],
  [
    'turntable',
    fc
      .record({ inertia: positive(1e-3, 5), frictionTorque: positive(0, 5) })
      .map((figures) => ({ load: turntable(figures), travel: 3 })),
  ],
  [
    'carriage',
    fc
      .record({ mass: positive(0.05, 50), push: positive(0, 500), friction: positive(0, 50), slope })
      .map((figures) => ({ load: carriage(figures), travel: 0.3 })),
  ],
  [
    'grip',
    fc
      .record({ gripForce: positive(0.5, 300), fingerLength: positive(0.01, 0.4), inertia: positive(1e-6, 1e-2) })
      .map((figures) => ({ load: grip(figures), travel: 1 })),
  ],
];

describe.each(LOADS)('%s', (_name, loads) => {
  it('answers with numbers, and something always moves', () => {
    fc.assert(
      fc.property(loads, positive(0, 1), positive(0, 500), ({ load, travel }, share, speed) => {
        const q = share * travel;
        expect(Number.isFinite(load.force(q, speed))).toBe(true);
        expect(Number.isFinite(load.holdForce(q))).toBe(true);
        expect(load.inertia(q)).toBeGreaterThan(0);
      }),
    );
  });

  it('resists no less when it is faster', () => {
    fc.assert(
      fc.property(loads, positive(0, 1), positive(0, 200), positive(0, 200), ({ load, travel }, share, one, other) => {
        const q = share * travel;
        expect(load.force(q, Math.max(one, other))).toBeGreaterThanOrEqual(load.force(q, Math.min(one, other)) - 1e-12);
      }),
    );
  });

  it('is nowhere worse than at its worst', () => {
    fc.assert(
      fc.property(loads, positive(0, 1), ({ load, travel }, share) => {
        const worst = worstOver(travel, load, (q) => load.force(q, 0));
        // Between two places looked at, only a curve the load names could rise.
        const here = load.force(share * travel, 0);
        expect(here).toBeLessThanOrEqual(worst + 1e-9 + 1e-9 * Math.abs(worst));
        const place = worstPlace(travel, load, (q) => load.force(q, 0));
        expect(place).toBeGreaterThanOrEqual(0);
        expect(place).toBeLessThanOrEqual(travel);
      }),
      { numRuns: 300 },
    );
  });
});

describe('an arm swung back', () => {
  it('is the same arm: forwards and back differ by friction alone, twice', () => {
    fc.assert(
      fc.property(
        angle,
        angle,
        positive(0, 1),
        positive(0, 3),
        positive(0, 20),
        (fromAngle, toAngle, share, frictionTorque, springRate) => {
          const figures = {
            mass: 3,
            centreOfMass: 0.4,
            inertiaAboutCentre: 0.1,
            frictionTorque,
            springRate,
            springZero: 1,
            fromAngle,
            toAngle,
          };
          const travel = Math.abs(toAngle - fromAngle);
          const there = arm(figures);
          const back = arm({ ...figures, fromAngle: toAngle, toAngle: fromAngle });
          // Where both have the same angle, and neither has turned round by being no way at all.
          fc.pre(travel > 1e-6);
          expect(there.force(share * travel, 0) + back.force((1 - share) * travel, 0)).toBeCloseTo(
            2 * frictionTorque,
            6,
          );
          expect(there.holdForce(share * travel)).toBeCloseTo(back.holdForce((1 - share) * travel), 6);
        },
      ),
    );
  });
});

describe('a grip, a shot and a spool', () => {
  it('grip force grows with mass and shaking, and falls with friction', () => {
    fc.assert(
      fc.property(
        positive(0.1, 5),
        positive(0, 20),
        positive(1, 4),
        positive(0.1, 1.2),
        (mass, shake, safety, friction) => {
          const force = gripForceFor(mass, shake, safety, friction);
          expect(gripForceFor(2 * mass, shake, safety, friction)).toBeCloseTo(2 * force, 6);
          expect(gripForceFor(mass, shake + 1, safety, friction)).toBeGreaterThan(force);
          expect(gripForceFor(mass, shake, safety, 2 * friction)).toBeCloseTo(force / 2, 6);
        },
      ),
    );
  });

  it('a hooded shot takes no more than one between two wheels', () => {
    fc.assert(
      fc.property(
        positive(0.01, 1),
        positive(0.02, 0.2),
        positive(0, 1),
        positive(1, 40),
        (pieceMass, wheelRadius, beta, speed) => {
          const figures = { pieceMass, wheelRadius, slip: 0.9, ballInertiaFactor: beta };
          expect(throwImpulse({ ...figures, speedShare: 0.5 }, speed)).toBeLessThanOrEqual(
            throwImpulse({ ...figures, speedShare: 1 }, speed) + 1e-12,
          );
        },
      ),
    );
  });

  it('more rope never lies lower', () => {
    fc.assert(
      fc.property(
        positive(0.005, 0.1),
        positive(0.001, 0.01),
        positive(0.02, 0.1),
        positive(0.1, 20),
        positive(0.1, 20),
        (drum, rope, width, one, other) => {
          const [short, long] = [Math.min(one, other), Math.max(one, other)];
          expect(spoolRadius(drum, rope, width, long)).toBeGreaterThanOrEqual(spoolRadius(drum, rope, width, short));
          expect(spoolRadius(drum, rope, width, short)).toBeGreaterThan(drum);
        },
      ),
    );
  });
});

const kinds = allKindsPlan();

/** Every job of every kind, with one figure of its own moved. */
const cases = MECHANISM_KINDS.flatMap((kind) => {
  const index = kinds.mechanisms.findIndex((mechanism) => mechanism.kind === kind);
  const mechanism = kinds.mechanisms[index]!;
  return mechanism.jobs.map((job) => ({ kind, index, jobId: job.id }));
});

describe.each(cases)('$kind, job $jobId', ({ index, jobId }) => {
  const figures = Object.values(resolveDcPath(kinds, kinds.mechanisms[index]!, jobId).figures).filter(
    ({ key, at, value }) => /^(job|output)\./.test(key) && at.length > 0 && value !== undefined && value > 0,
  );
  const moved = fc.record({ figure: fc.constantFrom(...figures), factor: positive(0.6, 1.6), share: positive(0, 1) });

  function pathWith(figure: (typeof figures)[number], factor: number): DcPath {
    const value = figure.dimension === 'share' ? Math.min(1, figure.value! * factor) : figure.value! * factor;
    const plan = applyChanges(kinds, [{ at: figure.at, to: typed(value) }]);
    return resolveDcPath(plan, plan.mechanisms[index]!, jobId);
  }

  it('has formulas that say what its load says, wherever and whatever moves', () => {
    fc.assert(
      fc.property(moved, ({ figure, factor, share }) => {
        const path = pathWith(figure, factor);
        const { terms } = jobKindOf(path.job.kind);
        const q = share * (path.asked.travel ?? 0);
        const close = (a: number, b: number, what: string) =>
          expect(Math.abs(a - b), `${what} of ${figure.key}: ${a}, ${b}`).toBeLessThan(1e-7 * Math.max(1, Math.abs(b)));
        close(valueOf(terms.hold(path, q)), path.load.holdForce(q), 'hold');
        close(valueOf(terms.resisting(path, q)), path.load.force(q, path.asked.speed), 'resisting');
        close(valueOf(terms.inertia(path)), path.load.inertia(q), 'inertia');
        close(valueOf(terms.radius(path)), path.radius, 'radius');
        if (terms.travel) close(valueOf(terms.travel(path)), path.asked.travel!, 'travel');
        if (terms.target) close(valueOf(terms.target(path)), path.asked.target!, 'target');
        if (terms.recovery) close(valueOf(terms.recovery(path)), path.asked.recovery!, 'recovery');
      }),
      { numRuns: 60 },
    );
  });

  const travels = resolveDcPath(kinds, kinds.mechanisms[index]!, jobId).asked.travel !== undefined;
  it.runIf(travels)('takes no less from the pack than the work it does', () => {
    fc.assert(
      fc.property(moved, ({ figure, factor }) => {
        const path = pathWith(figure, factor);
        const run = fullEffort(systemOf(path));
        fc.pre(run.outcome === 'arrived');
        const gained = (path.load.inertia(run.place) * run.endSpeed ** 2) / 2;
        const steps = 200;
        let work = 0;
        for (let i = 0; i < steps; i++)
          work += (path.load.force(((i + 0.5) * run.place) / steps, 0) * run.place) / steps;
        expect(run.packEnergy).toBeGreaterThan(0.999 * (gained + work));
      }),
      { numRuns: 20 },
    );
  });

  it('says the same of itself each time', () => {
    const mechanism = kinds.mechanisms[index]!;
    expect(evaluateMechanism(kinds, mechanism)).toEqual(evaluateMechanism(kinds, mechanism));
    expect(currentChoice(mechanism).output.kind).toBe(jobKindOf(mechanism.jobs[0]!.kind).output);
  });
});
