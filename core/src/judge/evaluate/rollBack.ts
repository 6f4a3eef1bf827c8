import { creepBackSpeed } from '../../models/controller/leastSpeed.js';
import { heldForce, worstHoldingPlace, type DcPath } from '../../path/powerpath/path.js';

/** What the load does when nothing is commanded: it stays, or runs back with the motor shorted or free. */
export type RollBack =
  | { readonly stays: true; readonly by: string }
  | {
      readonly stays: false;
      /** With the motor shorted: the speed it settles at, of the load, m/s or rad/s. */
      readonly shorted: number;
      /** Rolling free: speed and way after a second. */
      readonly free: { readonly speed: number; readonly distance: number };
    };

/**
 * At rest at the hardest place of the way. What holds: rolling resistance or friction, a stage that stays, the motor's own
 * friction and detent, each up to its own size. Motor, train, output and load must be known.
 *
 * @example rollBackOf(path).stays //=> false
 */
export function rollBackOf(path: DcPath): RollBack {
  const { load, train, radius, drive, motor, asked } = path;
  const held = heldForce(path);
  const pulls = Math.abs(load.holdForce(worstHoldingPlace(path)));
  if (held === 0) return { stays: true, by: pulls > 0 && load.rest ? load.rest.by : 'nothing pulls' };
  if (train.backEfficiency === 0) return { stays: true, by: 'a stage that stays by itself' };
  const lever = train.total / radius;
  const through = (pulls - (load.rest?.force ?? 0)) * train.backEfficiency;
  const own = drive.motors * (drive.motor.torqueConstant * drive.motor.freeCurrent + (motor.detent || 0)) * lever;
  if (through <= own) return { stays: true, by: 'the motor’s own friction' };
  const onMotor = (through - own) / (drive.motors * lever);
  const mass =
    load.inertia(worstHoldingPlace(path)) * train.backEfficiency + drive.motors * drive.rotorInertia * lever ** 2;
  const acceleration = ((through - own) / mass) * asked.perCoordinate;
  return {
    stays: false,
    shorted: (creepBackSpeed(drive, onMotor) / lever) * asked.perCoordinate,
    free: { speed: acceleration, distance: acceleration / 2 },
  };
}
