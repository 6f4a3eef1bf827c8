import { performance } from 'node:perf_hooks';

/** The least of several goes, as everywhere here: the first ones are compiled meanwhile, and others use the machine too. */
export function leastMs(goes: number, once: () => void): number {
  let least = Infinity;
  for (let i = 0; i < goes; i++) {
    const before = performance.now();
    once();
    least = Math.min(least, performance.now() - before);
  }
  return least;
}

export function round(value: number | undefined): number | undefined {
  return value === undefined ? undefined : Math.round(value * 1000) / 1000;
}

/** So many times the least that a bare loop takes. */
export const multipleOf = (bareMs: number, milliseconds: number): number =>
  Math.round((10 * milliseconds) / bareMs) / 10;
