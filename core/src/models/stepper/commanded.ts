import type { Asked } from '../load/load.js';

/** One stretch of a commanded motion: seconds, and speed at its start and end on q. */
export interface Stretch {
  readonly seconds: number;
  readonly from: number;
  readonly to: number;
  readonly acceleration: number;
}

/** What the pulses say the output does: up to speed, along, and down again. SI on q. */
export interface Commanded {
  readonly speed: number;
  /** 0 where it starts and stops at once. */
  readonly acceleration: number;
  readonly stretches: readonly Stretch[];
  readonly seconds: number;
}

/**
 * The commanded motion of a job. With a ramp: speed and acceleration typed, else a third of the time each for
 * speeding up, going and slowing down; never up to its speed where the way is too short. At once: the speed
 * typed, else travel over time. A job that ends at a speed is ramped up to it in its time; one that ends by time
 * goes at its speed, and one that goes on and on keeps the speed it is brought to.
 */
export function commandedMotion(asked: Asked, ramp: boolean): Commanded {
  const { travel, target, time } = asked;
  if (target !== undefined) {
    const acceleration = ramp ? (asked.typedAcceleration ?? target / time) : 0;
    return motion(target, acceleration, [...(acceleration > 0 ? [stretch(target / acceleration, 0, target)] : [])]);
  }
  if (asked.endless) return onAndOn(asked, ramp);
  if (travel === undefined) return motion(asked.speed, 0, [stretch(time, asked.speed, asked.speed)]);
  const typical = ramp ? (1.5 * travel) / time : travel / time;
  const speed = asked.typedSpeed ?? typical;
  if (!ramp) return motion(speed, 0, [stretch(travel / speed, speed, speed)]);
  const acceleration = asked.typedAcceleration ?? (3 * speed) / time;
  const top = Math.min(speed, Math.sqrt(acceleration * travel));
  const slope = top / acceleration;
  const middle = Math.max(0, travel / top - slope);
  return motion(top, acceleration, [
    stretch(slope, 0, top),
    ...(middle > 0 ? [stretch(middle, top, top)] : []),
    stretch(slope, top, 0),
  ]);
}

/** Brought to its speed once, in a third of the time or as is typed, and kept there. */
function onAndOn({ speed, time, typedAcceleration }: Asked, ramp: boolean): Commanded {
  const along = stretch(time, speed, speed);
  if (!ramp) return motion(speed, 0, [along]);
  const acceleration = typedAcceleration ?? (3 * speed) / time;
  return motion(speed, acceleration, [stretch(speed / acceleration, 0, speed), along]);
}

const stretch = (seconds: number, from: number, to: number): Stretch => ({
  seconds,
  from,
  to,
  acceleration: seconds > 0 ? (to - from) / seconds : 0,
});

const motion = (speed: number, acceleration: number, stretches: readonly Stretch[]): Commanded => ({
  speed,
  acceleration,
  stretches,
  seconds: stretches.reduce((sum, { seconds }) => sum + seconds, 0),
});
