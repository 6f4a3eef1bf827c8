import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  beltPath,
  beltRun,
  centreForPitches,
  chainRun,
  evaluateMechanism,
  lengthsBetween,
  nearestCentre,
  pitchesAround,
  resolveDcPath,
  snapShaft,
  type Stage,
} from '../src/index.js';
import { mechanismOf, nansIn, plainPlan, typed, withChange, said } from './demo.js';

const pitch = fc.constantFrom(0.003, 0.005, 0.00635, 0.008, 0.009525, 0.0127);
const teeth = fc.integer({ min: 8, max: 90 });
/** Beyond the least centre by this share. */
const beyond = fc.double({ min: 1.02, max: 12, noNaN: true });
const heron = plainPlan('heron');
const lift = mechanismOf(heron, 'lift');
const chain = resolveDcPath(heron, lift, 'raise').stageParts[1]!;

describe('a run round two wheels', () => {
  it('is as long by plain geometry as by the formula', () => {
    fc.assert(
      fc.property(pitch, teeth, teeth, beyond, (p, a, b, far) => {
        const [small, large] = [Math.min(a, b), Math.max(a, b)];
        const centre = Math.max(nearestCentre(p, small, large), p) * far;
        const run = beltPath([
          { x: 0.1, y: -0.2, radius: (a * p) / (2 * Math.PI), inside: true },
          {
            x: 0.1 + centre * Math.cos(1),
            y: -0.2 + centre * Math.sin(1),
            radius: (b * p) / (2 * Math.PI),
            inside: true,
          },
        ])!;
        expect(run.length / p).toBeCloseTo(pitchesAround(p, small, large, centre), 6);
      }),
      { numRuns: 300 },
    );
  });

  it('comes back from its length to its centre', () => {
    fc.assert(
      fc.property(pitch, teeth, teeth, beyond, (p, a, b, far) => {
        const [small, large] = [Math.min(a, b), Math.max(a, b)];
        const centre = Math.max(nearestCentre(p, small, large), p) * far;
        const length = pitchesAround(p, small, large, centre);
        const back = centreForPitches(p, small, large, length);
        if (length > large && length > (small + large) / 2) expect(back! / centre).toBeCloseTo(1, 8);
        else expect(back).toBeUndefined();
      }),
      { numRuns: 300 },
    );
  });

  it('is offered in whole even links and in belts that are sold, either side of what is wanted', () => {
    fc.assert(
      fc.property(
        pitch,
        teeth,
        teeth,
        beyond,
        fc.uniqueArray(fc.integer({ min: 20, max: 400 })),
        (p, a, b, far, stock) => {
          const centre = Math.max(nearestCentre(p, Math.min(a, b), Math.max(a, b)), p) * far;
          const { below, above } = chainRun(p, a, b, centre);
          expect(above.links % 2).toBe(0);
          expect(above.centre).toBeGreaterThan(centre - 1e-9);
          if (below) {
            expect(below.links).toBe(above.links - 2);
            expect(below.centre).toBeLessThanOrEqual(centre + 1e-9);
          }
          const run = beltRun(p, a, b, centre, stock);
          for (const belt of [run.shorter, run.longer]) if (belt) expect(stock).toContain(belt.teeth);
          if (run.shorter && run.longer) expect(run.shorter.centre).toBeLessThan(run.longer.centre);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('with an idler on its back is longer, and wraps more of the small wheel', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.12, max: 0.4, noNaN: true }),
        fc.double({ min: 0.3, max: 0.7, noNaN: true }),
        (centre, share) => {
          const two = [
            { x: 0, y: 0, radius: 0.02, inside: true },
            { x: centre, y: 0, radius: 0.02, inside: true },
          ];
          const plain = beltPath(two)!;
          // The strand back runs above: the idler presses it down by 4 mm.
          const pressed = beltPath([
            ...two,
            { x: share * centre, y: 0.02 + 0.012 - 0.004, radius: 0.012, inside: false },
          ])!;
          expect(pressed.length).toBeGreaterThan(plain.length);
          expect(pressed.wraps[0]!.angle).toBeGreaterThan(plain.wraps[0]!.angle);
          expect(pressed.wraps[2]!.angle).toBeGreaterThan(0);
        },
      ),
      { numRuns: 100 },
    );
  });
});

describe('snapping', () => {
  it('never leaves a fractional link, and lands where that length lies taut', () => {
    const place = fc.double({ min: -0.6, max: 0.6, noNaN: true });
    fc.assert(
      fc.property(place, place, (x, y) => {
        const changes = snapShaft(chain, [], { x, y }, []);
        const links = changes.find(({ at }) => at[0] === 'links')!.to as number;
        const centre = (changes.find(({ at }) => at[0] === 'centre')!.to as { si: number }).si;
        expect(links % 2).toBe(0);
        if (chain.kind !== 'chain') throw new Error('the lift has a chain');
        expect(pitchesAround(chain.pitch, chain.driver, chain.driven, centre)).toBeCloseTo(links, 6);
      }),
      { numRuns: 200 },
    );
  });

  it('offers notches in order, each two links on', () => {
    const notches = lengthsBetween(chain, 0.08, 0.5, []);
    expect(notches.length).toBeGreaterThan(20);
    notches.slice(1).forEach((notch, i) => {
      expect(notch.links).toBe(notches[i]!.links + 2);
      expect(notch.centre).toBeGreaterThan(notches[i]!.centre);
    });
  });
});

describe('stages of any sort', () => {
  const wheels = { driver: fc.integer({ min: 6, max: 200 }), driven: fc.integer({ min: 6, max: 200 }) };
  const maybe = (values: readonly number[]) => fc.option(fc.constantFrom(...values).map(typed), { nil: undefined });
  const stage: fc.Arbitrary<Stage> = fc.oneof(
    fc.record({
      id: fc.constant('x'),
      kind: fc.constant('teeth' as const),
      ...wheels,
      pitch: maybe([1e-6, 0.0005, 0.003, 1]),
      face: maybe([1e-6, 0.01, 10]),
      idler: fc.option(fc.integer({ min: 6, max: 60 }), { nil: undefined }),
    }),
    fc.record({
      id: fc.constant('x'),
      kind: fc.constant('chain' as const),
      ...wheels,
      pitch: maybe([1e-6, 0.00635, 0.0127, 0.05, 3]),
      links: fc.option(fc.integer({ min: 8, max: 2000 }), { nil: undefined }),
      centre: maybe([1e-4, 0.2, 50]),
      wear: maybe([0, 0.02, 1]),
      tension: maybe([1e-3, 10, 1e6]),
      takeUp: fc.constantFrom('fixed' as const, 'slide' as const, 'tensioner' as const),
    }),
    fc.record({
      id: fc.constant('x'),
      kind: fc.constant('belt' as const),
      ...wheels,
      pitch: maybe([0.003, 0.005, 0.006]),
      face: maybe([1e-4, 0.015, 5]),
      beltTeeth: fc.option(fc.integer({ min: 8, max: 2000 }), { nil: undefined }),
      centre: maybe([1e-4, 0.2, 50]),
      tension: maybe([1e-3, 100, 1e6]),
      takeUp: fc.constantFrom('fixed' as const, 'slide' as const, 'tensioner' as const),
      idler: fc.boolean(),
    }),
  ) as fc.Arbitrary<Stage>;

  it('give no NaN and no end without an answer', () => {
    fc.assert(
      fc.property(stage, (one) => {
        // A document has no key that stands for nothing.
        const clean = JSON.parse(JSON.stringify(one)) as Stage;
        const plan = withChange(heron, ['mechanisms', 1, 'choices', 0, 'stages', 1], { ...clean, id: 's2' });
        const result = evaluateMechanism(plan, mechanismOf(plan, 'lift'));
        expect(nansIn(result)).toEqual([]);
        for (const { checks, ladders } of result.jobs) {
          for (const check of checks) expect(said(check.sentence)).not.toContain('—');
          for (const rung of ladders.starting.rungs)
            if (rung.link === 'stage') expect(rung.multiple === undefined || Number.isFinite(rung.multiple)).toBe(true);
        }
      }),
      { numRuns: 400 },
    );
  });
});
