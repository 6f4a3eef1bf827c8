import type { FitPlot, PlotAxis } from '../conclusion.js';
import type { Fit } from '../fit.js';
import type { Reading } from '../trial.js';

/** How readings become the points of a fit. */
export interface Fitted {
  readonly x: PlotAxis;
  readonly y: PlotAxis;
  xOf(at: Reading['at']): number;
  yOf(at: Reading['at']): number;
  /** The fit at a point; and what was expected there. */
  line(x: number): number;
  expected?(x: number): number;
  readonly fit: Fit;
  /** Follows a curve instead of a line. */
  readonly curved?: true;
}

const CURVE_POINTS = 60;

interface FitSeen {
  readonly plot: FitPlot;
  readonly off: ReadonlyMap<number, number>;
  readonly odd: readonly number[];
}

/** A fit as it is drawn, and how far each reading is off it: those struck out too, against the others' fit. */
export function fitSeen(readings: readonly Reading[], fitted: Fitted): FitSeen {
  const points = readings.map(({ row, struck, at }) => ({ row, struck, x: fitted.xOf(at), y: fitted.yOf(at) }));
  const kept = points.filter(({ struck }) => !struck);
  const { scatter, odd } = fitted.fit;
  const off = new Map<number, number>();
  if (scatter !== undefined && scatter > 0)
    for (const { row, x, y } of points) off.set(row, (y - fitted.line(x)) / scatter);
  let [least, most] = [Infinity, -Infinity];
  for (const { x } of points) [least, most] = [Math.min(least, x), Math.max(most, x)];
  const from = Math.min(least, fitted.curved ? least : 0);
  const at = Array.from(
    { length: fitted.curved ? CURVE_POINTS + 1 : 2 },
    (_, i, n = fitted.curved ? CURVE_POINTS : 1) => from + ((most - from) * i) / n,
  );
  return {
    plot: {
      x: fitted.x,
      y: fitted.y,
      points,
      line: at.map((x) => [x, fitted.line(x)] as const),
      expected: fitted.expected && at.map((x) => [x, fitted.expected!(x)] as const),
    },
    off,
    odd: kept.filter((_, i) => odd[i]).map(({ row }) => row),
  };
}
