import type { Part } from '../document/part.js';
import type { Quantity } from '../document/quantity.js';

/** Two figures of a part of which one must be greater than the other, and how that is said. */
interface Pair {
  readonly less: Quantity | undefined;
  readonly more: Quantity | undefined;
  readonly said: (less: string, more: string) => string;
}

/**
 * Why two figures of a part cannot both be right, whichever was typed last; `undefined` where nothing speaks against them.
 *
 * @example clashIn({ kind: 'wire', name: 'a wire' }) //=> undefined
 */
export function clashIn(part: Part): string | undefined {
  const clash = pairsOf(part).find(({ less, more }) => less && more && less.si >= more.si);
  return clash?.said(clash.less!.as, clash.more!.as);
}

function pairsOf(part: Part): readonly Pair[] {
  switch (part.kind) {
    case 'motor': {
      if (part.data.form !== 'sheet') return [];
      const said = (free: string, held: string) => `held it draws more than turning freely, not ${held} and ${free}`;
      return [{ less: part.data.freeCurrent, more: part.data.stallCurrent, said }];
    }
    case 'controller':
    case 'driver': {
      const said = (low: string, high: string) => `it works from its least volts up, not from ${low} to ${high}`;
      return [{ less: part.lowestVoltage, more: part.highestVoltage, said }];
    }
    case 'servo': {
      const said = (short: string, long: string) =>
        `it turns from its shortest pulse to its longest, not from ${short} to ${long}`;
      return [{ less: part.shortestPulse, more: part.longestPulse, said }];
    }
    default:
      return [];
  }
}
