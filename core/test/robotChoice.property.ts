import fc from 'fast-check';
import { expect, it } from 'vitest';
import {
  loadJointSolver,
  solveJoint,
  sumsOf,
  type Ceilings,
  type Choosable,
  type Cut,
  type JointWant,
} from '../src/index.js';

const solver = await loadJointSolver();

/** Parts that options take: some lie on the shelf, one has no price. */
const PARTS = [
  { key: 'a', price: 20, owned: 0 },
  { key: 'b', price: 35, owned: 3 },
  { key: 'c', price: 50, owned: 1 },
  { key: 'd', price: undefined, owned: 2 },
] as const;

const option = fc
  .record({
    mass: fc.option(fc.integer({ min: 1, max: 40 }), { nil: undefined, freq: 8 }),
    price: fc.integer({ min: 0, max: 20 }),
    part: fc.nat(PARTS.length - 1),
    motors: fc.integer({ min: 1, max: 3 }),
    slots: fc.integer({ min: 0, max: 3 }),
    charge: fc.integer({ min: 0, max: 50 }),
    peak: fc.integer({ min: 0, max: 90 }),
    margin: fc.integer({ min: 10, max: 30 }),
    coolness: fc.integer({ min: 10, max: 30 }),
  })
  .map(({ part, margin, coolness, ...rest }): Choosable => {
    const { key, price, owned } = PARTS[part]!;
    return {
      ...rest,
      key,
      kind: key,
      pieces: [{ key, count: rest.motors, price, owned }],
      margin: margin / 10,
      coolness: coolness / 10,
    };
  });
const options = fc.array(fc.array(option, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 4 });
const perhaps = (min: number, max: number) => fc.option(fc.integer({ min, max }), { nil: undefined });
const ceilings: fc.Arbitrary<Ceilings> = fc.record({
  mass: perhaps(10, 120),
  price: perhaps(20, 300),
  motors: perhaps(2, 10),
  slots: perhaps(1, 10),
  kinds: perhaps(1, 4),
  charge: perhaps(20, 150),
  peak: perhaps(40, 300),
  ownedOnly: fc.boolean(),
});
const want = fc.constantFrom<JointWant>('mass', 'price', 'coolness', 'margin', 'kinds');

/** Every choice there is, one option each. */
function* everyChoice(all: readonly (readonly Choosable[])[], from = 0): Generator<readonly number[]> {
  if (from === all.length) {
    yield [];
    return;
  }
  for (const i of all[from]!.keys()) for (const rest of everyChoice(all, from + 1)) yield [i, ...rest];
}

const isAllowed = (
  all: readonly (readonly Choosable[])[],
  picks: readonly number[],
  asked: Ceilings,
  by: JointWant,
  cuts: readonly Cut[],
): boolean => {
  const taken = picks.map((pick, m) => all[m]![pick]!);
  const needs = new Map<string, number>();
  for (const { key, count } of taken.flatMap(({ pieces }) => pieces)) needs.set(key, (needs.get(key) ?? 0) + count);
  const priceAsked = asked.price !== undefined || by === 'price';
  for (const { key, price, owned } of PARTS) {
    const missing = Math.max(0, (needs.get(key) ?? 0) - owned);
    if (missing > 0 && (asked.ownedOnly === true || (price === undefined && priceAsked))) return false;
  }
  if ((asked.mass !== undefined || by === 'mass') && taken.some(({ mass }) => mass === undefined)) return false;
  if (cuts.some((cut) => cut.every(({ mechanism, options: these }) => these.includes(picks[mechanism]!)))) return false;
  const sums = sumsOf(all, picks);
  return (['mass', 'price', 'motors', 'slots', 'kinds', 'charge', 'peak'] as const).every(
    (id) => sums[id] <= (asked[id] ?? Infinity) + 1e-9,
  );
};

const bestOf = (by: JointWant, values: readonly number[]): number =>
  by === 'margin' || by === 'coolness' ? Math.max(...values) : Math.min(...values);

it('A choice for all mechanisms is the best of all there are, or says that there is none', () => {
  fc.assert(
    fc.property(options, ceilings, want, (all, asked, by) => {
      const allowed = [...everyChoice(all)].filter((picks) => isAllowed(all, picks, asked, by, []));
      const found = solveJoint(solver, { options: all, ceilings: asked, want: by });
      if (allowed.length === 0) {
        expect(found).toBeUndefined();
        return;
      }
      expect(isAllowed(all, found!.picks, asked, by, [])).toBe(true);
      const best = bestOf(
        by,
        allowed.map((picks) => sumsOf(all, picks)[by]),
      );
      expect(found!.value).toBeCloseTo(best, 6);
    }),
    { numRuns: 600 },
  );
});

it('What may not come together again does not, and what follows is the best of the rest', () => {
  fc.assert(
    fc.property(options, want, fc.nat(3), (all, by, times) => {
      const cuts: Cut[] = [];
      for (let i = 0; i <= times; i++) {
        const found = solveJoint(solver, { options: all, ceilings: {}, want: by }, cuts);
        const allowed = [...everyChoice(all)].filter((picks) => isAllowed(all, picks, {}, by, cuts));
        if (allowed.length === 0) {
          expect(found).toBeUndefined();
          return;
        }
        expect(found!.value).toBeCloseTo(
          bestOf(
            by,
            allowed.map((picks) => sumsOf(all, picks)[by]),
          ),
          6,
        );
        cuts.push(found!.picks.map((pick, mechanism) => ({ mechanism, options: [pick] })));
      }
    }),
    { numRuns: 150 },
  );
});
