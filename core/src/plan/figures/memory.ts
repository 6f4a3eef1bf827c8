import type { Figure } from './figure.js';
import type { FigureName } from './table.js';

/** What something was read from: the object itself first, then whatever else the reading depends on. */
export type ReadFrom = readonly [object, ...unknown[]];

export interface Remembered {
  readonly from: ReadFrom;
  readonly figures: readonly Figure[];
  /** What each of them is, in the same order. */
  readonly names: readonly FigureName[];
  readonly value: unknown;
}

/** So many readings of one object are kept: it may stand in several mechanisms. */
const MOST = 8;

/**
 * What was read from an object of a plan, with the figures it gave. Plans share what a change leaves alone, so that
 * sameness is enough to ask: a keystroke reads again only what it touches.
 */
export class Memory {
  private readonly known = new WeakMap<object, Remembered[]>();

  find(from: ReadFrom): Remembered | undefined {
    return this.known.get(from[0])?.find((one) => same(one.from, from));
  }

  keep(remembered: Remembered): void {
    const [of] = remembered.from;
    this.known.set(of, [remembered, ...(this.known.get(of) ?? [])].slice(0, MOST));
  }
}

const same = (a: ReadFrom, b: ReadFrom): boolean =>
  a.length === b.length && a.every((part, i) => Object.is(part, b[i]));
