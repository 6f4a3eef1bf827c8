import type { Part } from '../document/part.js';
import type { Quantity } from '../document/quantity.js';

/** Two figures of a part of which one must be greater than the other. */
interface Pair {
  readonly less: string;
  readonly lessAt: Quantity | undefined;
  readonly more: string;
  readonly moreAt: Quantity | undefined;
  readonly because: string;
}

/**
 * Why two figures of a part cannot both be right, in a sentence; `undefined` where nothing speaks against them.
 *
 * @example clashIn({ kind: 'wire', name: 'a wire' }) //=> undefined
 */
export function clashIn(part: Part): string | undefined {
  const clash = pairsOf(part).find(({ lessAt, moreAt }) => lessAt && moreAt && lessAt.si >= moreAt.si);
  if (!clash) return undefined;
  const { less, lessAt, more, moreAt, because } = clash;
  return `${more} ${moreAt!.as} must be greater than ${less} ${lessAt!.as}: ${because}`;
}

function pairsOf(part: Part): readonly Pair[] {
  switch (part.kind) {
    case 'motor':
      return part.data.form === 'sheet'
        ? [
            {
              less: 'free current',
              lessAt: part.data.freeCurrent,
              more: 'stall current',
              moreAt: part.data.stallCurrent,
              because: 'a motor that is held draws more than one that turns freely',
            },
          ]
        : [];
    case 'controller':
    case 'driver':
      return [
        {
          less: 'least volts',
          lessAt: part.lowestVoltage,
          more: 'highest volts',
          moreAt: part.highestVoltage,
          because: 'it works between the two',
        },
      ];
    case 'servo':
      return [
        {
          less: 'shortest pulse',
          lessAt: part.shortestPulse,
          more: 'longest pulse',
          moreAt: part.longestPulse,
          because: 'its travel lies between the two',
        },
      ];
    default:
      return [];
  }
}
