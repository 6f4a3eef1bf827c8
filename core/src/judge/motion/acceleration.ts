import { brakeInto } from '../../models/controller/brakePoint.js';
import type { HeldBy } from '../../models/controller/drive.js';
import { driveInto } from '../../models/controller/drivePoint.js';
import type { MotionSystem } from './system.js';

/**
 * dv/dt at one place and speed, and what flows in one motor then; what it returns to the pack counts negative, and so
 * does braking torque at the shaft. Written into again and again: a run asks hundreds of times.
 */
export interface Pull {
  acceleration: number;
  motorCurrent: number;
  supplyCurrent: number;
  shaftTorque: number;
  heldBy: HeldBy;
  slipping: boolean;
}

export const newPull = (): Pull => ({
  acceleration: 0,
  motorCurrent: 0,
  supplyCurrent: 0,
  shaftTorque: 0,
  heldBy: 'voltage',
  slipping: false,
});

/** What pulls at a place, a speed and a time since the start, written into `into`. */
export type PullRule = (q: number, speed: number, time: number, into: Pull) => Pull;

/**
 * Full effort forwards at a time since the start; a ramp holds the duty back at first.
 *
 * @example pullAt(system, 0, 0).acceleration //=> 5.059
 */
export function pullAt(system: MotionSystem, q: number, speed: number, time = Infinity, into = newPull()): Pull {
  const { drive, rampTime = 0 } = system;
  const ramping = time < rampTime;
  const duty = ramping ? Math.max(1e-9, drive.greatestDuty * (time / rampTime)) : drive.greatestDuty;
  driveInto(into, drive, omega(system, speed), duty);
  accelerate(system, q, speed, into);
  // Not yet enough to move it: it waits for the ramp.
  if (ramping && speed <= 0 && into.acceleration < 0) into.acceleration = 0;
  return into;
}

/**
 * Full braking within the braking limits.
 *
 * @example brakeAt(system, 0, 0.8).acceleration //=> -10.41
 */
export function brakeAt(system: MotionSystem, q: number, speed: number, into = newPull()): Pull {
  brakeInto(into, system.drive, omega(system, speed));
  return accelerate(system, q, speed, into);
}

/**
 * Nothing commanded and nothing shorted: only friction, and a drag offset that cancels some of it.
 *
 * @example coastAt(system, 0, 0.8, 0).acceleration //=> -6.883
 */
export function coastAt(system: MotionSystem, q: number, speed: number, offset: number, into = newPull()): Pull {
  const { motor } = system.drive;
  const drag = motor.freeCurrent + motor.freeCurrentPerSpeed * omega(system, speed);
  into.motorCurrent = offset;
  into.supplyCurrent = 0;
  into.shaftTorque = motor.torqueConstant * (offset - drag);
  into.heldBy = 'stator';
  return accelerate(system, q, speed, into);
}

const omega = ({ total, radius }: MotionSystem, speed: number): number => (speed * total) / radius;

/**
 * (M + n·Jr·(G/r)²·η)·dv/dt = n·T·(G/r)·η − F. The sign of the force in the mesh decides the losses:
 * where the load drives, 1/ηb stands for η. A rope carries no push. Driving the tyres carry M·a + F,
 * braking −M·a − F: beyond their grip the wheels slip.
 */
function accelerate(system: MotionSystem, q: number, speed: number, into: Pull): Pull {
  const { drive, load, efficiency, backEfficiency } = system;
  const lever = system.total / system.radius;
  const mass = load.inertia(q);
  const force = load.force(q, speed);
  const rotors = drive.motors * drive.rotorInertia * lever * lever;
  const driving = drive.motors * into.shaftTorque * lever;
  let acceleration = (driving * efficiency - force) / (mass + rotors * efficiency);
  if (mass * acceleration + force < 0) {
    acceleration =
      load.rope === 'up' ? -force / mass : (driving - force * backEfficiency) / (mass * backEfficiency + rotors);
  } else if (load.rope === 'down') {
    acceleration = -force / mass;
  }
  into.slipping = false;
  const { traction } = load;
  if (traction !== undefined) {
    const carried = mass * acceleration + force;
    if (carried > traction) {
      acceleration = (traction - force) / mass;
      into.slipping = true;
    } else if (carried < -traction) {
      acceleration = -(traction + force) / mass;
      into.slipping = true;
    }
  }
  into.acceleration = acceleration;
  return into;
}
