import type { LaneNow } from './laneNow.js';

/** γ of the two-stage Rosenbrock step: second order, and steady however stiff. */
const GAMMA = 1 - Math.SQRT1_2;
/** A stop counts as there within this share of its way. */
const STANDS_WITHIN = 0.04;

/** Settles the pack at a time for where the lanes are within a step; gives back its volts. */
export type VoltsAt = (time: number) => number;

/** Where all movers are within a step, and the room a step needs. */
export class Step {
  readonly places: Float64Array;
  readonly speeds: Float64Array;
  /** dv/dt at the beginning. */
  private readonly slopes: Float64Array;
  private readonly k1v: Float64Array;
  private readonly k1q: Float64Array;
  private readonly stiff: Float64Array;

  constructor(private readonly lanes: readonly LaneNow[]) {
    const room = () => new Float64Array(lanes.length);
    [this.places, this.speeds, this.slopes] = [room(), room(), room()];
    [this.k1v, this.k1q, this.stiff] = [room(), room(), room()];
  }

  /** Begins where the movers are. */
  reset(): void {
    this.lanes.forEach(({ mover }, i) => {
      this.places[i] = mover?.place ?? 0;
      this.speeds[i] = mover?.speed ?? 0;
    });
  }

  /** Where every mover comes to after `h` seconds. `volts` are those at the beginning. */
  advance(time: number, h: number, volts: number, voltsAt: VoltsAt): void {
    const { places, speeds, slopes, k1v, k1q, stiff } = this;
    this.lanes.forEach(({ mover, moves }, i) => {
      if (!mover || !moves) return;
      const { place, speed } = mover;
      const a = mover.at(volts, place, speed, time).acceleration;
      const dv = Math.max(1e-6, 1e-4 * Math.abs(speed));
      stiff[i] = Math.min(0, (mover.at(volts, place, speed + dv, time).acceleration - a) / dv);
      slopes[i] = a;
      k1v[i] = a / (1 - GAMMA * h * stiff[i]!);
      k1q[i] = speed + GAMMA * h * k1v[i]!;
      places[i] = place + h * k1q[i]!;
      speeds[i] = Math.max(0, speed + h * k1v[i]!);
    });
    const there = voltsAt(time + h);
    this.lanes.forEach(({ mover, moves }, i) => {
      if (!mover || !moves) return;
      const a = mover.at(there, places[i]!, speeds[i]!, time + h).acceleration;
      const k2v = (a - 2 * k1v[i]!) / (1 - GAMMA * h * stiff[i]!);
      const k2q = speeds[i]! - 2 * k1q[i]! + GAMMA * h * k2v;
      places[i] = mover.place + h * (1.5 * k1q[i]! + 0.5 * k2q);
      speeds[i] = Math.max(0, mover.speed + h * (1.5 * k1v[i]! + 0.5 * k2v));
    });
  }

  /** The share of a step of `h` seconds after which the first lane arrives or must brake; 1 where none does. */
  firstEvent(h: number): number {
    let least = 1;
    this.lanes.forEach((lane, i) => {
      const { mover } = lane;
      if (!mover || !lane.moves) return;
      const [place, speed] = [this.places[i]!, this.speeds[i]!];
      if (hasArrived(lane, place, speed)) least = Math.min(least, shareUntil(lane, place, speed, this.slopes[i]! * h));
      else {
        const over = mover.overrun(place, speed);
        const short = mover.overrun(mover.place, mover.speed);
        if (over > 0 && short < 0) least = Math.min(least, short / (short - over));
      }
    });
    return least;
  }
}

/** Whether a go is over where its lane stands. */
export function hasArrived(lane: LaneNow, place: number, speed: number): boolean {
  const { mover, job, due } = lane;
  if (!mover || !due || job?.kind !== 'moved') return false;
  const { travel, target } = job.asked;
  if (target !== undefined) return speed >= target;
  if (travel === undefined) return false;
  if (mover.command.kind !== 'stop') return place >= travel;
  return mover.brakes && speed <= 0 && place >= (1 - STANDS_WITHIN) * travel;
}

/** Share of a step after which it is there, straight between its two ends; `gained` is the speed it gains in the step. */
function shareUntil({ mover, job }: LaneNow, place: number, speed: number, gained: number): number {
  if (!mover || job?.kind !== 'moved') return 1;
  const { travel, target } = job.asked;
  if (target !== undefined) return (target - mover.speed) / Math.max(speed - mover.speed, 1e-12);
  // One that stops has stood since its speed was gone.
  if (travel === undefined || mover.command.kind === 'stop') return gained < 0 ? Math.min(1, mover.speed / -gained) : 1;
  return (travel - mover.place) / Math.max(place - mover.place, 1e-12);
}
