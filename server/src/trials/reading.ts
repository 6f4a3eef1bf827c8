import { BOOK_FORMAT, bookSchema, readTrial, takingSchema, type BookFile } from '@rough-gear/contract/bench';
import type { FoundSummary } from '@rough-gear/contract';
import { rowsOf, type Taking, type Trial } from '@rough-gear/core';
import type { Limits } from '../reading/limits.js';
import { jsonOf } from '../reading/json.js';
import { taken, thrownOut, understood, type Read } from '../read.js';
import { fitsAtOnce, foundOf } from './foundOf.js';

/** A sound trial as it is written, and what the lists say of it. */
export interface TrialText {
  readonly text: string;
  /** All of it but its readings. */
  readonly head: Omit<Trial, 'readings' | 'rowIds' | 'struck'>;
  readonly rows: number;
  /** What it found; absent where that takes so long that it is worked out elsewhere. */
  readonly found?: readonly FoundSummary[];
}

/** One trial of a book that is brought in. */
export interface BookTrial {
  readonly id: string;
  readonly trial: TrialText;
  readonly takings: readonly Taking[];
}

/** 200,000 rows of 40 columns are more than a body may be long. */
const LIMITS: Limits = { name: 'it', depth: 20, values: 8_000_000, objects: 500_000 };

export function trialText(trial: Trial): TrialText {
  const { readings: _readings, rowIds: _rowIds, struck: _struck, ...head } = trial;
  const found = fitsAtOnce(trial) ? foundOf(trial) : undefined;
  return { text: JSON.stringify(trial), head, rows: rowsOf(trial), found };
}

export function readTrialBody(body: Uint8Array): Read<TrialText> {
  const json = jsonOf(body, LIMITS);
  if (!json.ok) return json;
  const read = readTrial(json.value);
  return read.ok ? taken(trialText(read.trial)) : thrownOut('This is no trial', read.problems);
}

export function readTakingBody(body: Uint8Array): Read<Taking> {
  const json = jsonOf(body, LIMITS);
  return json.ok ? understood<Taking>(takingSchema, json.value, 'taking') : json;
}

/** The trials of a book that are some, and of each of the others why it is none. */
export function readBook(
  body: Uint8Array,
): Read<{ readonly sound: readonly BookTrial[]; readonly refused: readonly string[] }> {
  const json = jsonOf(body, LIMITS);
  const book = json.ok ? understood<BookFile>(bookSchema, json.value, 'book') : json;
  if (!book.ok) return book;
  const refused: string[] = [];
  const sound = book.value.trials.flatMap(({ id, trial, takings = [] }): readonly BookTrial[] => {
    const read = readTrial(trial);
    if (read.ok) return [{ id, trial: trialText(read.trial), takings }];
    const [first] = read.problems;
    refused.push(`${id}: ${first?.field ?? ''} ${first?.reason ?? ''}`);
    return [];
  });
  return taken({ sound, refused });
}

/** What stands before the trials of a book, and after them. */
export const BOOK_AROUND = [`{"format":"${BOOK_FORMAT}","trials":[`, '\n]}\n'] as const;
