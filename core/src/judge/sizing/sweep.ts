import { runBy } from '../motion/runOf.js';
import { stepRun } from '../motion/stepRun.js';
import { movingOf, systemOf } from '../motion/system.js';
import { mostRate, rateOf } from '../limits/checks/step/pulseRate.js';
import { withTotal, type DcPath } from '../../path/powerpath/path.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import type { StepPath } from '../../path/powerpath/stepPath.js';

/** What one total reduction gives. */
export interface SweepPoint {
  readonly total: number;
  readonly arrives: boolean;
  readonly time: number;
  /** Copper heat of one go in one motor, J. */
  readonly heat: number;
  readonly peakSupplyCurrent: number;
  /** How many times the torque it takes is there at its worst, where pulses command it. */
  readonly margin?: number;
}

export interface RatioMarks {
  readonly fastest?: number;
  readonly coolest?: number;
  readonly leastCurrent?: number;
  /** Where a motor that takes pulses is furthest from losing step. */
  readonly surest?: number;
}

/**
 * The span of totals a ruler shows around a path's own: a decade and a bit.
 *
 * @example rulerSpan(9) //=> [2.813, 28.8]
 */
export function rulerSpan(total: number): readonly [low: number, high: number] {
  return [total / 3.2, total * 3.2];
}

/**
 * Runs the job at log-spaced totals, one a step, so that a worker can stop between two.
 *
 * @example [...sweepRatios(path, 5, 15, 3)].map(({ total }) => total) //=> [5, 8.66, 15]
 */
export function* sweepRatios(path: AnyPath, low: number, high: number, count: number): Generator<SweepPoint> {
  const at = sweepOf(path);
  if (!at) return;
  for (let i = 0; i < count; i++) yield at(low * (high / low) ** (i / (count - 1)));
}

/** What a total makes of a path; `undefined` where there is nothing to sweep. */
function sweepOf(path: AnyPath): ((total: number) => SweepPoint) | undefined {
  switch (path.machine) {
    case 'dc':
      return dcSweep(path);
    case 'step':
      return stepSweep(path);
    case 'servo':
      // Its linkage belongs to its reduction.
      return undefined;
  }
}

function dcSweep(path: DcPath): (total: number) => SweepPoint {
  const system = systemOf(path);
  return (total) => {
    const run = runBy(path, movingOf({ ...system, total }), { tolerance: 1e-4, longest: 30, fewestSteps: 20 });
    return {
      total,
      arrives: run.outcome === 'arrived' && (run.follows?.multiple ?? 1) >= 1,
      time: run.time,
      heat: run.rmsMotorCurrent ** 2 * run.time * path.drive.motor.resistance,
      peakSupplyCurrent: run.peakSupplyCurrent,
    };
  };
}

/** The commanded motion takes the same time at every total: what changes is how sure it is, and how many pulses it takes. */
function stepSweep(path: StepPath): (total: number) => SweepPoint {
  return (total) => {
    const geared = withTotal(path, total);
    const run = stepRun(geared);
    const margin = run.follows?.multiple ?? 0;
    return {
      total,
      arrives: margin >= 1 && mostRate(geared).rate >= rateOf(geared),
      time: run.time,
      heat: 0,
      peakSupplyCurrent: run.peakSupplyCurrent,
      margin,
    };
  };
}

/** Where the least lies, refined by the parabola through it and its neighbours (on a log scale). */
function leastAt(points: readonly SweepPoint[], of: (point: SweepPoint) => number): number | undefined {
  const arriving = points.filter((point) => point.arrives);
  if (arriving.length === 0) return undefined;
  let i = 0;
  arriving.forEach((point, j) => {
    // Strictly less, beyond rounding: of equals the first is the lighter reduction.
    if (of(point) < of(arriving[i]!) * (1 - 1e-6)) i = j;
  });
  const [before, at, after] = [arriving[i - 1], arriving[i]!, arriving[i + 1]];
  if (!before || !after) return at.total;
  const bend = of(before) - 2 * of(at) + of(after);
  const shift = bend > 0 ? (0.5 * (of(before) - of(after))) / bend : 0;
  return at.total * (after.total / at.total) ** Math.max(-0.5, Math.min(0.5, shift));
}

/** The totals at which the job is fastest, coolest and takes the least peak current from the pack. */
export function ratioMarks(points: readonly SweepPoint[]): RatioMarks {
  if (points.some(({ margin }) => margin !== undefined)) {
    const surest = leastAt(points, ({ margin = 0 }) => 1 / Math.max(margin, 1e-9));
    return surest === undefined ? {} : { surest };
  }
  const fastest = leastAt(points, (point) => point.time);
  const coolest = leastAt(points, (point) => point.heat);
  const leastCurrent = leastAt(points, (point) => point.peakSupplyCurrent);
  return {
    fastest,
    coolest,
    leastCurrent,
  };
}
