import type { Fit } from './fit.js';

/** A figure as it was measured: SI, with its standard error. */
export interface MeasuredFigure {
  readonly value: number;
  /** ∞ where the readings are just enough for the figure, and say nothing of its spread. */
  readonly error: number;
}

export const measuredOf = ({ coefficients, errors }: Fit, i: number): MeasuredFigure => ({
  value: coefficients[i]!,
  error: errors[i]!,
});
