import { bisect } from '../../models/numbers/bisect.js';
import { pullAt } from './acceleration.js';
import { ENERGY, I2, Q, V, slopeInto, stateOf, type State } from './integrate.js';
import type { Run } from './run.js';
import type { MotionSystem } from './system.js';
import type { Watch } from './watch.js';

/**
 * Speed at which the pack's rest voltage is all back-EMF: nothing goes faster by itself.
 *
 * @example fastestOf(system) //=> 1.543
 */
export function fastestOf({ drive, radius, total }: MotionSystem): number {
  return (drive.restVoltage / drive.motor.backEmfConstant) * (radius / total);
}

/** Seconds in which speed settles, from how acceleration falls with it; ∞ where it does not. */
export function relaxation(system: MotionSystem, q: number, speed: number): number {
  const nudge = 1e-4 * fastestOf(system);
  const fall = (pullAt(system, q, speed).acceleration - pullAt(system, q, speed + nudge).acceleration) / nudge;
  return fall > 0 ? 1 / fall : Infinity;
}

/** Goes on at the speed at which drive and load balance, place by place. */
export function alongSettled(
  system: MotionSystem,
  watch: Watch,
  from: State,
  since: number,
  end: number,
  count: number,
): Run {
  let [state, time] = [from, since];
  const { until } = system;
  for (let i = 0; i < count; i++) {
    const balance = balanceAt(system, state[Q]!);
    if (!balance) return watch.result('stalled', time, stateOf(state[Q]!, 0, state[ENERGY], state[I2]));
    const { speed, slope } = balance;
    if ('speed' in until) {
      const reached = speed >= until.speed;
      return watch.result(
        reached ? 'arrived' : 'time-up',
        reached ? time : end,
        stateOf(state[Q]!, speed, state[ENERGY], state[I2]),
      );
    }
    const left = 'travel' in until ? (until.travel - state[Q]!) / speed : end - time;
    const step = Math.min(left / (count - i), end - time);
    state = stateOf(
      state[Q]! + speed * step,
      speed,
      state[ENERGY]! + slope[ENERGY]! * step,
      state[I2]! + slope[I2]! * step,
    );
    time += step;
    watch.see(time, state, pullAt(system, state[Q]!, speed), (q, v, _time, into) =>
      pullAt(system, q, v, Infinity, into),
    );
    if (time >= end) return watch.result('time' in until ? 'arrived' : 'time-up', time, state);
  }
  return watch.result('arrived', time, state);
}

/**
 * The speed at one place at which nothing speeds up any more, and how the state changes there; `undefined` where it
 * cannot start. Where a limit makes the pull jump, the load balances between both sides of the jump: it goes to and fro
 * between them, each for such a share of the time that speed stays (a sliding mode, after Filippov).
 */
function balanceAt(system: MotionSystem, q: number): { readonly speed: number; readonly slope: State } | undefined {
  if (!(pullAt(system, q, 0).acceleration > 0)) return undefined;
  const [below, above] = bisect(0, fastestOf(system), (speed) => pullAt(system, q, speed).acceleration > 0);
  if (!(below > 0)) return undefined;
  const [slope, beyond] = [stateOf(0, 0), stateOf(0, 0)];
  slopeInto(slope, system, below, pullAt(system, q, below));
  slopeInto(beyond, system, above, pullAt(system, q, above));
  const share = beyond[V]! < 0 ? slope[V]! / (slope[V]! - beyond[V]!) : 0;
  for (const part of [ENERGY, I2]) slope[part]! += share * (beyond[part]! - slope[part]!);
  return { speed: below, slope };
}
