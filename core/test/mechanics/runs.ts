import type { DcPath } from '../../src/index.js';
import { fullBraking, fullCommand } from './electrics.js';

/** Motion in small plain steps, from forces alone: what a stopwatch and an ammeter would see. */
export interface PlainRun {
  readonly arrived: boolean;
  readonly time: number;
  /** Of one motor. */
  readonly peakSupply: number;
  /** Of all motors, back into the pack. */
  readonly peakReturned: number;
  readonly moments: readonly {
    readonly seconds: number;
    readonly speed: number;
    readonly current: number;
    readonly supply: number;
    /** Pushed at, and not moving. */
    readonly stuck?: true;
  }[];
  readonly topSpeed: number;
}

/** Steps in which the whole way is cut. */
const STEPS = 1500;

/** Acceleration for a torque of each motor: where the load pushes, the losses help to hold it. */
function accelerationOf(path: DcPath, q: number, v: number, torque: number): number {
  const { drive, load, train, radius } = path;
  const lever = train.total / radius;
  const [force, mass] = [load.force(q, v), load.inertia(q)];
  const rotors = drive.motors * drive.rotorInertia * lever * lever;
  const pull = drive.motors * torque * lever;
  let a = (pull * train.efficiency - force) / (mass + rotors * train.efficiency);
  if (mass * a + force < 0) a = (pull - force * train.backEfficiency) / (mass * train.backEfficiency + rotors);
  // A rope carries no push either way: the load is then on its own.
  if ((load.rope === 'up' && mass * a + force < 0) || (load.rope === 'down' && mass * a + force > 0)) a = -force / mass;
  const { traction } = load;
  if (traction !== undefined && Math.abs(mass * a + force) > traction)
    a = (Math.sign(mass * a + force) * traction - force) / mass;
  return a;
}

/** Full effort, and from a place on full braking; without one it arrives on the move. */
function plainRun(path: DcPath, brakeFrom = Infinity, fromSpeed = 0): PlainRun {
  const { asked, drive, train, radius } = path;
  const lever = train.total / radius;
  const scale = asked.time / STEPS;
  const moments: PlainRun['moments'][number][] = [];
  let [q, v, time, peakSupply, peakReturned, topSpeed] = [0, fromSpeed, 0, 0, 0, 0];
  const done = () =>
    asked.target !== undefined
      ? v >= asked.target
      : brakeFrom < Infinity
        ? time > 0 && v <= 0
        : asked.travel === undefined
          ? time >= asked.time
          : q >= asked.travel;
  while (!done() && time < 20 * asked.time) {
    const braking = q >= brakeFrom;
    const omega = v * lever;
    const driving = braking ? undefined : fullCommand(path, omega);
    const held = braking ? fullBraking(path, omega) : undefined;
    const torque = driving ? driving.torque : -held!.torque;
    const a = accelerationOf(path, q, v, torque);
    const current = driving ? driving.motorCurrent : held!.current;
    const supply = driving ? driving.supplyCurrent : -held!.returned;
    peakSupply = Math.max(peakSupply, supply);
    peakReturned = Math.max(peakReturned, -supply * drive.motors);
    if (!braking && v <= 0 && a <= 0) {
      // What does not move is pushed at for as long as the job lasts.
      const lasts = Math.min(asked.time, asked.every);
      for (let left = lasts - time; left > 0; left -= scale)
        moments.push({ seconds: Math.min(scale, left), speed: 0, current, supply, stuck: true });
      return { arrived: false, time: Math.max(time, lasts), peakSupply, peakReturned, moments, topSpeed };
    }
    topSpeed = Math.max(topSpeed, v);
    moments.push({ seconds: scale, speed: v, current, supply });
    // Speed at the middle of the step: second order, and plain.
    const middle = Math.max(0, v + (a * scale) / 2);
    q += middle * scale;
    v = Math.max(braking ? -1 : 0, v + a * scale);
    time += scale;
  }
  return { arrived: done(), time, peakSupply, peakReturned, moments, topSpeed: Math.max(topSpeed, v) };
}

/** Full effort, then full braking as late as it may, standing at the end: where the brakes go on is looked for. */
function plainStop(path: DcPath): PlainRun {
  const travel = path.asked.travel!;
  const endOf = (place: number): number => {
    const run = plainRun(path, place);
    return run.arrived ? run.moments.reduce((q, { seconds, speed }) => q + seconds * speed, 0) : Infinity;
  };
  let [low, high] = [0, travel];
  for (let i = 0; i < 16; i++) {
    const middle = (low + high) / 2;
    if (endOf(middle) < travel) low = middle;
    else high = middle;
  }
  return plainRun(path, low);
}

/** The run of a job by the profile it asks for. */
export const runOfJob = (path: DcPath): PlainRun => (path.asked.profile === 'stop' ? plainStop(path) : plainRun(path));
