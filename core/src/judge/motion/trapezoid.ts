import { flowFor } from './flowFor.js';
import { ENERGY, I2, slopeInto, stateOf, type State } from './integrate.js';
import type { Run } from './run.js';
import type { MotionSystem } from './system.js';
import { Watch } from './watch.js';

const POINTS = 24;

/** A commanded motion: speeding up at a, at most v, slowing down at a, standing at the end. SI on q. */
export interface Trapezoid {
  readonly speed: number;
  readonly acceleration: number;
}

/**
 * Its three phases: how long each takes. The middle one is 0 where it never gets to its speed.
 *
 * @example phasesOf({ speed: 0.8, acceleration: 2 }, 1.2) //=> { top: 0.8, slope: 0.4, middle: 1.1, total: 1.9 }
 */
export function phasesOf({ speed, acceleration }: Trapezoid, travel: number) {
  const top = Math.min(speed, Math.sqrt(acceleration * travel));
  const slope = top / acceleration;
  const middle = Math.max(0, (travel - top * slope) / top);
  return { top, slope, middle, total: 2 * slope + middle };
}

/**
 * Goes along the commanded motion and asks at each moment what it takes of one motor, against the most
 * that is there at that speed, driving or braking. The least of those multiples says whether it can
 * follow, and the first moment under 1 where it falls behind.
 *
 * @example trapezoid(system, { speed: 0.9, acceleration: 4 }).time //=> 1.725
 */
export function trapezoid(system: MotionSystem, profile: Trapezoid): Run {
  const { until } = system;
  if (!('travel' in until)) throw new Error('a trapezoid needs a place to end at');
  const { top, slope, middle, total } = phasesOf(profile, until.travel);
  const watch = new Watch(system);
  let state: State = stateOf(0, 0);
  let before: { time: number; slope: State } | undefined;
  let multiple = Infinity;
  let behindAt: { time: number; place: number } | undefined;
  const phases = [
    { from: 0, seconds: slope, a: profile.acceleration },
    { from: slope, seconds: middle, a: 0 },
    { from: slope + middle, seconds: slope, a: -profile.acceleration },
  ];
  for (const { from, seconds, a } of phases) {
    if (seconds <= 0) continue;
    for (let i = 0; i <= POINTS; i++) {
      const time = from + (seconds * i) / POINTS;
      const [place, speed] = commandedAt(time, profile.acceleration, top, slope, middle, total, until.travel);
      const asked = flowFor(system, place, speed, a);
      if (asked.multiple < multiple) multiple = asked.multiple;
      if (asked.multiple < 1 && !behindAt) behindAt = { time, place };
      const now = stateOf(0, 0);
      slopeInto(now, system, speed, asked.pull);
      const step = before ? time - before.time : 0;
      const mean = (i: 2 | 3) => (before ? ((before.slope[i]! + now[i]!) / 2) * step : 0);
      state = stateOf(place, speed, state[ENERGY]! + mean(ENERGY), state[I2]! + mean(I2));
      before = { time, slope: now };
      watch.see(time, state, asked.pull);
    }
  }
  const follows = { multiple, behindAt };
  return { ...watch.result('arrived', total, state), follows };
}

function commandedAt(
  time: number,
  a: number,
  top: number,
  slope: number,
  middle: number,
  total: number,
  travel: number,
) {
  if (time <= slope) return [(a * time * time) / 2, a * time] as const;
  if (time <= slope + middle) return [(top * slope) / 2 + top * (time - slope), top] as const;
  const left = Math.max(0, total - time);
  return [travel - (a * left * left) / 2, a * left] as const;
}
