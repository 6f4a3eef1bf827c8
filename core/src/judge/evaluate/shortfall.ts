import { bisect } from '../../models/numbers/bisect.js';
import { motorSpeed, type PowerPath } from '../../path/powerpath/path.js';
import type { Limit } from '../limits/limit.js';
import type { Situation } from '../limits/situation.js';

/**
 * How what drives falls short of a job: it stalls, with so much force at rest; or it moves, at so much speed, where what it
 * gives is what is wanted.
 */
export type Shortfall =
  { readonly kind: 'stalls'; readonly atRest: number } | { readonly kind: 'too slow'; readonly speed: number };

/**
 * The shortfall of a limit that ends how fast the output moves, and its multiple: force at rest over force wanted where
 * nothing moves, speed reached over speed wanted where it does. `undefined` of any other limit, and where the job is done.
 * Too slow meets the multiple of a job that is done at 1, without a step.
 *
 * @param capacity what the limit gives at the speed wanted, in the load's own unit
 */
export function shortfallOf<P extends PowerPath>(
  path: P,
  limit: Limit<P>,
  situation: Situation,
  capacity: number,
): { readonly shortfall: Shortfall; readonly multiple: number } | undefined {
  const { demand, speed } = situation;
  if (!limit.slows || situation.id !== 'working' || !(speed > 0) || !(capacity < demand)) return undefined;
  const gives = (v: number): number =>
    Math.max(0, limit.capacity(path, { ...situation, speed: v, motorSpeed: motorSpeed(path, v) }));
  const atRest = gives(0);
  if (!(atRest > demand)) return { shortfall: { kind: 'stalls', atRest }, multiple: atRest / demand };
  const [reached] = bisect(0, speed, (v) => gives(v) >= demand);
  return { shortfall: { kind: 'too slow', speed: reached }, multiple: reached / speed };
}

/**
 * Where a rung stands among others, the worse the less: what stalls is under half, what is too slow between that and 1, and
 * whatever does the job at its multiple.
 *
 * @example standingOf({ multiple: 0.8, shortfall: { kind: 'too slow', speed: 0.4 } }) //=> 0.9
 */
export function standingOf({
  multiple,
  shortfall,
}: {
  readonly multiple?: number;
  readonly shortfall?: Shortfall;
}): number | undefined {
  if (multiple === undefined || !shortfall) return multiple;
  return shortfall.kind === 'stalls' ? multiple / 2 : (1 + multiple) / 2;
}
