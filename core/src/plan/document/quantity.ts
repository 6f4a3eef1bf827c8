/** Where a figure came from. The screen shows each of these differently. */
export type Source = 'sheet' | 'typed' | 'measured' | 'estimated' | 'typical';

/**
 * A figure as the plan keeps it: the SI value that is computed with, and what the person typed.
 * `from` says more about the source: a sheet's page, a bench run, a standard error.
 */
export interface Quantity {
  readonly si: number;
  readonly as: string;
  readonly source: Source;
  readonly from?: string;
  /** Of a measured one: standard deviation of what it may really be, SI. */
  readonly error?: number;
  /** The trial it was measured in. */
  readonly trial?: string;
}

/**
 * Besides zero a figure's SI value is of this size, either sign: what is smaller or larger is no robot's, and sums of it
 * end in infinities.
 */
export const LEAST_FIGURE = 1e-12;
export const MOST_FIGURE = 1e12;
