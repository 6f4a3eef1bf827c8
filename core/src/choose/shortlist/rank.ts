import type { WantId } from '../../plan/document/want.js';
import { costOf } from '../wants/wants.js';
import type { Found } from './found.js';

export type WantWeights = Readonly<Partial<Record<WantId, number>>>;

export interface Ranked {
  readonly candidate: Found;
  /** 1 is best in everything weighed, 0 worst in everything. */
  readonly score: number;
}

/**
 * The front by weights: each want goes from 1 for its best on the front to 0 for its worst, and what is not known is
 * worst. A design that is beaten can never come first, so looking at the front loses nothing.
 */
export function rankByWeights(front: readonly Found[], weights: WantWeights): readonly Ranked[] {
  const wants = (Object.keys(weights) as WantId[]).filter((want) => (weights[want] ?? 0) > 0);
  const whole = wants.reduce((sum, want) => sum + weights[want]!, 0);
  const spans = wants.map((want) => {
    const known = front.map(({ figures }) => costOf(want, figures)).filter(Number.isFinite);
    return { want, least: Math.min(...known), most: Math.max(...known) };
  });
  const scoreOf = ({ figures }: Found): number => {
    if (whole === 0) return 0;
    const sum = spans.reduce((total, { want, least, most }) => {
      const cost = costOf(want, figures);
      if (!Number.isFinite(cost)) return total;
      return total + weights[want]! * (most > least ? (most - cost) / (most - least) : 1);
    }, 0);
    return sum / whole;
  };
  return front
    .map((candidate) => ({ candidate, score: scoreOf(candidate) }))
    .sort((a, b) => b.score - a.score || byKey(a.candidate, b.candidate));
}

/** Two costs this near count as the same, and the next want decides. */
const AS_GOOD = 0.05;

/**
 * The front by an order of wants: by the first, in steps of 5 % of its span, then within a step by the next, and so on.
 */
export function rankByOrder(front: readonly Found[], order: readonly WantId[]): readonly Found[] {
  const steps = order.map((want) => {
    const known = front.map(({ figures }) => costOf(want, figures)).filter(Number.isFinite);
    const [least, most] = [Math.min(...known), Math.max(...known)];
    const step = AS_GOOD * (most - least);
    return ({ figures }: Found): number => {
      const cost = costOf(want, figures);
      if (!Number.isFinite(cost)) return Infinity;
      return step > 0 ? Math.floor((cost - least) / step) : 0;
    };
  });
  return [...front].sort((a, b) => {
    for (const place of steps) {
      const [x, y] = [place(a), place(b)];
      if (x !== y) return x < y ? -1 : 1;
    }
    for (const want of order) {
      const [x, y] = [costOf(want, a.figures), costOf(want, b.figures)];
      if (x !== y) return x < y ? -1 : 1;
    }
    return byKey(a, b);
  });
}

const byKey = (a: Found, b: Found): number => (a.key < b.key ? -1 : 1);

export type WantNumbers = Readonly<Record<WantId, number>>;

/** The greatest weight that is offered. */
const MOST_WEIGHT = 5;

/**
 * Weights as places and places as weights, so that what mattered most still does when a person ranks the other way: of
 * weights the heaviest becomes the first place, and of places the first the heaviest weight. What is left out stays out.
 *
 * @example rankedOtherwise({ time: 5, mass: 2, price: 0, current: 0, margin: 3, slow: 0, common: 0, bought: 0 }, 'order').margin //=> 2
 */
export function rankedOtherwise(numbers: WantNumbers, to: 'weights' | 'order'): WantNumbers {
  const wants = (Object.keys(numbers) as WantId[]).filter((want) => numbers[want] > 0);
  const inOrder = wants.sort((a, b) => (to === 'order' ? numbers[b] - numbers[a] : numbers[a] - numbers[b]));
  const ranked = inOrder.map((want, i) => [want, to === 'order' ? i + 1 : Math.max(1, MOST_WEIGHT - i)] as const);
  return { ...numbers, ...Object.fromEntries(ranked) };
}
