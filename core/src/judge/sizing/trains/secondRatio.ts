import type { PowerPath } from '../../../path/powerpath/path.js';
import type { BeltParts, ChainParts } from '../../../path/powerpath/stageParts.js';
import { centreForPitches } from '../../../models/reduction/runLength.js';
import type { Stock } from './wheelPair.js';

/** One other wheel that makes another total, to buy along and try. */
export interface SecondRatio {
  readonly stage: string;
  readonly index: number;
  readonly driver: number;
  readonly driven: number;
  readonly total: number;
  /** New total over the present one. */
  readonly change: number;
  /** How far the driven shaft must move with the same chain or belt, m; 0 where it need not. */
  readonly moves: number | undefined;
  /** Wheels to buy: one, or two where gears must keep their distance. */
  readonly wheels: 1 | 2;
}

/** A change too small to feel, and one that is another design. */
const LEAST_CHANGE = 1.07;
const MOST_CHANGE = 1.5;

/** Shafts in slots move about this far. */
const SLOT = 0.006;

/** For each stage the next useful total either way: the least wheel change, at the same distance where it can be. */
export function secondRatios(path: PowerPath, stock: readonly Stock[]): readonly SecondRatio[] {
  return path.stageParts.flatMap((parts) => {
    if (!('driver' in parts)) return [];
    const candidates = candidatesOf(parts.kind, parts.pitch, stock);
    const options = swaps(parts, candidates).map((swap): SecondRatio => {
      const change = swap.driven / swap.driver / (parts.driven / parts.driver);
      return {
        ...swap,
        stage: parts.id,
        index: parts.index,
        total: path.train.total * change,
        change,
        moves: parts.kind === 'teeth' ? 0 : movedBy(parts, swap.driver, swap.driven),
      };
    });
    const useful = options.filter(({ change, moves }) => {
      const size = Math.max(change, 1 / change);
      return size >= LEAST_CHANGE && size <= MOST_CHANGE && moves !== undefined;
    });
    return [useful.filter(({ change }) => change > 1), useful.filter(({ change }) => change < 1)].flatMap((side) => {
      const [best] = [...side].sort((a, b) => rank(a) - rank(b));
      return best ? [best] : [];
    });
  });
}

/** A wheel that fits the slots beats a nearer ratio that does not. */
const rank = ({ change, moves = Infinity, wheels }: SecondRatio): number =>
  Math.abs(Math.log(change)) + (Math.abs(moves) > SLOT ? 1 : 0) + 0.1 * (wheels - 1);

const OF = { teeth: 'gears', chain: 'sprockets', belt: 'pulleys' } as const;

function candidatesOf(kind: keyof typeof OF, pitch: number, stock: readonly Stock[]): readonly number[] {
  const sizes = stock
    .filter(({ part }) => part.of === OF[kind] && Math.abs((part.pitch?.si ?? 0) - pitch) < 1e-6)
    .flatMap(({ part }) => part.sizes);
  return [...new Set(sizes)].sort((a, b) => a - b);
}

interface Swap {
  readonly driver: number;
  readonly driven: number;
  readonly wheels: 1 | 2;
}

function swaps(
  { kind, driver, driven }: { readonly kind: string; readonly driver: number; readonly driven: number },
  sizes: readonly number[],
): readonly Swap[] {
  if (kind === 'teeth') {
    // Gears mesh at their sum: another pair of the same sum keeps the shafts where they are.
    return sizes.flatMap((size) => {
      const other = driver + driven - size;
      return size !== driver && sizes.includes(other) ? [{ driver: size, driven: other, wheels: 2 as const }] : [];
    });
  }
  return sizes.flatMap((size) => [
    ...(size === driver ? [] : [{ driver: size, driven, wheels: 1 as const }]),
    ...(size === driven ? [] : [{ driver, driven: size, wheels: 1 as const }]),
  ]);
}

function movedBy({ pitch, length, tautCentre }: ChainParts | BeltParts, driver: number, driven: number) {
  const centre = centreForPitches(pitch, Math.min(driver, driven), Math.max(driver, driven), length);
  return centre === undefined ? undefined : centre - tautCentre;
}
