import type { Dimension } from '../../plan/words/dimension.js';
import type { Words } from '../../plan/words/phrase.js';
import type { FoundKey } from './found.js';
import type { MeasuredFigure } from './measured.js';

export interface FoundFigure {
  readonly key: FoundKey;
  readonly measured: MeasuredFigure;
  /** What sheet or estimate says; absent where it says nothing. */
  readonly expected?: number;
}

export interface PlotAxis {
  readonly label: string;
  readonly dimension: Dimension;
}

export interface PlotPoint {
  readonly row: number;
  readonly x: number;
  readonly y: number;
  readonly struck: boolean;
}

type Line = readonly (readonly [x: number, y: number])[];

/** Readings as they are fitted, and the fit through them. */
export interface FitPlot {
  readonly x: PlotAxis;
  readonly y: PlotAxis;
  readonly points: readonly PlotPoint[];
  /** Empty where nothing is fitted. */
  readonly line: Line;
  /** As sheet or estimate would have it. */
  readonly expected?: Line;
}

/** What a trial came to. */
export interface Conclusion {
  readonly figures: readonly FoundFigure[];
  readonly plots: readonly FitPlot[];
  /** By row: how many standard deviations of a reading it is off the fit; absent where that says nothing. */
  readonly off: ReadonlyMap<number, number>;
  /** Rows the others do not explain; nobody has struck them out. */
  readonly odd: readonly number[];
  readonly says: readonly Words[];
}

export type Concluded =
  | { readonly ok: true; readonly conclusion: Conclusion }
  /** Why there is none yet. */
  | { readonly ok: false; readonly wants: Words };

/**
 * How far a figure is from what was expected: as a share of it, and in standard errors where these are known.
 *
 * @example offExpected({ key: 'resistance', measured: { value: 0.11, error: 0.005 }, expected: 0.1 }) //=> { share: 0.1, errors: 2 }
 */
export function offExpected({
  measured,
  expected,
}: FoundFigure): { readonly share: number | undefined; readonly errors: number | undefined } | undefined {
  if (expected === undefined) return undefined;
  const apart = measured.value - expected;
  const known = Number.isFinite(measured.error) && measured.error > 0;
  return {
    share: expected === 0 ? undefined : apart / Math.abs(expected),
    errors: known ? apart / measured.error : undefined,
  };
}
