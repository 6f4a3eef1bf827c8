import { bisect } from '../../models/numbers/bisect.js';
import { motorSpeed, type PowerPath } from '../../path/powerpath/path.js';
import type { Limit } from '../limits/limit.js';
import { startingDemand, type Situation } from '../limits/situation.js';

/**
 * How what drives falls short of a job: it is off, for want of volts even at rest; it stalls, with so much force at rest; it moves, at so much speed, where what it
 * gives is what is wanted; or it starts, with so much acceleration.
 */
export type Shortfall =
  | { readonly kind: 'off'; readonly volts: number; readonly least: number }
  | { readonly kind: 'stalls'; readonly atRest: number }
  | { readonly kind: 'too slow'; readonly speed: number }
  | { readonly kind: 'starts slowly'; readonly acceleration: number };

/** A shortfall with its multiple. */
export interface Short {
  readonly shortfall: Shortfall;
  readonly multiple: number;
}

/**
 * The shortfall of a limit, and its multiple: volts at rest over the least that are needed where it is off; force at rest over force wanted where nothing moves; speed reached over speed
 * wanted, of one that ends how fast the output moves; acceleration over acceleration wanted, where a part of what is there
 * goes into the motor itself. `undefined` of any other limit, and where the job is done. A shortfall meets the multiple of a
 * job that is done at 1, without a step.
 *
 * @param capacity what the limit gives as it is wanted, in the load's own unit
 */
export function shortfallOf<P extends PowerPath>(
  path: P,
  limit: Limit<P>,
  situation: Situation,
  capacity: number,
): Short | undefined {
  if (!(capacity < situation.demand)) return undefined;
  const off = limit.off?.(path);
  if (off) return { shortfall: { kind: 'off', volts: off.there, least: off.least }, multiple: off.there / off.least };
  if (situation.id === 'starting') return startingShort(path, limit, situation, capacity);
  return limit.slows && situation.id === 'working' && situation.speed > 0
    ? workingShort(path, limit, situation)
    : undefined;
}

function workingShort<P extends PowerPath>(path: P, limit: Limit<P>, situation: Situation): Short {
  const { demand, speed } = situation;
  const gives = (v: number): number =>
    Math.max(0, limit.capacity(path, { ...situation, speed: v, motorSpeed: motorSpeed(path, v) }));
  const atRest = gives(0);
  if (!(atRest > demand)) return { shortfall: { kind: 'stalls', atRest }, multiple: atRest / demand };
  const [reached] = bisect(0, speed, (v) => gives(v) >= demand);
  return { shortfall: { kind: 'too slow', speed: reached }, multiple: reached / speed };
}

/** Less acceleration asks less of the load, and leaves more of what there is. */
function startingShort<P extends PowerPath>(
  path: P,
  limit: Limit<P>,
  situation: Situation,
  capacity: number,
): Short | undefined {
  const wanted = situation.acceleration;
  if (!(wanted > 0)) return undefined;
  const takes = (acceleration: number): number => startingDemand(path, acceleration);
  const gives = (acceleration: number): number =>
    Math.max(0, limit.capacity(path, { ...situation, acceleration, demand: takes(acceleration) }));
  const [atRest, least] = [gives(0), takes(0)];
  // Nothing goes into the motor itself: what is lacking is force.
  if (!(atRest > capacity * (1 + 1e-9))) return undefined;
  if (!(atRest > least)) return { shortfall: { kind: 'stalls', atRest }, multiple: atRest / least };
  const [reached] = bisect(0, wanted, (a) => gives(a) >= takes(a));
  return { shortfall: { kind: 'starts slowly', acceleration: reached }, multiple: reached / wanted };
}

/**
 * Where a rung stands among others, the worse the less: what is off is under nothing, what stalls is under half, what is too slow is between that and 1, and
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
  if (shortfall.kind === 'off') return multiple - 1;
  return shortfall.kind === 'stalls' ? multiple / 2 : (1 + multiple) / 2;
}
