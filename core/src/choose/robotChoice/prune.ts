import type { Choosable } from './option.js';
import type { JointQuestion } from './question.js';

/**
 * The options of a mechanism that could be part of a best choice, by number: what another beats in everything that is asked
 * is left out, so that the programme stays small and its answer the same. Of equals the one with more margin stays.
 *
 * @param owned of each part, what lies on the shelf: who takes of it is not compared by price, since others may want it too
 */
export function worthTrying<O extends Choosable>(
  options: readonly O[],
  { ceilings, want }: Pick<JointQuestion, 'ceilings' | 'want'>,
  owned: ReadonlyMap<string, number>,
): readonly number[] {
  const costs = options.map((option) => costsOf(option, { ceilings, want }));
  const bare = options.map(({ pieces }) => pieces.every(({ key, price }) => price !== undefined && !owned.get(key)));
  const kindsCount = ceilings.kinds !== undefined || want === 'kinds';
  const beats = (a: number, b: number): boolean => {
    const [x, y] = [options[a]!, options[b]!];
    if (kindsCount && x.kind !== y.kind) return false;
    const sameParts = samePieces(x, y);
    if (!sameParts && !(bare[a] && bare[b])) return false;
    // Where a part has no price both come to no end: then what is bought with them tells.
    if (sameParts && x.price > y.price) return false;
    const [mine, others] = [costs[a]!, costs[b]!];
    if (mine.some((cost, i) => cost > others[i]!)) return false;
    if (mine.some((cost, i) => cost < others[i]!)) return true;
    // Of equals one stays: the one with more margin, then the first.
    return x.margin > y.margin || (x.margin === y.margin && a < b);
  };
  return options.flatMap((_, b) => (options.some((__, a) => a !== b && beats(a, b)) ? [] : [b]));
}

/** Everything that is asked of an option, less is better; what is not known is worst. */
function costsOf(option: Choosable, { ceilings, want }: Pick<JointQuestion, 'ceilings' | 'want'>): readonly number[] {
  const { mass = Infinity, price, pieces, motors, slots, charge, peak, margin, coolness } = option;
  const bought = pieces.reduce((sum, { count, price: each = Infinity }) => sum + count * each, price);
  return [
    mass,
    bought,
    motors,
    slots,
    ...(ceilings.charge === undefined ? [] : [charge]),
    ...(ceilings.peak === undefined ? [] : [peak]),
    ...(want === 'margin' ? [-margin] : []),
    ...(want === 'coolness' ? [-coolness] : []),
  ];
}

/** The same motors and controllers, whatever the total. */
export const samePieces = (a: Choosable, b: Choosable): boolean =>
  a.pieces.length === b.pieces.length &&
  a.pieces.every(({ key, count }, i) => key === b.pieces[i]!.key && count === b.pieces[i]!.count);
