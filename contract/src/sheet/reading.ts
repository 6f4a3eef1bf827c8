import type { SheetLine } from './entries.js';

/** One figure or word of a part, as a sheet says it. */
export interface Told extends SheetLine {
  /** As in the plan file; what is in a list is counted from 0: `points.1.speed`. */
  readonly name: string;
  /** A figure in SI, or a count. */
  readonly si?: number;
  /** A word, or several, or yes or no. */
  readonly value?: string | boolean | readonly string[];
  /** So that the program's own fields read it. */
  readonly as: string;
}

/** What may be meant, and is asked. */
export interface Doubtful extends SheetLine {
  readonly name: string;
  readonly as: string;
  readonly reason: string;
  /** What it may be; none where only a person can say. */
  readonly choices: readonly Told[];
}

/** What was read of a sheet, and what was not. */
export interface SheetReading {
  readonly found: readonly Told[];
  readonly doubtful: readonly Doubtful[];
  readonly unread: readonly SheetLine[];
}
