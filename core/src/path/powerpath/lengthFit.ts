import { amount, say, type Words } from '../../plan/words/phrase.js';
import { counted } from '../../plan/words/show.js';
import { sagOf, wearTakeUp } from '../../models/reduction/chainRun.js';
import { pitchesAround } from '../../models/reduction/runLength.js';
import type { BeltParts, ChainParts } from './stageParts.js';

/** Shafts this far too wide can still be closed: less than a hand feels. */
export const TIGHT_BY = 0.0002;
/** A slack strand hanging more than this share of its span jumps. */
const MOST_SAG = 0.04;
/** A belt on fixed shafts bears this much slack before it jumps. */
const BELT_SLACK = 0.0004;

export const isUneven = (parts: ChainParts | BeltParts): boolean => parts.kind === 'chain' && parts.length % 2 === 1;

export interface LengthFit {
  readonly fits: boolean;
  /** Length that is left over, m; under 0 the run is too short. */
  readonly slack: number;
  /** Mid-span sag of a chain's slack strand, m. */
  readonly sag: number;
  /** What the shafts must move for the wear allowed. */
  readonly takeUp: number;
  readonly sentence: Words;
}

const known = new WeakMap<ChainParts | BeltParts, LengthFit>();

/** How a chain or belt of its length lies on shafts as far apart as they are. Worked out once for its parts. */
export function lengthFit(parts: ChainParts | BeltParts): LengthFit {
  let fit = known.get(parts);
  if (!fit) known.set(parts, (fit = workedOut(parts)));
  return fit;
}

function workedOut(parts: ChainParts | BeltParts): LengthFit {
  const { pitch, driver, driven, length, centre, tautCentre } = parts;
  const [small, large] = driver < driven ? [driver, driven] : [driven, driver];
  const slack = pitch * (length - pitchesAround(pitch, small, large, centre));
  const sag = sagOf(centre, slack);
  const takeUp = parts.kind === 'chain' ? wearTakeUp(pitch, driver, driven, length, parts.wear) : 0;
  const apart = amount(tautCentre, 'length', 5);
  const what = parts.kind === 'chain' ? counted(length, 'link') : `The belt of ${counted(length, 'tooth', 'teeth')}`;
  const none = { fits: false, slack, sag: 0, takeUp };
  if (!parts.reaches) return { ...none, sentence: `${what} cannot go round both wheels: it is too short.` };
  if (centre < parts.driverRadius + parts.drivenRadius)
    return { ...none, sentence: say`${what} lies taut at ${apart}, where the two wheels run into each other.` };
  if (centre - tautCentre > TIGHT_BY)
    return {
      ...none,
      sentence: say`${what} cannot be closed: taut it wants ${apart}, the shafts are ${amount(centre - tautCentre, 'length')} further apart.`,
    };
  const movable = parts.takeUp !== 'fixed';
  const loose = parts.kind === 'chain' ? sag > MOST_SAG * centre : tautCentre - centre > BELT_SLACK;
  if (loose && !movable)
    return {
      fits: false,
      slack,
      sag,
      takeUp,
      sentence: say`${what} hangs slack on fixed shafts: taut it wants ${apart}, ${amount(tautCentre - centre, 'length')} more.`,
    };
  const odd = isUneven(parts) ? ' An odd count needs an offset link, the weakest of the chain.' : '';
  const wear = parts.kind === 'chain' && movable ? say` Leave ${amount(takeUp, 'length')} to move for its wear.` : '';
  return { fits: true, slack, sag, takeUp, sentence: say`${what}, taut at ${apart}.${odd}${wear}` };
}
