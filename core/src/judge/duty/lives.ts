import { amount, say, type Words } from '../../plan/words/phrase.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import type { DcPath } from '../../path/powerpath/path.js';
import type { Run } from '../motion/run.js';
import { dayOf, runTimeOf } from './day.js';

/**
 * A winding's temperature as it is told. Past what it stands there is none to tell: it burns out.
 *
 * @param after s of the duty until it is at its limit, where that is known
 * @example windingWords(793, 120, 51)
 */
export function windingWords(celsius: number, limit: number, after?: number): Words {
  if (!(celsius > limit)) return say`${amount(celsius, 'temperature')}`;
  return after === undefined ? 'burns out' : burnsOutWords(after);
}

/** "burns out after 51 s" */
export const burnsOutWords = (after: number): Words => say`burns out after ${amount(after, 'time')}`;

/** What the winding of a path's motors stands, °C. */
export function windingLimitOf(path: AnyPath): number {
  switch (path.machine) {
    case 'dc':
      return path.motor.thermal.windingLimit;
    case 'step':
      return path.step.thermal.windingLimit;
    case 'servo':
      return path.servo.thermal.windingLimit;
  }
}

/** When a winding burns out at a job, s; ∞ where it lives through the matches. Nothing where its heat is not known. */
export function burnsOutAfter(path: DcPath, run: Run): number | undefined {
  if (path.lacks.heat) return undefined;
  const { heat } = dayOf(path, run);
  return heat && (heat.limitAt ?? Infinity);
}

/**
 * Whether a job gets where it is to be, again and again: then hours of its brushes and minutes of its pack mean something.
 *
 * @example lastsThrough(path, judgement.run) //=> true
 */
export const lastsThrough = (path: DcPath, run: Run): boolean =>
  run.outcome === 'arrived' && (burnsOutAfter(path, run) ?? Infinity) === Infinity;

/** Longer than this no day of matches is, s. */
const DAY_OF_MATCHES = 8 * 3600;

/**
 * How long the pack keeps one job going, over and over and alone on it, s; ∞ where that is longer than a day of matches;
 * `undefined` of what does not arrive or burns out before, and where the charge is not known.
 *
 * @example packLasts(path, judgement.run) //=> 6838
 */
export function packLasts(path: DcPath, run: Run): number | undefined {
  if (!lastsThrough(path, run)) return undefined;
  const seconds = runTimeOf(path, run);
  return seconds !== undefined && seconds > DAY_OF_MATCHES ? Infinity : seconds;
}
