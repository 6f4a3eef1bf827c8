import { drivePoint } from '../../models/controller/drivePoint.js';
import { dayOf, daySamples, type Day, type DaySample } from '../duty/day.js';
import { holdCurrentOf } from '../duty/cycle.js';
import { RUN_NEEDS } from '../motion/needs.js';
import { timeToLimit } from '../../models/motor/heat.js';
import type { Run } from '../motion/run.js';
import { lacksOf, type DcPath } from '../../path/powerpath/path.js';

/** How long the motor stands what: seconds until its winding is at its limit; `null` where it is not within an hour. */
export interface Endurance {
  /** At full effort with its shaft held. */
  readonly stalled: number | null;
  /** Holding the load at rest; absent where it need not. */
  readonly holding?: number | null;
  readonly day: Day;
  /** Temperatures through the day. */
  readonly samples: readonly DaySample[];
}

/** A brushless motor at rest heats one phase twice as much as the mean. */
const AT_REST = Math.SQRT2;

/**
 * `undefined` where a figure is missing.
 *
 * @example enduranceOf(path, judgement.run).stalled //=> 16.2
 */
export function enduranceOf(path: DcPath, run: Run | undefined): Endurance | undefined {
  if (!run || lacksOf(path, [...RUN_NEEDS, 'heat', 'throw']).length > 0) return undefined;
  const { drive, motor } = path;
  const hottest = motor.type === 'brushless' ? AT_REST : 1;
  const seconds = (current: number) => timeToLimit(drive.motor.resistance, motor.thermal, hottest * current);
  const holding = holdCurrentOf(path);
  return {
    stalled: seconds(drivePoint(drive, 0).motorCurrent),
    holding: holding > 0 ? seconds(holding) : undefined,
    day: dayOf(path, run),
    samples: daySamples(path, run),
  };
}
