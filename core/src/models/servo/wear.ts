import type { ServoGears } from '../../plan/document/part.js';

/** Hours of moving at a third of the stall torque until gears have twice the play they came with; ours, ×/÷ 3. */
const DOUBLES: Readonly<Record<ServoGears, number>> = {
  plastic: 30,
  'reinforced resin': 60,
  brass: 60,
  aluminium: 80,
  steel: 200,
  titanium: 250,
};
/** A usual servo's, where its sheet says nothing of its gears. */
const UNKNOWN = 50;
const THIRD = 1 / 3;

/**
 * Hours of moving after which gears have twice the play of new ones, at a share of the stall torque: wear goes with load and
 * way (Archard).
 *
 * @example hoursToTwicePlay('steel', 0.5) //=> 133.3
 */
export const hoursToTwicePlay = (gears: ServoGears | undefined, share: number): number =>
  ((gears ? DOUBLES[gears] : UNKNOWN) * THIRD) / Math.max(share, 1e-9);

/**
 * Play after some hours of moving, rad: what they came with and as much again for each of those times.
 *
 * @example playAfter(0.01, 100, 200) //=> 0.015
 */
export const playAfter = (play: number, hours: number, doublesIn: number): number => play * (1 + hours / doublesIn);
