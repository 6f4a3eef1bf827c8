import { centreForPitches } from './runLength.js';

/** Belts in a row by way of middle shafts, where the longest that is sold does not reach. */
export interface BeltLadder {
  /** Middle shafts, each with two equal pulleys. */
  readonly middles: number;
  /** How far apart the outer shafts can then be, m. */
  readonly reach: number;
}

/**
 * The ladder for a wanted centre: the pair of pulleys on the longest belt, then as many equal steps of it as it takes.
 * `undefined` where one belt reaches, or where none goes round.
 */
export function beltLadder(
  pitch: number,
  driver: number,
  driven: number,
  longest: number,
  wanted: number,
): BeltLadder | undefined {
  const first = centreForPitches(pitch, Math.min(driver, driven), Math.max(driver, driven), longest);
  const step = centreForPitches(pitch, driver, driver, longest);
  if (first === undefined || step === undefined || wanted <= first) return undefined;
  const middles = Math.ceil((wanted - first) / step);
  return { middles, reach: first + middles * step };
}
