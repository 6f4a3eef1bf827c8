import type { Figure } from './figure.js';

/** What something was read from: the object itself first, then whatever else the reading depends on. */
export type ReadFrom = readonly [object, ...unknown[]];

interface Remembered {
  readonly from: ReadFrom;
  readonly figures: readonly Figure[];
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

  keep(from: ReadFrom, figures: readonly Figure[], value: unknown): void {
    const before = this.known.get(from[0]) ?? [];
    this.known.set(from[0], [{ from, figures, value }, ...before].slice(0, MOST));
  }
}

const same = (a: ReadFrom, b: ReadFrom): boolean =>
  a.length === b.length && a.every((part, i) => Object.is(part, b[i]));
