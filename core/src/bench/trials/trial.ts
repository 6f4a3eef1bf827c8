import type { Quantity } from '../../plan/document/quantity.js';
import type { Dimension } from '../../plan/words/dimension.js';
import { trialSheet, type TrialKind } from './trials.js';

/** What a trial was done on: names are kept beside ids, so that the book stays readable when these are gone. */
export interface TrialSubject {
  /** Of the part, or of the mechanism. */
  readonly name: string;
  /** This very one, by its serial or the tape on it. */
  readonly specimen?: string;
  readonly shelfId?: string;
  readonly robot?: string;
  readonly planId?: string;
  /** Under which the plan keeps its copy. */
  readonly partKey?: string;
  readonly mechanismId?: string;
  readonly jobId?: string;
}

/** A reading that a person does not count, and why. It stays where it is. */
export interface Struck {
  readonly row: number;
  readonly why: string;
}

/** One figure that a trial puts right: SI, so that it is read in anybody's units. */
export interface CorrectedFigure {
  readonly label: string;
  readonly dimension: Dimension;
  readonly before?: number;
  readonly after: number;
}

/** One taking of what was found into a part: what stood there before, and after. */
export interface Taking {
  readonly at: string;
  readonly robot: string;
  readonly part: string;
  readonly figures: readonly CorrectedFigure[];
}

/** Readings of one kind, by their columns: SI; `null` where a row has none. */
export type TrialReadings = Readonly<Record<string, readonly (number | null)[]>>;

/** One guided measurement: open while it is done, and as it stands once it is closed. */
export interface Trial {
  readonly kind: TrialKind;
  readonly subject: TrialSubject;
  /** ISO 8601, with its zone. */
  readonly startedAt: string;
  readonly closedAt?: string;
  readonly who: string;
  /** Instruments and supplies it was done with. */
  readonly used: string;
  readonly note: string;
  readonly given: Readonly<Record<string, Quantity>>;
  readonly said: Readonly<Record<string, string>>;
  readonly readings: TrialReadings;
  /**
   * What each row is called, made where it was written, so that rows of two devices are told apart. Absent in a trial of an
   * earlier version, whose rows go by their place.
   */
  readonly rowIds?: readonly string[];
  readonly struck: readonly Struck[];
}

/** One row that has all that its kind asks for. */
export interface Reading {
  readonly row: number;
  readonly struck: boolean;
  /** By column; optional ones may be missing. */
  readonly at: Readonly<Record<string, number | undefined>>;
}

/**
 * How many rows a trial has, whole or not.
 *
 * @example rowsOf({ readings: { time: [0, 1], speed: [10] } }) //=> 2
 */
export const rowsOf = ({ readings }: Pick<Trial, 'readings'>): number =>
  Math.max(0, ...Object.values(readings).map(({ length }) => length));

/**
 * What the rows of a trial are called, from the first to the last.
 *
 * @example rowIdsOf({ readings: { time: [0, 1] } }) //=> ['#0', '#1']
 * @example rowIdsOf({ readings: { time: [0, 1] }, rowIds: ['a.1', 'b.1'] }) //=> ['a.1', 'b.1']
 */
export const rowIdsOf = (trial: Pick<Trial, 'readings' | 'rowIds'>): readonly string[] =>
  trial.rowIds ?? Array.from({ length: rowsOf(trial) }, (_, place) => `#${place}`);

/**
 * The rows that are whole, those struck out among them.
 *
 * @example readingsOf({ kind: 'coast-down', readings: { time: [0, 1], speed: [10, null] }, struck: [] }) //=> [{ row: 0, struck: false, at: { time: 0, speed: 10 } }]
 */
export function readingsOf(trial: Pick<Trial, 'kind' | 'readings' | 'struck'>): readonly Reading[] {
  const { columns } = trialSheet(trial.kind);
  const struck = new Set(trial.struck.map(({ row }) => row));
  const found: Reading[] = [];
  for (let row = 0; row < rowsOf(trial); row++) {
    const at: Record<string, number | undefined> = {};
    let whole = true;
    for (const { key, optional } of columns) {
      const value = trial.readings[key]?.[row];
      if (typeof value === 'number' && Number.isFinite(value)) at[key] = value;
      else if (!optional) whole = false;
    }
    if (whole) found.push({ row, struck: struck.has(row), at });
  }
  return found;
}
