import { bisect } from '../../models/numbers/bisect.js';
import { brakeAt, newPull, pullAt } from './acceleration.js';
import { fastestOf } from './alongSettled.js';
import { brakingStretch } from './brakeToStop.js';
import { effortStretch, endsOf, fullEffort, topSpeedAlong, type RunOptions } from './fullEffort.js';
import { Q, stateOf, V, type State } from './integrate.js';
import { flowFor, flowInto } from './flowFor.js';
import { march } from './march.js';
import type { Run } from './run.js';
import { movingOf, type MotionSystem } from './system.js';
import { Watch } from './watch.js';

const CURVE_POINTS = 64;
/** How far a step of the braking curve may be from its halves, as a share of the travel, and how often it is halved. */
const CURVE_TOLERANCE = 4e-6;
const MOST_HALVINGS = 9;
/** The run up to the brakes and the one after them together have the steps of one. */
const FEWEST_STEPS = 40;

/**
 * Full effort, then full braking as late as the braking limits allow, to stand at the end. The braking
 * curve is integrated backwards from there, with speed as what goes along; where the run crosses it the
 * brakes go on. `cannot-stop` where the brakes cannot hold what pushes.
 *
 * @example stopThere(system).time //=> 1.557
 */
export function stopThere(system: MotionSystem, options: RunOptions = {}): Run {
  const { until } = system;
  if (!('travel' in until)) return fullEffort(system, options);
  const { longest = 60 } = options;
  const watch = new Watch(system);
  const start = stateOf(0, 0);
  const first = pullAt(system, 0, 0);
  if (!(first.acceleration > 0)) {
    watch.see(0, start, first);
    return watch.result('stalled', 0, start);
  }
  const curve = brakingCurve(system, until.travel);
  if (!curve) {
    watch.see(0, start, first);
    return watch.result('cannot-stop', 0, start);
  }
  const ends = endsOf(system, longest);
  const { placeFor, fastest } = curve;
  const sped = march(system, watch, {
    ...effortStretch(system, ends, start, first.acceleration, { fewestSteps: FEWEST_STEPS, ...options }),
    past: (state) => Math.max(state[V]! - fastest, state[Q]! - placeFor(state[V]!)),
  });
  // What is at its speed that soon stops as soon: standing at the end takes no time that shows.
  if (sped.why === 'many steps') return fullEffort(system, options);
  if (sped.why !== 'beyond') return watch.result(sped.why === 'stuck' ? 'stalled' : 'time-up', sped.time, sped.state);
  const there = cruise(system, watch, sped.state, sped.time, placeFor(sped.state[V]!));
  const stopped = march(system, watch, brakingStretch(system, there.state, there.time, there.time + longest));
  const outcome = stopped.why === 'beyond' ? 'arrived' : 'cannot-stop';
  return { ...watch.result(outcome, stopped.time, stopped.state), brakesAt: there.state[Q]! };
}

/** Goes on at its speed to a place: faster, and the brakes would no longer hold it. */
function cruise(system: MotionSystem, watch: Watch, from: State, since: number, place: number) {
  const distance = place - from[Q]!;
  if (!(distance > 1e-9 * place)) return { state: from, time: since };
  const speed = from[V]!;
  const seconds = distance / speed;
  return march(system, watch, {
    rule: (q, _speed, _time, into) => {
      flowInto(into, system, q, speed, 0);
      return into;
    },
    from,
    since,
    end: since + 2 * seconds,
    past: (state) => state[Q]! - place,
    stuck: () => false,
    distance,
    speed,
    tolerance: 1e-4,
    longestStep: seconds / 12,
    firstStep: seconds / 24,
    mostSteps: 200,
  });
}

export interface BrakingCurve {
  /** Place from which full braking at a speed just stands at the end. */
  placeFor(speed: number): number;
  /** Beyond this speed the brakes would not hold what pushes. */
  readonly fastest: number;
}

/** The braking curve to `travel`, from standing there backwards; `undefined` where it does not brake at all. */
export function brakingCurve(system: MotionSystem, travel: number): BrakingCurve | undefined {
  const step = topSpeed(system, travel) / CURVE_POINTS;
  const speeds = [0];
  const places = [travel];
  const pull = newPull();
  const perSpeed = (q: number, v: number): number => {
    const { acceleration } = brakeAt(system, q, v, pull);
    return acceleration < 0 ? v / acceleration : NaN;
  };
  /** Goes on by a step of speed, halved where the brakes change from one limit to another; says whether they still hold. */
  const advance = (v: number, h: number, halvings: number): boolean => {
    const q = places.at(-1)!;
    const k1 = perSpeed(q, v);
    const k2 = perSpeed(q + (h / 2) * k1, v + h / 2);
    const k3 = perSpeed(q + (h / 2) * k2, v + h / 2);
    const k4 = perSpeed(q + h * k3, v + h);
    const next = q + (h / 6) * (k1 + 2 * k2 + 2 * k3 + k4);
    if (halvings > 0 && h * Math.abs(k1 - k2 - k3 + k4) > CURVE_TOLERANCE * travel)
      return advance(v, h / 2, halvings - 1) && advance(v + h / 2, h / 2, halvings - 1);
    if (Number.isNaN(next)) return false;
    speeds.push(v + h);
    places.push(next);
    return true;
  };
  let steps = 0;
  // Beyond this speed nothing brakes any more: so fast it must never get.
  while (steps < CURVE_POINTS && advance(steps * step, step, MOST_HALVINGS)) steps++;
  if (steps < 2) return undefined;
  const last = places.length - 1;
  const placeFor = (speed: number): number => {
    const beyond = speeds.findIndex((one) => one > speed);
    const i = Math.min(last, beyond === -1 ? last : beyond) - 1;
    const v = Math.min(speed, speeds[last]!);
    // Linear in v², which steady braking is exactly.
    const share = (v ** 2 - speeds[i]! ** 2) / (speeds[i + 1]! ** 2 - speeds[i]! ** 2);
    return places[i]! + share * (places[i + 1]! - places[i]!);
  };
  return { placeFor, fastest: withinReturn(system, speeds[last]!) };
}

/**
 * The speed, up to `fastest`, at which merely holding back what pushes returns no more than it may: braking
 * fully turns more into heat than holding does.
 */
function withinReturn(system: MotionSystem, fastest: number): number {
  const { returnLimit } = system.drive;
  if (returnLimit === undefined) return fastest;
  const returns = (speed: number) => -flowFor(system, 0, speed, 0).pull.supplyCurrent;
  if (returns(fastest) <= returnLimit) return fastest;
  return bisect(0, fastest, (speed) => returns(speed) <= returnLimit, 40)[0];
}

/** The most speed the run can have anywhere: that of full effort all the way, or what falling adds. */
function topSpeed(system: MotionSystem, travel: number): number {
  const top = topSpeedAlong(movingOf({ ...system, until: { travel } }), { tolerance: 1e-3, fewestSteps: 12 });
  return 1.05 * Math.max(top, 1e-3 * fastestOf(system));
}
