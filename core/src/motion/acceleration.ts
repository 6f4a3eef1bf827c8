import { drivePoint, type DrivePoint } from '../controller/drivePoint.js';
import type { MotionSystem } from './system.js';

/** dv/dt at one place and speed, and the drive point behind it. */
export interface Pull {
  readonly acceleration: number;
  readonly point: DrivePoint;
  readonly slipping: boolean;
}

/**
 * (M + n·Jr·(G/r)²·η)·dv/dt = n·T·(G/r)·η − F. The sign of the force in the mesh decides the losses:
 * where the load drives, 1/ηb stands for η; a rope carries no push; beyond the tyres' grip the wheels slip.
 */
export function pullAt(system: MotionSystem, q: number, speed: number): Pull {
  const { drive, load, efficiency, backEfficiency } = system;
  const lever = system.total / system.radius;
  const point = drivePoint(drive, speed * lever);
  const mass = load.inertia(q);
  const force = load.force(q);
  const rotors = drive.motors * drive.rotorInertia * lever * lever;
  const driving = drive.motors * point.shaftTorque * lever;
  let acceleration = (driving * efficiency - force) / (mass + rotors * efficiency);
  if (mass * acceleration + force < 0) {
    acceleration = load.rope ? -force / mass : (driving - force * backEfficiency) / (mass * backEfficiency + rotors);
  }
  if (load.grip !== undefined && mass * acceleration + force > load.grip) {
    return { acceleration: (load.grip - force) / mass, point, slipping: true };
  }
  return { acceleration, point, slipping: false };
}
