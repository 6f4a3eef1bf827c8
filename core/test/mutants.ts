import { agrees, allCases, CHECK_TABLES, LIMIT_TABLES, type Case } from './mechanics/cases.js';

/**
 * `npm run mutants`: each limit's capacity and each check's figure is made 1.3 and 0.7 times what it is, in turn, by wrapping
 * its entry of the table; a yes or no is turned round. What no comparison with plain mechanics then notices is alive, and a
 * test is missing. Prints one table; exits 1 where any is alive.
 */

const FACTORS = [1.3, 0.7] as const;

interface Mutant {
  readonly name: string;
  readonly of: Case['of'];
  readonly id: string;
  /** Wraps the entry; the function it gives puts everything back. */
  readonly make: () => () => void;
}

/** Replaces a method for a while. */
function wrapped<T extends object, K extends keyof T>(object: T, key: K, by: (method: T[K]) => T[K]): () => void {
  const own = object[key];
  object[key] = by(own);
  return () => {
    object[key] = own;
  };
}

const limits = [...new Set(Object.values(LIMIT_TABLES).flat())];
const checks = [...new Set(Object.values(CHECK_TABLES).flat())];

const mutants: readonly Mutant[] = FACTORS.flatMap((factor) => [
  ...limits.map((limit): Mutant => ({
    name: `limit ${limit.id} × ${factor}`,
    of: 'limit',
    id: limit.id,
    make: () =>
      wrapped(
        limit as { -readonly [K in keyof typeof limit]: (typeof limit)[K] },
        'capacity',
        (capacity) =>
          (...args) =>
            factor * capacity.apply(limit, args),
      ),
  })),
  ...checks.map((rule): Mutant => ({
    name: `check ${rule.id} × ${factor}`,
    of: 'check',
    id: rule.id,
    make: () =>
      wrapped(rule as { -readonly [K in keyof typeof rule]: (typeof rule)[K] }, 'answer', (answer) => (...args) => {
        const given = answer.apply(rule, args);
        const { outcome } = given;
        return {
          ...given,
          outcome:
            'multiple' in outcome
              ? { ...outcome, multiple: factor * outcome.multiple }
              : { holds: 'holds' in outcome && !outcome.holds },
        };
      }),
  })),
]);

const cases = allCases();
const wrong = cases.filter((one) => !agrees(one));
if (wrong.length > 0) {
  console.log(`Nothing was changed, and ${wrong.length} comparisons fail already: mend those first.`);
  process.exit(1);
}

const alive = mutants.filter(({ of, id, make }) => {
  const restore = make();
  // Its own comparisons first: they are the likeliest to notice.
  const own = cases.filter((one) => one.of === of && one.id === id);
  const noticed = own.some((one) => !agrees(one)) || cases.some((one) => !agrees(one));
  restore();
  return !noticed;
});

console.log(
  `${cases.length} comparisons, ${limits.length} limits, ${checks.length} checks, ${mutants.length} mutants.`,
);
for (const { name } of alive) console.log(`alive: ${name}`);
console.log(`${mutants.length - alive.length} noticed, ${alive.length} alive`);
process.exit(alive.length > 0 ? 1 : 0);
