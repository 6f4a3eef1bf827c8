import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { GOLDEN_PLANS, numbersOf } from './golden/results.js';

const kept = JSON.parse(readFileSync(new URL('golden/results.json', import.meta.url), 'utf8')) as Record<
  string,
  Record<string, number>
>;

/** Faster must not mean other: a share of 1e-6 is what no one can measure. */
const WITHIN = 1e-6;

describe('what core computed when it was written down', () => {
  it.each(Object.keys(GOLDEN_PLANS))('of %s it computes today', (name) => {
    const now = numbersOf(GOLDEN_PLANS[name]!);
    expect(Object.keys(now).sort()).toEqual(Object.keys(kept[name]!).sort());
    const off = Object.entries(kept[name]!).flatMap(([place, was]) => {
      const is = now[place]!;
      return Math.abs(is - was) <= WITHIN * Math.max(Math.abs(was), 1e-9) ? [] : [`${place}: ${was} → ${is}`];
    });
    expect(off).toEqual([]);
  });
});
