import { centreForPitches, pitchesAround, speedRipple } from './runLength.js';

/** A whole number of links, and the centres at which it lies taut. */
export interface WholeLinks {
  readonly links: number;
  readonly centre: number;
}

export interface ChainRun {
  /** Pitches that the wanted centre would take; whole only by luck, NaN where the shafts cannot be so near. */
  readonly lengthInPitches: number;
  /** The even counts either side, with their exact centres. */
  readonly below: WholeLinks | undefined;
  readonly above: WholeLinks;
  /** The odd count between them: it needs an offset link, which is weaker than the chain. */
  readonly odd: WholeLinks | undefined;
  readonly ripple: number;
}

/** Whole links for a wanted centre. An exact even count is the one *below*. */
export function chainRun(pitch: number, driver: number, driven: number, centre: number): ChainRun {
  const [small, large] = driver < driven ? [driver, driven] : [driven, driver];
  const lengthInPitches = pitchesAround(pitch, small, large, centre);
  // Nearer than the wheels let the shafts be, the shortest that goes round is the answer.
  const even = 2 * Math.floor((Number.isNaN(lengthInPitches) ? large : lengthInPitches) / 2 + 1e-9);
  const at = (links: number): WholeLinks | undefined => {
    const found = centreForPitches(pitch, small, large, links);
    return found === undefined ? undefined : { links, centre: found };
  };
  let next = even + 2;
  while (!at(next)) next += 2;
  return {
    lengthInPitches,
    below: at(even),
    above: at(next)!,
    odd: at(even + 1),
    ripple: speedRipple(small),
  };
}

/** Weakest link of an odd chain: an offset link carries about two thirds of a plain one, typical. */
export const OFFSET_LINK_SHARE = 0.65;

/** Allowance for a chain's wear as a share of its length: typical 1 %, worn out at 3 %. */
export const TYPICAL_WEAR = 0.01;
export const WORN_OUT = 0.03;

/**
 * How far the shafts must be moved apart to take up the wear of a chain: half its growth, a little more
 * where its strands stand at an angle.
 *
 * @example wearTakeUp(0.00635, 16, 48, 96, 0.02) //=> 0.006174
 */
export function wearTakeUp(pitch: number, driver: number, driven: number, links: number, wear: number): number {
  const [small, large] = driver < driven ? [driver, driven] : [driven, driver];
  const fresh = centreForPitches(pitch, small, large, links);
  const worn = centreForPitches(pitch, small, large, links * (1 + wear));
  return fresh === undefined || worn === undefined ? NaN : worn - fresh;
}

/**
 * Mid-span sag of the slack strand of a chain that is `slack` too long, over a span: √(3·span·slack/8).
 *
 * @example sagOf(0.2, 0.002) //=> 0.01225
 */
export const sagOf = (span: number, slack: number): number => Math.sqrt((3 * span * Math.max(0, slack)) / 8);
