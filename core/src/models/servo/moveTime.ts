import { bisect } from '../numbers/bisect.js';
/** A move of a servo: time, and the greatest speed on the way. */
export interface ServoMove {
  readonly time: number;
  readonly topSpeed: number;
  /** Share of the time spent speeding up and slowing down. */
  readonly changing: number;
}

/**
 * Time for an angle (rad), starting and ending at rest: the torque left over speeds it up along the straight
 * line ω0·(1 − T/Ts), and it slows down at the end at what the stall torque and the load leave. Closed
 * form of J·dω/dt = Ts·(1 − ω/ω0) − T. ∞ where the load is more than the stall torque.
 *
 * @example moveTime({ stallTorque: 2, freeSpeed: 8 }, 0.02, 0.5, 1) //=> { time: 0.2655, topSpeed: 5.619, changing: 1 }
 */
export function moveTime(
  { stallTorque, freeSpeed }: { readonly stallTorque: number; readonly freeSpeed: number },
  inertia: number,
  load: number,
  angle: number,
): ServoMove {
  const settled = freeSpeed * (1 - load / stallTorque);
  if (!(settled > 0)) return { time: Infinity, topSpeed: 0, changing: 1 };
  const constant = (inertia * freeSpeed) / stallTorque;
  const braking = (stallTorque + load) / inertia;
  // Reached after t: ω = ω∞·(1 − e^(−t/τ)), q = ω∞·(t − τ·(1 − e^(−t/τ))).
  const speedAfter = (t: number): number => settled * -Math.expm1(-t / constant);
  const placeAfter = (t: number): number => settled * (t + constant * Math.expm1(-t / constant));
  const endAfter = (t: number): number => placeAfter(t) + speedAfter(t) ** 2 / (2 * braking);
  const [, pushing] = bisect(0, angle / settled + 10 * constant, (time) => endAfter(time) < angle);
  const topSpeed = speedAfter(pushing);
  const slowing = topSpeed / braking;
  const time = pushing + slowing;
  return { time, topSpeed, changing: Math.min(1, (Math.min(pushing, 3 * constant) + slowing) / time) };
}

/**
 * Time to turn round from full speed one way to full speed the other, s: the motor works against its own
 * inertia and the load's, seen at the horn. 2·J·ω0/Ts, with the torque of the line's middle.
 *
 * @example reversingTime({ stallTorque: 2, freeSpeed: 8 }, 0.02) //=> 0.16
 */
export const reversingTime = (
  { stallTorque, freeSpeed }: { readonly stallTorque: number; readonly freeSpeed: number },
  inertia: number,
): number => (2 * inertia * freeSpeed) / stallTorque;

/**
 * A rotor seen at the horn: Jr·G².
 *
 * @example rotorAtHorn(2e-8, 250) //=> 0.00125
 */
export const rotorAtHorn = (rotorInertia: number, ratio: number): number => rotorInertia * ratio ** 2;
