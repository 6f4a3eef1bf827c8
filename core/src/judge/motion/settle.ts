import { bisect } from '../../models/numbers/bisect.js';
import { drivePoint, type DrivePoint } from '../../models/controller/drivePoint.js';
import type { Drive } from '../../models/controller/drive.js';

/** Where full command against a constant torque comes to rest in speed. */
export interface Settled {
  readonly stalled: boolean;
  /** Output speed, rad/s. */
  readonly outputSpeed: number;
  readonly point: DrivePoint;
}

/**
 * Full command against a constant `loadTorque` at the output of a reduction, until the speed stays.
 * A load that the drive cannot start from rest leaves it stalled.
 *
 * @example settle(drive, 9, 0.9, 5) //=> { stalled: false, outputSpeed: 46.11, point: { motorCurrent: 36.24, supplyCurrent: 36.24, supplyVoltage: 11.88, shaftTorque: 0.6173, heldBy: 'voltage' } }
 */
export function settle(drive: Drive, total: number, efficiency: number, loadTorque: number): Settled {
  const wanted = loadTorque / (drive.motors * total * efficiency);
  const atRest = drivePoint(drive, 0);
  if (atRest.shaftTorque < wanted) return { stalled: true, outputSpeed: 0, point: atRest };
  const fastest = (drive.greatestDuty * drive.restVoltage) / drive.motor.backEmfConstant;
  const [speed] = bisect(0, fastest, (at) => drivePoint(drive, at).shaftTorque >= wanted);
  return { stalled: false, outputSpeed: speed / total, point: drivePoint(drive, speed) };
}
