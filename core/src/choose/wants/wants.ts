import type { Dimension } from '../../plan/words/dimension.js';
import type { Figures, WantId } from '../../plan/document/want.js';

/** One thing designs are compared by. */
export interface Want {
  readonly id: WantId;
  readonly name: string;
  /** What it measures, in a sentence. */
  readonly says: string;
  readonly better: 'less' | 'more';
  /** Absent for a plain count, a multiple or money. */
  readonly dimension?: Dimension;
  /** How the worse of two is said: "slower". */
  readonly worse: string;
}

/** Beyond so many times the job more margin is worth nothing more. */
export const MARGIN_ENOUGH = 3;

export const WANTS: Readonly<Record<WantId, Want>> = {
  time: {
    id: 'time',
    name: 'time',
    says: 'how long the job takes',
    better: 'less',
    dimension: 'time',
    worse: 'slower',
  },
  mass: {
    id: 'mass',
    name: 'mass',
    says: 'motors, controllers and wheels, as far as their masses are known',
    better: 'less',
    dimension: 'mass',
    worse: 'heavier',
  },
  price: {
    id: 'price',
    name: 'price',
    says: 'what is still to be paid: what lies on the shelf unused costs nothing more',
    better: 'less',
    worse: 'dearer',
  },
  current: {
    id: 'current',
    name: 'current',
    says: 'the greatest current from the pack during the job, all motors together',
    better: 'less',
    dimension: 'current',
    worse: 'more current',
  },
  margin: {
    id: 'margin',
    name: 'margin',
    says: 'how many times the job it takes until the first thing gives, over all jobs; beyond 3× it counts as 3×',
    better: 'more',
    worse: 'less margin',
  },
  slow: {
    id: 'slow',
    name: 'slow control',
    says: 'the slowest speed it keeps steadily, at the output',
    better: 'less',
    dimension: 'velocity',
    worse: 'less steady when slow',
  },
  common: {
    id: 'common',
    name: 'parts in common',
    says: 'how many of its kinds of part other mechanisms use too, or others here: spares and help are near',
    better: 'more',
    worse: 'less in common',
  },
  bought: {
    id: 'bought',
    name: 'pieces to buy',
    says: 'motors and controllers that do not lie on the shelf yet',
    better: 'less',
    worse: 'more to buy',
  },
};

/**
 * A want as a cost: less is better, and what is not known is worst.
 *
 * @example costOf('time', { time: 1.5 }) //=> 1.5
 */
export function costOf(want: WantId, figures: Figures): number {
  const value = figures[want];
  if (value === undefined) return Infinity;
  if (want === 'margin') return -Math.min(value, MARGIN_ENOUGH);
  return WANTS[want].better === 'less' ? value : -value;
}

/** Sameness of two costs: a part in a billion, whatever order they were summed in. */
const SAME = 1e-9;

/**
 * Whether the first is at least as good in every want, and better in one.
 *
 * @example dominates([1, 2], [1, 3]) //=> true
 */
export function dominates(a: readonly number[], b: readonly number[]): boolean {
  let better = false;
  for (let i = 0; i < a.length; i++) {
    const [x, y] = [a[i]!, b[i]!];
    if (x === y) continue;
    // What is not known is worse than anything that is.
    if (x === Infinity) return false;
    const slack = y === Infinity ? 0 : SAME * Math.max(1, Math.abs(x), Math.abs(y));
    if (x > y + slack) return false;
    if (x < y - slack) better = true;
  }
  return better;
}
