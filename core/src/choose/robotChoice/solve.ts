import { MARGIN_ENOUGH } from '../wants/wants.js';
import { CEILINGS } from './ceilings.js';
import { lpText, type Rows } from './lpText.js';
import type { Choosable, Pieces } from './option.js';
import { isLeast, type Cut, type JointChoice, type JointQuestion } from './question.js';
import { worthTrying } from './prune.js';
import type { JointSolver } from './solver.js';

/**
 * One option for each mechanism so that the want is best within all ceilings, exact: an integer programme, of which
 * branch and cut finds the best there is. `without` are what may not come again.
 * `undefined` where no choice stays under all ceilings. Prices are those of the whole robot: a piece that lies on the
 * shelf is used once.
 *
 * @example solveJoint({}, { options: [], ceilings: {}, want: 'mass' }).picks //=> []
 */
export function solveJoint(
  solver: JointSolver,
  question: JointQuestion,
  without: readonly Cut[] = [],
): JointChoice | undefined {
  const picks = solveOnce(solver, question, without);
  if (!picks) return undefined;
  const sums = sumsOf(question.options, picks);
  return { picks, value: sums[question.want], ...sums };
}

/** Who knows no mass cannot be chosen where the mass is asked. */
const massCounts = ({ ceilings, want }: JointQuestion): boolean => ceilings.mass !== undefined || want === 'mass';
const priceCounts = ({ ceilings, want }: JointQuestion): boolean => ceilings.price !== undefined || want === 'price';
const kindsCount = ({ ceilings, want }: JointQuestion): boolean => ceilings.kinds !== undefined || want === 'kinds';

const idOf = (mechanism: number, option: number): string => `x${mechanism}_${option}`;

/** Rounding aside, the best of all: no gap is left between it and what might be. */
const EXACT = { output_flag: false, mip_rel_gap: 0, mip_abs_gap: 0 };

function solveOnce(
  solver: JointSolver,
  question: JointQuestion,
  without: readonly Cut[],
): readonly number[] | undefined {
  const { options, want } = question;
  if (options.length === 0) return [];
  const { rows, variables, binaries } = programmeOf(question, without);
  const { Status, Columns } = solver.solve(
    lpText({ greatest: isLeast(want), objective: isLeast(want) ? 'least' : want, rows, variables, binaries }),
    EXACT,
  );
  if (Status !== 'Optimal') return undefined;
  const isOn = (id: string): boolean => ((Columns[id] as { Primal?: number } | undefined)?.Primal ?? 0) > 0.5;
  const picks = options.map((all, m) => all.findIndex((_, o) => isOn(idOf(m, o))));
  return picks.every((pick) => pick >= 0) ? picks : undefined;
}

interface Programme {
  readonly rows: Rows;
  /** What each variable adds to each row. */
  readonly variables: Record<string, Record<string, number>>;
  readonly binaries: readonly string[];
}

/** What an option adds to the ceilings, besides its pieces. */
const addedBy = ({ mass, price, motors, slots, charge, peak }: Choosable): Record<string, number> => ({
  mass: mass ?? 0,
  price,
  motors,
  slots,
  charge,
  peak,
});

/** The question as an integer programme: an option is taken or not, one of each mechanism. */
function programmeOf(question: JointQuestion, without: readonly Cut[]): Programme {
  const { options, ceilings, want } = question;
  const parts = partsOf(options);
  const owned = new Map([...parts].map(([key, part]) => [key, part.owned]));
  const constraints: Rows = {};
  const variables: Record<string, Record<string, number>> = {};
  const binaries: string[] = [];
  for (const id of CEILINGS) if (ceilings[id] !== undefined) constraints[id] = { max: ceilings[id] };
  /** Parts of which some lie there, or that may not be bought, are counted; of others each piece has its price. */
  const counted = (key: string): boolean => {
    const part = parts.get(key)!;
    return part.owned > 0 || ceilings.ownedOnly === true || (part.price === undefined && priceCounts(question));
  };
  if (priceCounts(question) || ceilings.ownedOnly)
    for (const [key, { price, owned: there }] of parts) {
      if (!counted(key)) continue;
      constraints[`have ${key}`] = { max: there };
      const mayBuy = ceilings.ownedOnly !== true && !(price === undefined && priceCounts(question));
      if (mayBuy) variables[`buy ${key}`] = { [`have ${key}`]: -1, price: price ?? 0 };
    }
  if (kindsCount(question))
    for (const kind of new Set(options.flat().map((one) => one.kind))) {
      variables[`kind ${kind}`] = { kinds: 1 };
      binaries.push(`kind ${kind}`);
    }
  if (isLeast(want)) variables['least'] = { least: 1 };
  options.forEach((all, m) => {
    constraints[`one ${m}`] = { equal: 1 };
    if (isLeast(want)) {
      constraints[`least of ${m}`] = { min: 0 };
      variables['least']![`least of ${m}`] = -1;
    }
    for (const o of tried(question, m, owned, without)) {
      const option = all[o]!;
      if (option.mass === undefined && massCounts(question)) continue;
      const id = idOf(m, o);
      binaries.push(id);
      const row = { [`one ${m}`]: 1, ...addedBy(option) };
      for (const { key, count, price } of option.pieces)
        if (counted(key)) row[`have ${key}`] = (row[`have ${key}`] ?? 0) + count;
        else row['price']! += count * (price ?? 0);
      if (isLeast(want)) row[`least of ${m}`] = option[want];
      without.forEach((cut, i) => {
        if (cut.some(({ mechanism, options: these }) => mechanism === m && these.includes(o))) row[`not ${i}`] = 1;
      });
      if (kindsCount(question)) {
        // A kind counts as soon as one of its options is taken.
        row[`is ${m} ${option.kind}`] = 1;
        constraints[`is ${m} ${option.kind}`] = { max: 0 };
        variables[`kind ${option.kind}`]![`is ${m} ${option.kind}`] = -1;
      }
      variables[id] = row;
    }
  });
  without.forEach((cut, i) => (constraints[`not ${i}`] = { max: cut.length - 1 }));
  return { rows: constraints, variables, binaries };
}

/** Options that could be part of a best choice. Where some may not come together, those that they beat may be wanted again. */
function tried(
  question: JointQuestion,
  mechanism: number,
  owned: ReadonlyMap<string, number>,
  without: readonly Cut[],
): readonly number[] {
  const all = question.options[mechanism]!;
  const taken = new Set(
    without.flatMap((cut) => cut.filter((one) => one.mechanism === mechanism)).flatMap(({ options }) => options),
  );
  const best = worthTrying(all, question, owned);
  if (taken.size === 0) return best;
  const rest = all.flatMap((option, o) => (taken.has(o) ? [] : [{ option, o }]));
  const next = worthTrying(
    rest.map(({ option }) => option),
    question,
    owned,
  ).map((i) => rest[i]!.o);
  return [...new Set([...best, ...next, ...taken])];
}

/** Every part that some option takes; of copies that differ in price or number owned, the surest of each. */
function partsOf(options: JointQuestion['options']): ReadonlyMap<string, Omit<Pieces, 'count'>> {
  const parts = new Map<string, Omit<Pieces, 'count'>>();
  for (const { key, price, owned } of options.flat().flatMap(({ pieces }) => pieces)) {
    const there = parts.get(key);
    parts.set(key, {
      key,
      price: there?.price ?? price,
      owned: Math.max(there?.owned ?? 0, owned),
    });
  }
  return parts;
}

/** What one option each comes to. */
export function sumsOf(
  options: JointQuestion['options'],
  picks: readonly number[],
): Omit<JointChoice, 'picks' | 'value'> {
  const taken = options.map((all, m) => all[picks[m]!]!);
  const sum = (of: (option: Choosable) => number) => taken.reduce((total, option) => total + of(option), 0);
  const needed = new Map<string, number>();
  for (const { key, count } of taken.flatMap(({ pieces }) => pieces)) needed.set(key, (needed.get(key) ?? 0) + count);
  const parts = partsOf(options);
  const bought = [...needed].reduce(
    (total, [key, count]) => total + Math.max(0, count - parts.get(key)!.owned) * (parts.get(key)!.price ?? 0),
    0,
  );
  return {
    mass: sum(({ mass }) => mass ?? 0),
    price: sum(({ price }) => price) + bought,
    motors: sum(({ motors }) => motors),
    slots: sum(({ slots }) => slots),
    charge: sum(({ charge }) => charge),
    peak: sum(({ peak }) => peak),
    kinds: new Set(taken.map(({ kind }) => kind)).size,
    margin: Math.min(MARGIN_ENOUGH, ...taken.map(({ margin }) => margin)),
    coolness: Math.min(MARGIN_ENOUGH, ...taken.map(({ coolness }) => coolness)),
  };
}
