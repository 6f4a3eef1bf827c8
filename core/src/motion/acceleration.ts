import { brakePoint } from '../controller/brakePoint.js';
import type { Drive, HeldBy } from '../controller/drive.js';
import { drivePoint } from '../controller/drivePoint.js';
import type { MotionSystem } from './system.js';

/** What flows in one motor at a moment; what it returns to the pack counts negative. */
export interface Flow {
  readonly motorCurrent: number;
  readonly supplyCurrent: number;
  /** At the shaft; braking counts negative. */
  readonly shaftTorque: number;
  readonly heldBy: HeldBy;
}

/** dv/dt at one place and speed, and what flows then. */
export interface Pull {
  readonly acceleration: number;
  readonly point: Flow;
  readonly slipping: boolean;
}

/** Full effort forwards at a time since the start; a ramp holds the duty back at first. */
export function pullAt(system: MotionSystem, q: number, speed: number, time = Infinity): Pull {
  const { drive, rampTime = 0 } = system;
  const ramping = time < rampTime;
  const pull = withFlow(
    system,
    q,
    speed,
    drivePoint(ramping ? ramped(drive, time / rampTime) : drive, omega(system, speed)),
  );
  // Not yet enough to move it: it waits for the ramp.
  return ramping && speed <= 0 && pull.acceleration < 0 ? { ...pull, acceleration: 0 } : pull;
}

/** Full braking within the braking limits. */
export function brakeAt(system: MotionSystem, q: number, speed: number): Pull {
  const { motorCurrent, returnedCurrent, shaftTorque, heldBy } = brakePoint(system.drive, omega(system, speed));
  return withFlow(system, q, speed, {
    motorCurrent,
    supplyCurrent: -returnedCurrent,
    shaftTorque: -shaftTorque,
    heldBy,
  });
}

/** Nothing commanded and nothing shorted: only friction, and a drag offset that cancels some of it. */
export function coastAt(system: MotionSystem, q: number, speed: number, offset: number): Pull {
  const { motor } = system.drive;
  const drag = motor.freeCurrent + motor.freeCurrentPerSpeed * omega(system, speed);
  return withFlow(system, q, speed, {
    motorCurrent: offset,
    supplyCurrent: 0,
    shaftTorque: motor.torqueConstant * (offset - drag),
    heldBy: 'stator',
  });
}

const omega = ({ total, radius }: MotionSystem, speed: number): number => (speed * total) / radius;

const ramped = (drive: Drive, share: number): Drive => ({
  ...drive,
  greatestDuty: Math.max(1e-9, drive.greatestDuty * share),
});

/**
 * (M + n·Jr·(G/r)²·η)·dv/dt = n·T·(G/r)·η − F. The sign of the force in the mesh decides the losses:
 * where the load drives, 1/ηb stands for η. A rope carries no push. Driving the tyres carry M·a + F,
 * braking −M·a − F: beyond their grip the wheels slip.
 */
function withFlow(system: MotionSystem, q: number, speed: number, point: Flow): Pull {
  const { drive, load, efficiency, backEfficiency } = system;
  const lever = system.total / system.radius;
  const mass = load.inertia(q);
  const force = load.force(q, speed);
  const rotors = drive.motors * drive.rotorInertia * lever * lever;
  const driving = drive.motors * point.shaftTorque * lever;
  let acceleration = (driving * efficiency - force) / (mass + rotors * efficiency);
  if (mass * acceleration + force < 0) {
    acceleration =
      load.rope === 'up' ? -force / mass : (driving - force * backEfficiency) / (mass * backEfficiency + rotors);
  } else if (load.rope === 'down') {
    acceleration = -force / mass;
  }
  const { traction } = load;
  if (traction !== undefined) {
    const carried = mass * acceleration + force;
    if (carried > traction) return { acceleration: (traction - force) / mass, point, slipping: true };
    if (carried < -traction) return { acceleration: -(traction + force) / mass, point, slipping: true };
  }
  return { acceleration, point, slipping: false };
}
