import type { Dimension } from '@rough-gear/core';
import Papa from 'papaparse';
import { withoutGuard } from '../shelf/formulas.js';
import { unitNamed } from './unitNames.js';

/** A column of readings: SI where its unit was understood. */
export interface ReadingColumn {
  /** As it stands in the head; "column 2" where there is none. Columns of words alone are left out. */
  readonly name: string;
  /** As it stands in the head or in the row under it. */
  readonly unit?: string;
  /** What it measures, where name or unit say so. */
  readonly dimension?: Dimension;
  /** `null` where a line has nothing in it. */
  readonly values: readonly (number | null)[];
  /** Its unit was understood, so that the values are SI; otherwise they are as they stand there. */
  readonly inSi: boolean;
}

/** A line that was left out, counted from 1, and why. */
interface UnreadLine {
  readonly line: number;
  readonly reason: string;
}

export type ColumnsRead =
  | { readonly ok: true; readonly columns: readonly ReadingColumn[]; readonly unread: readonly UnreadLine[] }
  | { readonly ok: false; readonly reason: string };

/** What a column is called, where it carries no unit. */
const NAMES: readonly (readonly [RegExp, Dimension])[] = [
  [/^(?:t|time|zeit|seconds?)$/i, 'time'],
  [/^(?:v|u|volts?|voltage)$/i, 'voltage'],
  [/^(?:a|i|amps?|amperes?|current)$/i, 'current'],
  [/^(?:rpm|n|speed|revs?)$/i, 'speed'],
  [/^(?:f|force|pull)$/i, 'force'],
  [/^(?:torque|m)$/i, 'torque'],
  [/^(?:deg|angle)$/i, 'angle'],
  [/^(?:temp|temperature)$/i, 'temperature'],
];

/** Said of a column by its head: "V", "I (A)", "speed [rpm]", "t_s". */
interface Head {
  readonly name: string;
  readonly unit?: string;
}

function headOf(cell: string): Head {
  const bracket = /^(.*?)\s*[([]\s*([^)\]]+?)\s*[)\]]$/.exec(cell);
  if (bracket) return { name: bracket[1]!.trim() || cell, unit: bracket[2] };
  const tail = /^(.+)_([A-Za-z°µ/·]+)$/.exec(cell);
  return tail && unitNamed(tail[2]!) ? { name: tail[1]!, unit: tail[2] } : { name: cell };
}

const POINT = /^[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?$/i;
const COMMA = /^[-+]?(?:\d+,\d*|,\d+)(?:e[-+]?\d+)?$/i;

const numberOf = (cell: string, comma: boolean): number | undefined => {
  const text = comma ? cell.replace(',', '.') : cell;
  return POINT.test(text) ? Number(text) : undefined;
};

/** Rows that are looked at to tell commas from points. */
const LOOKED_AT = 50;

/**
 * Readings out of a logger's file or a pasted table: commas, semicolons, tabs or blanks between columns, points or commas as
 * decimals, a head with or without units, a row of units under it. A line that is not all numbers is left out and said.
 *
 * @example readColumns('t_s;V\n0;12,6\n1;12,1').ok //=> true
 */
export function readColumns(text: string): ColumnsRead {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimitersToGuess: ['\t', ';', ',', '|', ' '],
    skipEmptyLines: 'greedy',
  });
  const rows = data.map((row) => row.map((cell) => withoutGuard(cell).trim()));
  if (rows.length === 0) return { ok: false, reason: 'there is no line in it' };
  const comma = rows.slice(0, LOOKED_AT).some((row) => row.some((cell) => COMMA.test(cell)));
  const numeric = (row: readonly string[]): boolean => row.some((cell) => numberOf(cell, comma) !== undefined);
  const first = rows.findIndex(numeric);
  if (first < 0) return { ok: false, reason: 'no line of it has a number' };
  const width = rows[first]!.length;
  const above = rows.slice(0, first);
  const unitRow =
    above.length > 1 && above.at(-1)!.every((cell) => cell === '' || unitNamed(bare(cell)) !== undefined)
      ? above.at(-1)
      : undefined;
  const headRow = unitRow ? above.at(-2) : above.at(-1);
  const heads = Array.from({ length: width }, (_, i): Head => {
    const head = headOf(headRow?.[i] || `column ${i + 1}`);
    const under = unitRow?.[i];
    return under ? { ...head, unit: bare(under) } : head;
  });
  const below = rows.slice(first);
  const counted = heads.map((_, j) => below.some((row) => numberOf(row[j] ?? '', comma) !== undefined));
  const unread: UnreadLine[] = [];
  const kept: (number | null)[][] = [];
  below.forEach((row, i) => {
    const line = first + i + 1;
    // An empty cell is nothing read; a line that ends too soon is a broken one.
    const values = heads.map((_, j) => (row[j] === '' || !counted[j] ? null : numberOf(row[j] ?? '', comma)));
    const bad = values.findIndex((value) => value === undefined);
    if (bad < 0) kept.push(values as (number | null)[]);
    else unread.push({ line, reason: `${heads[bad]!.name}: "${row[bad] ?? ''}" is no number` });
  });
  const columns = heads.flatMap((head, i): readonly ReadingColumn[] => {
    if (!counted[i]) return [];
    const by = head.unit === undefined ? undefined : unitNamed(head.unit);
    const dimension = by?.dimension ?? NAMES.find(([pattern]) => pattern.test(head.name))?.[1];
    const own = head.unit === undefined ? unitNamed(head.name) : by;
    const convert = own && own.dimension === dimension ? own.toSi : undefined;
    const values = kept.map((row) => {
      const value = row[i] ?? null;
      return value !== null && convert ? convert(value) : value;
    });
    return [{ name: head.name, unit: head.unit, dimension, inSi: convert !== undefined, values }];
  });
  return { ok: true, columns, unread };
}

/** A unit without the brackets round it. */
const bare = (cell: string): string => cell.replace(/^[([]\s*|\s*[)\]]$/g, '');
