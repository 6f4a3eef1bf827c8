import { fullEffort } from '../motion/fullEffort.js';
import { systemOf } from '../motion/system.js';
import type { PowerPath } from '../powerpath/path.js';

/** What one total reduction gives. */
export interface SweepPoint {
  readonly total: number;
  readonly arrives: boolean;
  readonly time: number;
  /** Copper heat of one go in one motor, J. */
  readonly heat: number;
  readonly peakSupplyCurrent: number;
}

export interface RatioMarks {
  readonly fastest?: number;
  readonly coolest?: number;
  readonly leastCurrent?: number;
}

/** The span of totals a ruler shows around a path's own: a decade and a bit. */
export function rulerSpan(total: number): readonly [low: number, high: number] {
  return [total / 3.2, total * 3.2];
}

/** Runs the job at log-spaced totals, one a step, so that a worker can stop between two. */
export function* sweepRatios(path: PowerPath, low: number, high: number, count: number): Generator<SweepPoint> {
  const system = systemOf(path);
  for (let i = 0; i < count; i++) {
    const total = low * (high / low) ** (i / (count - 1));
    const run = fullEffort({ ...system, total }, { tolerance: 1e-4, longest: 30, fewestSteps: 20 });
    yield {
      total,
      arrives: run.outcome === 'arrived',
      time: run.time,
      heat: run.rmsMotorCurrent ** 2 * run.time * path.drive.motor.resistance,
      peakSupplyCurrent: run.peakSupplyCurrent,
    };
  }
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
  const fastest = leastAt(points, (point) => point.time);
  const coolest = leastAt(points, (point) => point.heat);
  const leastCurrent = leastAt(points, (point) => point.peakSupplyCurrent);
  return {
    ...(fastest === undefined ? {} : { fastest }),
    ...(coolest === undefined ? {} : { coolest }),
    ...(leastCurrent === undefined ? {} : { leastCurrent }),
  };
}
