import { partSchema, type ShelfMarks, type ShelfPart } from '@rough-gear/contract';
import { importCsv, type ImportLine } from '@rough-gear/contract/shelf-files';
import type { Part, PartKind } from '@rough-gear/core';
import Joi from 'joi';
import type { ShelfRow } from '../db/entities.js';
import type { Limits } from '../reading/limits.js';
import { jsonOf } from '../reading/json.js';
import { taken, thrownOut, understood, type Read } from '../read.js';

const LIMITS: Limits = { name: 'the part', depth: 20, values: 20_000, objects: 5000 };
const MOST_PROBLEMS = 20;

const price = Joi.object({
  si: Joi.number().min(0).required(),
  as: Joi.string().max(80).required(),
  source: Joi.string().valid('sheet', 'typed', 'measured', 'estimated', 'typical').required(),
});
const marks = Joi.object<ShelfMarks>({
  owned: Joi.number().integer().min(0).max(9999),
  price: price.allow(null),
  common: Joi.boolean(),
  retired: Joi.boolean(),
}).min(1);

/** A part of the shelf as it is told. */
export const itemOf = ({ id, revision, part, shipped, common, retired }: ShelfRow): ShelfPart => ({
  id,
  revision,
  part: JSON.parse(part) as Part,
  own: shipped === null,
  common: Boolean(common),
  retired: Boolean(retired),
});

export function readPartBody(body: Uint8Array): Read<Part> {
  const json = jsonOf(body, LIMITS);
  if (!json.ok) return json;
  const { error, value } = partSchema.validate(json.value, {
    convert: false,
    abortEarly: false,
    errors: { wrap: { label: false } },
  });
  if (!error && value !== undefined) return taken(value as Part);
  const problems = (error?.details ?? []).slice(0, MOST_PROBLEMS);
  return thrownOut(
    'This is no part',
    problems.map(({ path, message }) => ({ field: path.join('.') || 'part', reason: message })),
  );
}

/** What a team says of a part. */
export function readMarksBody(body: Uint8Array): Read<ShelfMarks> {
  const json = jsonOf(body, LIMITS);
  return json.ok ? understood(marks, json.value, 'body') : json;
}

/** A line of a sheet that is taken in: its part is written already. */
export interface SheetLine extends Pick<ImportLine, 'id' | 'common' | 'retired'> {
  readonly part: string;
}

/** What a sheet would do, as it is answered, and what of it there is to take. */
export interface SheetRead {
  readonly report: string;
  readonly lines: readonly SheetLine[];
}

/** Reads a sheet of one kind against what is on the shelf; `dry` says whether nothing of it is to be taken. */
export function readSheet(kind: PartKind, file: Uint8Array, shelf: readonly ShelfRow[], dry: boolean): SheetRead {
  const report = importCsv(kind, new TextDecoder().decode(file), shelf.map(itemOf));
  const takes = !dry && report.sound;
  return {
    report: JSON.stringify({ ...report, taken: takes }),
    lines: takes
      ? report.lines.flatMap(({ id, does, part, common, retired }) =>
          part && does !== 'same' ? [{ id, common, retired, part: JSON.stringify(part) }] : [],
        )
      : [],
  };
}
