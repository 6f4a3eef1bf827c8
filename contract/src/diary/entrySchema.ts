import {
  CHECK_STATES,
  FAULT_ASKS,
  MOST_FIGURE,
  PIECE_STEPS,
  type DiaryEntry,
  type DiaryKind,
  type TypedValue,
} from '@rough-gear/core';
import Joi from 'joi';
import { shortened, type Problem } from '../plan/problem.js';
import { problemOf } from '../plan/read.js';
import { textProblems } from '../plan/text.js';
import { DIMENSIONS } from '../units/units.js';
import { moment } from '../plan/moment.js';

/** So many entries a robot's diary has, and so many come at once. */
export const MOST_ENTRIES = 20_000;
const MOST_AT_ONCE = 2000;
/** Lines of one card. */
const MOST_VALUES = 60;
const MOST_MATCHES = 10_000;

const text = (most: number) => Joi.string().max(most).required();
const words = (most: number) => text(most).allow('');
const number = Joi.number().min(-MOST_FIGURE).max(MOST_FIGURE).required();
const oneOf = <T extends string>(all: readonly T[]) =>
  Joi.string()
    .valid(...all)
    .required();
const match = Joi.number().integer().min(1).max(MOST_MATCHES).required();

const typedValue = Joi.object<TypedValue>({
  key: text(80),
  label: text(200),
  value: Joi.alternatives(Joi.number().min(-MOST_FIGURE).max(MOST_FIGURE), Joi.string().max(300).allow('')).required(),
  dimension: Joi.string().valid(...DIMENSIONS),
});

/** What each kind of entry says; the compiler holds the table complete. */
const SAID: Readonly<Record<DiaryKind, Readonly<Record<string, Joi.Schema>>>> = {
  pieces: { line: text(300), step: oneOf(PIECE_STEPS), amount: number, note: words(500) },
  supplier: { line: text(300), supplier: words(120) },
  money: { currency: words(12), budget: number.min(0) },
  'second ratio': { wheel: text(200), bought: Joi.boolean().required() },
  'typed in': { card: text(120), values: Joi.array().items(typedValue).max(MOST_VALUES).required() },
  named: { part: text(200), key: text(80), name: words(80) },
  played: { match },
  checked: {
    match,
    check: text(200),
    state: oneOf(CHECK_STATES),
    asks: oneOf(FAULT_ASKS),
    note: words(1000),
  },
};

const written = Joi.object({
  // In one case, so that a line is not there twice.
  id: Joi.string().guid().lowercase().required(),
  at: moment().required(),
  // The server says it, whatever comes in; an archive brings it along.
  receivedAt: moment(),
  who: words(120),
  kind: oneOf(Object.keys(SAID)),
});
const entry = Object.entries(SAID).reduce<Joi.ObjectSchema>(
  (schema, [kind, said]) => schema.when(Joi.object({ kind: Joi.valid(kind) }).unknown(), { then: Joi.object(said) }),
  written,
);

const entriesSchema = Joi.array<DiaryEntry[]>().items(entry).max(MOST_AT_ONCE).required();
/** A whole diary, as an archive has it. */
export const diarySchema = Joi.array<DiaryEntry[]>().items(entry).max(MOST_ENTRIES).required();

/** What an archive has of the lines that were put away, season after season. */
export const putAwaySchema = Joi.array<DiaryEntry[]>()
  .items(entry)
  .max(10 * MOST_ENTRIES);

export type EntriesRead =
  | { readonly ok: true; readonly entries: readonly DiaryEntry[] }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** Holds entries against their schema; nothing is taken where one of them is none. */
export function readEntries(document: unknown): EntriesRead {
  const { error, value } = entriesSchema.validate(document, {
    abortEarly: false,
    convert: false,
    errors: { wrap: { label: false } },
  });
  if (error) return { ok: false, problems: error.details.slice(0, 20).map(problemOf).map(shortened) };
  const problems = textProblems(value).map(shortened);
  return problems.length > 0 ? { ok: false, problems } : { ok: true, entries: value as DiaryEntry[] };
}
