import { brakePoint, type BrakePoint } from '../../models/controller/brakePoint.js';
import type { Drive } from '../../models/controller/drive.js';
import { drivePoint, type DrivePoint } from '../../models/controller/drivePoint.js';
import { motorSpeed, type DcPath } from '../../path/powerpath/path.js';

/** Full effort one way at one speed of q: what flows, and the force of all motors at the output, whatever tyres carry. */
export interface Effort<P> {
  readonly point: P;
  /** N or N·m */
  readonly force: number;
}

/**
 * Full command: losses take their share of the force.
 *
 * @example fullCommandAt(path, path.drive, 0.8).point.heldBy //=> 'supply'
 */
export function fullCommandAt(path: DcPath, drive: Drive, speed: number): Effort<DrivePoint> {
  const point = drivePoint(drive, motorSpeed(path, speed));
  const { total, efficiency } = path.train;
  return { point, force: (drive.motors * point.shaftTorque * total * efficiency) / path.radius };
}

/** A train that stays by itself brakes without end: so much of it is reckoned with. */
const LEAST_BACK = 0.02;

/**
 * Full braking: losses help.
 *
 * @example fullBrakingAt(path, path.drive, 0.8).point.motorCurrent //=> 60
 */
export function fullBrakingAt(path: DcPath, drive: Drive, speed: number): Effort<BrakePoint> {
  const point = brakePoint(drive, motorSpeed(path, speed));
  const { total, backEfficiency } = path.train;
  return {
    point,
    force: (drive.motors * point.shaftTorque * total) / path.radius / Math.max(backEfficiency, LEAST_BACK),
  };
}
