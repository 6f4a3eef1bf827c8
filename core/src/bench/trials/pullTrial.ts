import { linearFit, type Fit } from './fit.js';
import { measuredOf, type MeasuredFigure } from './measured.js';

export interface PullTrial {
  /** Pull for each ampere, N/A: Kt·n·(G/r)·η. */
  readonly pullPerAmpere: MeasuredFigure;
  /** What flows before it pulls at all: losses of motor and train, A. */
  readonly lost: number;
  readonly fit: Fit;
}

/**
 * A pull on a scale at several currents, wheel or hook standing: F = k·(I − Ilost).
 *
 * @throws RangeError where the readings do not tell both
 * @example fitPull([{ current: 10, force: 40 }, { current: 20, force: 90 }, { current: 30, force: 140 }]).lost //=> 2
 */
export function fitPull(readings: readonly { readonly current: number; readonly force: number }[]): PullTrial {
  const fit = linearFit(
    readings.map(({ current }) => [current, 1]),
    readings.map(({ force }) => force),
  );
  const [slope, constant] = fit.coefficients as [number, number];
  return { pullPerAmpere: measuredOf(fit, 0), lost: -constant / slope, fit };
}
