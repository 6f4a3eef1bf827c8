import { drivePoint } from '../../models/controller/drivePoint.js';
import { forceOf } from '../limits/electric/electricLimit.js';
import { situationOf } from '../limits/situation.js';
import { LIMITS } from '../limits/table.js';
import { timeToLimit } from '../../models/motor/heat.js';
import { lacksOf, type DcPath } from '../../path/powerpath/path.js';

/** What a stuck mechanism does under one kind of control. */
export interface Bound {
  /** Output force or torque. */
  readonly force: number;
  /** Of one motor, A. */
  readonly current: number;
  readonly breaks: boolean;
  /** Seconds until the winding is at its limit; `null` where not within an hour. */
  readonly lasts: number | null;
}

/** In a bind: plain effort at full command, and a speed lock that rolls its current back. */
export interface Bind {
  readonly effort: Bound;
  readonly lock: Bound;
  /** The mechanical part that gives first, where one is known. */
  readonly weakest?: { readonly name: string; readonly force: number };
}

/** The path's motor, supply and train must be known. Heat is looked at where it is known. */
export function bindOf(path: DcPath): Bind {
  const situation = { ...situationOf(path, 'starting'), acceleration: 0, back: false };
  const weakest = LIMITS.filter((limit) => !limit.electric && !limit.goodFirst && limit.applies(path))
    .filter((limit) => lacksOf(path, limit.needs('starting')).length === 0)
    .map((limit) => ({ name: limit.name, force: limit.capacity(path, situation) }))
    .sort((a, b) => a.force - b.force)[0];
  const bound = (current: number): Bound => {
    // Tyres that slip spare everything behind them.
    const force = Math.min(path.load.traction ?? Infinity, forceOf(path, situation, current));
    const lasts = path.lacks.heat ? null : timeToLimit(path.drive.motor.resistance, path.motor.thermal, current);
    return { force, current, breaks: weakest !== undefined && force > weakest.force, lasts };
  };
  const full = drivePoint(path.drive, 0).motorCurrent;
  return {
    effort: bound(full),
    lock: bound(Math.min(full, path.control.rollBack)),
    weakest,
  };
}
