import type { Drive } from '../../models/controller/drive.js';
import { loadOf, type Asked, type Load } from '../../models/load/load.js';
import type { MotorThermal } from '../../models/motor/heat.js';
import type { DcPath } from '../../path/powerpath/path.js';
import { holdingCurrent, type Breaker } from '../../models/protection/breaker.js';

/** What moves: a drive, a train and a load on one coordinate, and where it ends. */
export interface MotionSystem {
  readonly drive: Drive;
  /** Pack alone, without wires: what its terminals show, Ω. */
  readonly packResistance: number;
  readonly total: number;
  readonly efficiency: number;
  readonly backEfficiency: number;
  readonly radius: number;
  readonly load: Load;
  /** Ends at a place, at a speed, or after a time. */
  readonly until: { readonly travel: number } | { readonly speed: number } | { readonly time: number };
  /** How long it goes on pushing where it does not move, s; not at all where absent. */
  readonly lasts?: number;
  /** Seconds in which the controller goes from nothing to full; 0 where absent. */
  readonly rampTime?: number;
  readonly thermal?: MotorThermal;
  /** A breaker that sees `share` times one motor's supply current. */
  readonly breaker?: { readonly holds: number; readonly timeConstant: number; readonly share: number };
}

/**
 * What moves, with every field in one order, absent ones too: see `driveOf`. Its drive and load have their shape already.
 *
 * @example movingOf({ ...system, total: 12 }).total //=> 12
 */
export const movingOf = (system: MotionSystem): MotionSystem => ({
  drive: system.drive,
  packResistance: system.packResistance,
  total: system.total,
  efficiency: system.efficiency,
  backEfficiency: system.backEfficiency,
  radius: system.radius,
  load: system.load,
  until: system.until,
  lasts: system.lasts,
  rampTime: system.rampTime,
  thermal: system.thermal,
  breaker: system.breaker,
});

/**
 * The system of a resolved path. Its lacks must have been looked at: it computes with what is there.
 *
 * @example systemOf(path).total //=> 9
 */
export function systemOf(path: DcPath): MotionSystem {
  const { drive, train, radius, load, asked, motor, branch } = path;
  return movingOf({
    drive,
    packResistance: path.pack.resistance,
    total: train.total,
    efficiency: train.efficiency,
    backEfficiency: train.backEfficiency,
    radius,
    load: loadOf(load),
    until: untilOf(asked),
    lasts: Math.min(asked.time, asked.every),
    rampTime: path.control.rampTime > 0 ? path.control.rampTime : undefined,
    thermal: Number.isNaN(motor.thermal.windingCapacity) ? undefined : motor.thermal,
    breaker:
      branch.breaker && !path.lacks['branch breaker']
        ? breakerState(branch.breaker, branch.together ? drive.motors : 1)
        : undefined,
  });
}

function untilOf({ travel, target, time }: Asked): MotionSystem['until'] {
  if (target !== undefined) return { speed: target };
  return travel === undefined ? { time } : { travel };
}

function breakerState(breaker: Breaker, share: number) {
  return { holds: holdingCurrent(breaker), timeConstant: breaker.timeConstant, share };
}
