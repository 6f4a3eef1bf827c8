import { MOST_FIGURE, rowsOf, TRIAL_KINDS, type Quantity, type Taking, type Trial } from '@rough-gear/core';
import Joi from 'joi';
import { DIMENSIONS } from '../units/units.js';
import { MOST_TRIALS } from '../api/api.js';
import { anyQuantity } from '../plan/quantity.js';
import { shortened, type Problem } from '../plan/problem.js';
import { problemOf } from '../plan/read.js';
import { textProblems } from '../plan/text.js';
import { moment } from '../plan/moment.js';

/** So many rows are kept of one trial, and so many columns. */
export const MOST_ROWS = 200_000;
/** A match’s log has a channel for each mechanism. */
const MOST_COLUMNS = 40;

const words = (most: number) => Joi.string().max(most).allow('');
const id = Joi.string().max(80);

const subject = Joi.object<Trial['subject'], true>({
  name: Joi.string().max(120).required(),
  specimen: Joi.string().max(60),
  shelfId: id,
  robot: Joi.string().max(80),
  planId: id,
  partKey: id,
  mechanismId: id,
  jobId: id,
});

const figure = Joi.number().min(-MOST_FIGURE).max(MOST_FIGURE);
const value = figure.allow(null);

export const trialSchema = Joi.object<Trial>({
  kind: Joi.string()
    .valid(...TRIAL_KINDS)
    .required(),
  subject: subject.required(),
  startedAt: moment().required(),
  closedAt: moment(),
  who: words(120).required(),
  used: words(500).required(),
  note: words(4000).required(),
  given: Joi.object<Record<string, Quantity>>().pattern(Joi.string().max(40), anyQuantity).max(MOST_COLUMNS).required(),
  said: Joi.object<Record<string, string>>().pattern(Joi.string().max(40), words(80)).max(MOST_COLUMNS).required(),
  readings: Joi.object<Record<string, (number | null)[]>>()
    .pattern(Joi.string().max(100), Joi.array().items(value).max(MOST_ROWS))
    .max(MOST_COLUMNS)
    .required(),
  rowIds: Joi.array().items(Joi.string().min(1).max(24)).max(MOST_ROWS),
  struck: Joi.array()
    .items(
      Joi.object({
        row: Joi.number().integer().min(0).max(MOST_ROWS).required(),
        why: words(200).required(),
      }),
    )
    .max(MOST_ROWS)
    .required(),
});

const text = (most: number) => Joi.string().max(most).required();

export const takingSchema = Joi.object<Taking>({
  at: moment().required(),
  robot: text(120).allow(''),
  part: text(120),
  figures: Joi.array()
    .items(
      Joi.object({
        label: text(120),
        dimension: Joi.string()
          .valid(...DIMENSIONS)
          .required(),
        before: figure,
        after: figure.required(),
      }),
    )
    .min(1)
    .max(40)
    .required(),
});

/** What a bench book says it is, as a file. */
export const BOOK_FORMAT = 'rough-gear-bench-book';

/** Trials are read one by one, so that one that is none does not keep the others out. */
export interface BookFile {
  readonly format: typeof BOOK_FORMAT;
  readonly trials: readonly { readonly id: string; readonly trial: unknown; readonly takings?: readonly Taking[] }[];
}

export const bookSchema = Joi.object<BookFile>({
  format: Joi.string().valid(BOOK_FORMAT).required(),
  trials: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().guid().required(),
        trial: Joi.object().required(),
        takings: Joi.array().items(takingSchema).max(1000),
      }).unknown(),
    )
    .max(MOST_TRIALS)
    .required(),
}).unknown();

const MOST_PROBLEMS = 20;

export type TrialRead =
  { readonly ok: true; readonly trial: Trial } | { readonly ok: false; readonly problems: readonly Problem[] };

/** Reads a trial that came from outside; what is wrong is told by its place. */
export function readTrial(found: unknown): TrialRead {
  const { error, value: read } = trialSchema.required().validate(found, {
    abortEarly: false,
    convert: false,
    errors: { wrap: { label: false } },
  });
  if (error) return { ok: false, problems: error.details.slice(0, MOST_PROBLEMS).map(problemOf).map(shortened) };
  const trial = read as Trial;
  // Readings are numbers: only the words are looked through.
  const problems = [
    ...textProblems({ ...trial, readings: Object.keys(trial.readings), rowIds: [] }),
    ...rowProblems(trial),
    ...timeProblems(trial),
  ];
  return problems.length > 0 ? { ok: false, problems } : { ok: true, trial };
}

const ROW_ID = /^[#\w.-]+$/;

/** Each row has a name of its own, where rows have names. */
function rowProblems({ readings, rowIds }: Trial): readonly Problem[] {
  if (rowIds === undefined) return [];
  const rows = rowsOf({ readings });
  if (rowIds.length !== rows) return [{ field: 'rowIds', reason: `has ${rowIds.length} names for ${rows} rows` }];
  if (new Set(rowIds).size !== rows) return [{ field: 'rowIds', reason: 'two rows have one name' }];
  const strange = rowIds.findIndex((name) => !ROW_ID.test(name));
  return strange < 0 ? [] : [{ field: `rowIds.${strange}`, reason: 'must be letters, digits and points' }];
}

const timeProblems = ({ startedAt, closedAt }: Trial): readonly Problem[] =>
  closedAt !== undefined && Date.parse(closedAt) < Date.parse(startedAt)
    ? [{ field: 'closedAt', reason: 'is before the trial began' }]
    : [];
