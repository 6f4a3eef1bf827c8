import type { Quantity, Source } from '@rough-gear/core';
import { inUnit } from '../../units/display.js';
import { parseQuantity } from '../../units/parse.js';
import { unitsOf, type UnitSystem } from '../../units/units.js';
import type { FieldType, PartField } from './field.js';

/** The unit a field's column is written in; empty where it has none. */
export function unitOf({ type }: PartField, system: UnitSystem = 'metric'): string {
  if (type.is !== 'figure') return '';
  const { label } = unitsOf(type.dimension, system)[0]!;
  return label === ':1' ? '' : label;
}

/** A value as it stands in a file, in the unit of its column. */
export function cellOf({ type }: PartField, value: unknown, system: UnitSystem = 'metric'): string {
  if (value === undefined) return '';
  switch (type.is) {
    case 'figure':
      return numberOf(inUnit((value as Quantity).si, type.dimension, unitsOf(type.dimension, system)[0]!));
    case 'yes':
      return value ? 'yes' : 'no';
    case 'words':
    case 'counts':
      return (value as readonly unknown[]).join(', ');
    case 'switches':
      return (value as readonly { value: number; on: string }[]).map((row) => `${row.value} = ${row.on}`).join('; ');
    case 'pairs':
      return (value as readonly { driver: number; driven: number }[])
        .map((pair) => `${pair.driver} > ${pair.driven}`)
        .join(', ');
    default:
      return String(value);
  }
}

/** As many digits as tell a value from its neighbours in a file, and no noise behind them. */
const numberOf = (value: number): string => String(Number(value.toPrecision(12)));

/** The source of a figure as it stands in a file: "sheet", "measured: bench run 3". */
export const sourceCell = (value: unknown): string => {
  const { source, from } = (value ?? {}) as Partial<Quantity>;
  return source === undefined ? '' : from === undefined ? source : `${source}: ${from}`;
};

const SOURCES: readonly Source[] = ['sheet', 'typed', 'measured', 'estimated', 'typical'];

/** What a cell was understood as: a value, nothing, or why not. */
export type Cell = { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly reason: string };

const fine = (value: unknown): Cell => ({ ok: true, value });
const refuse = (reason: string): Cell => ({ ok: false, reason });

/** Reads a cell. A bare number is in the column's unit; one with a unit of its own is in that. Empty is nothing. */
export function readCell({ type, label }: PartField, text: string, unit: string, source = ''): Cell {
  const trimmed = text.trim();
  if (trimmed === '') return fine(undefined);
  switch (type.is) {
    case 'figure':
      return readFigure(type, trimmed, unit, source);
    case 'count':
      return /^\d{1,9}$/.test(trimmed) ? fine(Number(trimmed)) : refuse(`“${trimmed}” is no whole number`);
    case 'yes':
      return readYes(trimmed);
    case 'choice': {
      const found = type.options.find((option) => String(option).toLowerCase() === trimmed.toLowerCase());
      return found === undefined ? refuse(notAmong(trimmed, type.options)) : fine(found);
    }
    case 'words': {
      const said = trimmed.split(/\s*[,;]\s*/).filter((word) => word !== '');
      const unknown = said.find((word) => !type.options.includes(word));
      return unknown === undefined ? fine(said) : refuse(notAmong(unknown, type.options));
    }
    case 'counts': {
      const numbers = trimmed.split(/\s*[,;]\s*/).map(Number);
      return numbers.every((value) => Number.isFinite(value) && value > 0)
        ? fine(numbers)
        : refuse(`“${trimmed}” is no list of numbers such as 12, 14, 15`);
    }
    case 'switches':
      return readRows(trimmed, /^([\d.]+)\s*=\s*([01]{1,8})$/, ';', '8 = 101; 16 = 001', ([, value, on]) => ({
        value: Number(value),
        on,
      }));
    case 'pairs':
      return readRows(trimmed, /^(\d+)\s*>\s*(\d+)$/, ',', '10 > 40, 9 > 36', ([, driver, driven]) => ({
        driver: Number(driver),
        driven: Number(driven),
      }));
    case 'text':
      return trimmed.length > 500 ? refuse(`${label} is longer than 500 letters`) : fine(trimmed);
  }
}

const notAmong = (said: string, options: readonly (string | number)[]): string =>
  `“${said}” is not among ${options.join(', ')}`;

function readYes(text: string): Cell {
  const lower = text.toLowerCase();
  if (['yes', 'true', '1', 'x'].includes(lower)) return fine(true);
  return ['no', 'false', '0'].includes(lower) ? fine(false) : refuse(`“${text}” is neither yes nor no`);
}

function readRows(
  text: string,
  pattern: RegExp,
  between: string,
  example: string,
  make: (match: RegExpExecArray) => unknown,
): Cell {
  const rows = text.split(between).map((row) => pattern.exec(row.trim()));
  const known = rows.filter((row) => row !== null);
  return known.length === rows.length ? fine(known.map(make)) : refuse(`“${text}” is not written like ${example}`);
}

function readFigure(
  { dimension }: Extract<FieldType, { is: 'figure' }>,
  text: string,
  unit: string,
  source: string,
): Cell {
  const bare = /^[+-]?[\d.,\s']*\d[\d.,\s']*(e[+-]?\d+)?$/i.test(text);
  // Numbers with a power of ten are for programs: people's notations are read as a field of the screen reads them.
  const powered = /^[+-]?[\d.]+e[+-]?\d+$/i.test(text);
  const plain = powered ? Number(text).toFixed(15).replace(/0+$/, '').replace(/\.$/, '') : text;
  const parsed = parseQuantity(bare && unit !== '' ? `${plain} ${unit}` : plain, dimension);
  if (!parsed.ok) return refuse(`${parsed.reason}; for example ${parsed.example}`);
  const [said = '', ...rest] = source.split(':');
  const known = SOURCES.find((one) => one === said.trim().toLowerCase());
  if (said.trim() !== '' && !known) return refuse(notAmong(said.trim(), SOURCES));
  const from = rest.join(':').trim();
  const written = bare && unit !== '' ? `${text} ${unit}` : text;
  const value: Quantity = {
    si: parsed.si,
    as: written.slice(0, 80),
    source: known ?? 'typed',
    from: from === '' ? undefined : from.slice(0, 500),
  };
  return fine(value);
}
