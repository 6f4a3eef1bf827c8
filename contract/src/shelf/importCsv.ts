import type { Part, PartKind } from '@rough-gear/core';
import Papa from 'papaparse';
import type { ShelfPart } from '../api/api.js';
import { part as partSchema } from '../plan/part.js';
import { cut } from '../plan/problem.js';
import { textProblems } from '../plan/text.js';
import { parseQuantity } from '../units/parse.js';
import { differencesOf, alike, type Difference } from './difference.js';
import { MOST_ON_SHELF } from './most.js';
import { withoutGuard } from './formulas.js';
import { COMMON_HEADER, ID_HEADER, RETIRED_HEADER, SOURCE_SUFFIX } from './exportCsv.js';
import { readCell } from './fields/cell.js';
import { valueAt, withValue, type PartField } from './fields/field.js';
import { fieldsOf } from './fields/table.js';

/** What one line of a file would do, or why it cannot. */
export interface ImportLine {
  /** As an editor counts them: the header is 1. */
  readonly line: number;
  readonly name: string;
  readonly does: 'new' | 'changed' | 'same' | 'not understood';
  readonly id?: string;
  readonly differences: readonly Difference[];
  readonly problems: readonly string[];
  /** The part as it would stand on the shelf; absent where it is not understood. */
  readonly part?: Part;
  readonly common?: boolean;
  readonly retired?: boolean;
}

/** What a file would do. Where anything in it is not understood, nothing is imported at all. */
export interface ImportReport {
  readonly lines: readonly ImportLine[];
  /** Of the file as a whole: columns that are not known, quotes that do not close. */
  readonly problems: readonly string[];
  readonly sound: boolean;
}

/** Figures of a shipped part that a team may set for itself; the others are its own only in a copy. */
const SETTABLE: readonly string[] = ['owned', 'price'];
/** As many parts as a shelf may hold: what it writes it reads again. */
const MOST_LINES = MOST_ON_SHELF;
const TOO_MANY = `these are more parts than the ${MOST_LINES} a file may hold`;
/** What a file holds is not said back whole. */
const LONGEST_SAID = 300;
const LONGEST_NAME_SAID = 80;

/** Reads a CSV of one kind against what is on the shelf. Changes nothing: the report says what would. */
export function importCsv(kind: PartKind, text: string, shelf: readonly ShelfPart[]): ImportReport {
  const { rows: all, problems } = readRows(text.replace(/^\uFEFF/, ''));
  const [header, ...rows] = all;
  if (!header) return { lines: [], problems: ['the file is empty'], sound: false };
  if (rows.length > MOST_LINES) return { lines: [], problems: [...problems, TOO_MANY], sound: false };
  const columns = readHeader(kind, header.cells);
  problems.push(...columns.problems);
  const byId = new Map(shelf.map((item) => [item.id, item]));
  const seen = new Set<string>();
  const lines = rows.map(({ cells, line }) => readLine(kind, cells, line, columns, byId, seen));
  const sound = problems.length === 0 && lines.every(({ does }) => does !== 'not understood');
  return { lines, problems, sound };
}

interface Row {
  readonly cells: readonly string[];
  /** The line of the file it begins on. */
  readonly line: number;
}

/** The rows that hold something, each with its line as an editor counts them: cells may span several, and some are empty. */
function readRows(text: string): { readonly rows: readonly Row[]; readonly problems: string[] } {
  const rows: Row[] = [];
  const problems: string[] = [];
  let line = 1;
  let read = 0;
  Papa.parse<string[]>(text, {
    step: ({ data, errors, meta: { cursor } }, parser) => {
      for (const { code, message } of errors)
        if (code !== 'UndetectableDelimiter') problems.push(`line ${line}: ${message}`);
      if (data.some((cell) => cell.trim() !== '')) rows.push({ cells: data.map(withoutGuard), line });
      line += text.slice(read, cursor).match(/\r\n|\n|\r/g)?.length ?? 0;
      read = cursor;
      // The header and one more than there may be: what follows is not read.
      if (rows.length > MOST_LINES + 1) parser.abort();
    },
  });
  return { rows, problems };
}

interface Column {
  readonly field: PartField;
  readonly unit: string;
  readonly at: number;
  readonly source: number;
}

interface Columns {
  readonly fields: readonly Column[];
  readonly id: number;
  readonly common: number;
  readonly retired: number;
  readonly width: number;
  readonly problems: readonly string[];
}

function readHeader(kind: PartKind, header: readonly string[]): Columns {
  const names = header.map((name) => name.trim());
  const problems: string[] = [];
  const known = new Set<number>();
  const at = (name: string): number => {
    const i = names.findIndex((one) => one.toLowerCase() === name.toLowerCase());
    if (i >= 0) known.add(i);
    return i;
  };
  const fields = fieldsOf(kind).flatMap((field): readonly Column[] => {
    const found = names.findIndex((name) => nameOf(name) === field.label.toLowerCase());
    if (found < 0) return [];
    known.add(found);
    const unit = /\(([^)]*)\)\s*$/.exec(names[found]!)?.[1]?.trim() ?? '';
    if (field.type.is === 'figure' && unit !== '' && !parseQuantity(`1 ${unit}`, field.type.dimension).ok)
      problems.push(`the unit of the column “${cut(names[found]!, LONGEST_NAME_SAID)}” is not understood`);
    return [{ field, unit, at: found, source: at(`${field.label}${SOURCE_SUFFIX}`) }];
  });
  const marks = { id: at(ID_HEADER), common: at(COMMON_HEADER), retired: at(RETIRED_HEADER) };
  names.forEach((name, i) => {
    if (!known.has(i) && name !== '') problems.push(`the column “${cut(name, LONGEST_NAME_SAID)}” is not known`);
  });
  if (!fields.some(({ field }) => field.key === 'name')) problems.push('there is no column “name”');
  return { fields, ...marks, width: names.length, problems };
}

const nameOf = (header: string): string => header.replace(/\s*\([^)]*\)\s*$/, '').toLowerCase();

function readLine(
  kind: PartKind,
  row: readonly string[],
  line: number,
  columns: Columns,
  shelf: ReadonlyMap<string, ShelfPart>,
  seen: Set<string>,
): ImportLine {
  const cell = (i: number): string => (i < 0 ? '' : (row[i] ?? ''));
  const id = cell(columns.id).trim();
  const there = shelf.get(id);
  const name = cell(columns.fields.find(({ field }) => field.key === 'name')?.at ?? -1).trim();
  const problems: string[] = [];
  if (row.length > columns.width) problems.push('it has more cells than the header has columns');
  if (id !== '' && !there)
    problems.push(`there is no part ${id} of this kind on the shelf; leave the id empty for a new one`);
  if (id !== '' && seen.has(id)) problems.push(`the part ${id} stands in the file twice`);
  seen.add(id);

  const part = withCells(there?.part ?? blank(kind, columns, cell), columns.fields, cell, problems);
  const common = readMark(cell(columns.common), 'common here', problems) ?? there?.common ?? false;
  const retired = readMark(cell(columns.retired), 'retired', problems) ?? there?.retired ?? false;
  if (problems.length === 0) problems.push(...refusals(part));
  const sound = part as Part;
  const differences = there && problems.length === 0 ? differencesOf(there.part, sound) : [];
  if (there && !there.own && problems.length === 0) {
    const own = differences.filter(({ key }) => !SETTABLE.includes(key));
    if (own.length > 0)
      problems.push(
        `${own.map(({ label }) => label).join(', ')} of a part that ships with the program cannot be changed: leave its id empty to make a part of your own`,
      );
  }
  if (problems.length > 0) {
    const said = problems.map((problem) => cut(problem, LONGEST_SAID));
    return { line, name: cut(name, LONGEST_NAME_SAID), does: 'not understood', differences: [], problems: said };
  }
  const marked = there !== undefined && (there.common !== common || there.retired !== retired);
  const does = there === undefined ? 'new' : differences.length > 0 || marked ? 'changed' : 'same';
  const marks = markDifferences(there, common, retired);
  return {
    line,
    name: sound.name,
    does,
    id: there ? id : undefined,
    differences: there ? [...differences, ...marks] : [],
    problems: [],
    part: sound,
    common,
    retired,
  };
}

/** A part with what the cells of a line say of it; what is wrong in one is told. */
function withCells(
  before: unknown,
  columns: readonly Column[],
  cell: (i: number) => string,
  problems: string[],
): unknown {
  let part = before;
  for (const { field, unit, at, source } of columns) {
    const read = readCell(field, cell(at), unit, cell(source));
    if (!read.ok) {
      problems.push(`${field.label}: ${read.reason}`);
      continue;
    }
    // A figure of another form of the same key is not this column's.
    if (!belongs(field, part as Part)) continue;
    if (!alike(field, valueAt(part as Part, field.key), read.value)) part = withValue(part, field.key, read.value);
  }
  return part;
}

/** A part of the kind with nothing but its form said: lists that a kind cannot be without are made by their cells. */
function blank(kind: PartKind, columns: Columns, cell: (i: number) => string): unknown {
  if (kind !== 'motor') return kind === 'servo' ? { kind, points: [] } : { kind };
  const form = cell(columns.fields.find(({ field }) => field.key === 'data.form')?.at ?? -1).trim() || 'sheet';
  return { kind, data: { form } };
}

function belongs(field: PartField, part: Part): boolean {
  return field.form === undefined || (part.kind === 'motor' && part.data.form === field.form);
}

function readMark(text: string, name: string, problems: string[]): boolean | undefined {
  if (text.trim() === '') return undefined;
  const read = readCell({ key: name, label: name, type: { is: 'yes' } }, text, '');
  if (!read.ok) problems.push(`${name}: ${read.reason}`);
  return read.ok ? (read.value as boolean) : undefined;
}

function markDifferences(there: ShelfPart | undefined, common: boolean, retired: boolean): readonly Difference[] {
  if (!there) return [];
  const word = (value: boolean) => (value ? 'yes' : 'no');
  return [
    ...(there.common === common
      ? []
      : [{ key: 'common', label: COMMON_HEADER, before: word(there.common), after: word(common) }]),
    ...(there.retired === retired
      ? []
      : [{ key: 'retired', label: RETIRED_HEADER, before: word(there.retired), after: word(retired) }]),
  ];
}

/** What the schema has against a part, in its words for the columns. */
function refusals(part: unknown): readonly string[] {
  const { error } = partSchema.validate(part, {
    abortEarly: false,
    convert: false,
    errors: { wrap: { label: false } },
  });
  if (!error) return textProblems(part).map(({ field, reason }) => `${field} ${reason}`);
  return error.details.map(({ message, path }) => {
    const field = fieldsOf((part as Part).kind).find(({ key }) => {
      const said = path.join('.');
      return said === key || said.startsWith(`${key}.`);
    });
    return field ? `${field.label}: ${message.replace(path.join('.'), '').trim()}` : message;
  });
}
