import { figuresIn } from './figures.js';
import { unitAtStart } from './spellings.js';

/** A line of a sheet, counted from 1. */
export interface SheetLine {
  readonly line: string;
  readonly at: number;
}

/** What a sheet says under a label. */
export interface Entry extends SheetLine {
  readonly label: string;
  readonly value: string;
}

const CELLS = /\t+|\s*\|\s*| {2,}|(?<=[\p{L})])\.{3,}\s?|\s?\.{4,}\s?|\s?…{2,}\s?|\s?_{3,}\s?/u;
const BULLET = /^\s*(?:[-–—*•·▪◦●■✓✔>]+|\d{1,2}[.)](?=\s))\s+/;
const TAG = /<[^>]{1,200}>/g;
const LONGEST_LABEL = 60;
/** "5300 ± 5 % rpm": the figure is told, and how far it may be off. */
const TOLERANCE = /\s*(?:±|\+ ?\/ ?-) ?[\d.,]+ ?%/g;
/** What begins as a value does. */
const VALUE = /^[~≈<>≤≥$€£+]?\s*[\d.]/;

/** The lines of a text that say anything, without bullets and marks. */
export function linesOf(text: string): readonly SheetLine[] {
  return text
    .normalize('NFKC')
    .replace(/[\u2126]/g, 'Ω')
    .replace(/\u03bc/g, 'µ')
    .split(/\r\n|\r|\n/)
    .map((line, i) => ({
      line: line
        .replace(TAG, '\t')
        .replace(BULLET, '')
        .replace(/^[\s|]+|[\s|]+$/g, ''),
      at: i + 1,
    }))
    .filter(({ line }) => /[\p{L}\d]/u.test(line) && !/^[-:| ]+$/.test(line));
}

/**
 * Labels and their values, whatever parts them: colons, blanks, tabs, bars, dots, a line of their own; and tables with
 * a column for each voltage, whose cells are told with their volts.
 *
 * @param known whether a text is a label of such a sheet
 */
export function entriesOf(lines: readonly SheetLine[], known: (label: string) => boolean): readonly Entry[] {
  const entries: Entry[] = [];
  let volts: readonly string[] = [];
  let typical: number | undefined;
  lines.forEach((line, i) => {
    const all = line.line.split(CELLS).filter((cell) => cell !== '');
    // Rows may be numbered.
    const cells = /^\d{1,2}[.)]?$/.test(all[0] ?? '') && known(bare(all[1] ?? '')) ? all.slice(1) : all;
    const head = voltsOfHead(cells);
    if (head) [volts, typical] = [head, undefined];
    const named = cells.findIndex((cell) => /^(?:typ|typical|nom|nominal)\.?$/i.test(cell));
    if (named > 0 && figuresIn(line.line).length === 0) {
      [typical, volts] = [named, []];
      return;
    }
    const say = (label: string, value: string): void => {
      // "Data of the motor: Kv = 268": the label is the one nearer to the value.
      const [inner] = known(label) ? [] : pairsIn(value);
      if (inner && known(inner[0])) return say(...inner);
      entries.push({ ...line, label: label.trim(), value: value.replace(TOLERANCE, '').trim() });
    };
    const next = lines[i + 1]?.line ?? '';
    /** A part of a line that says something of its own. */
    const sayPart = (part: string, alone: boolean): void => {
      const pairs = pairsIn(part);
      for (const [label, value] of pairs)
        say(label, value === '' && alone && pairs.length === 1 ? valueLine(next) : value);
      if (pairs.length > 0) return;
      const parted = partedByBlank(part, known);
      if (parted) say(...parted);
      else if (alone && known(part)) say(part, valueLine(next));
    };
    if (cells.length === 1) {
      const parts = cells[0]!.split(/\s*;\s+/);
      for (const part of parts) sayPart(part, parts.length === 1);
      return;
    }
    // "Stall torque 21 kg·cm | Speed 0.16 s/60° | …": each cell says its own.
    if (cells.length > 2 && cells.filter((cell) => partedByBlank(afterColon(cell), known)).length > 1) {
      for (const cell of cells) sayPart(afterColon(cell), false);
      return;
    }
    if (cells.length % 2 === 0 && cells.length > 2 && cells.every((cell, j) => j % 2 === 1 || known(bare(cell)))) {
      for (let j = 0; j < cells.length; j += 2) say(bare(cells[j]!), cells[j + 1]!);
      return;
    }
    say(bare(cells[0]!), inCells(cells, head ? [] : volts, typical));
  });
  return entries;
}

/** "Specs: Stall torque 21 kg·cm": what stands in front names the list. */
const afterColon = (cell: string): string => cell.replace(/^\p{L}{2,20}:\s+(?=\p{L})/u, '');

const bare = (label: string): string => label.replace(/\s*[:=]\s*$/, '');

const VOLTS_ALONE = /^(?:at |@ ?)?[\d.,]+ ?v(?:dc)?$/i;

/** A head that ends in volts and nothing else: two or more. */
function voltsOfHead(cells: readonly string[]): readonly string[] | undefined {
  const first = cells.findIndex((cell) => VOLTS_ALONE.test(cell));
  const told = first < 0 ? [] : cells.slice(first).filter((cell) => !unitOnly(cell));
  const volts = told.filter((cell) => VOLTS_ALONE.test(cell)).flatMap((cell) => figuresIn(cell).map(({ as }) => as));
  return volts.length >= 2 && volts.length === told.length ? volts : undefined;
}

const unitOnly = (cell: string): boolean =>
  unitAtStart(cell.replace(/^[([]|[)\]]$/g, ''))?.length === cell.replace(/^[([]|[)\]]$/g, '').length;

/** The value of a row: with the unit of a cell of its own, with the volts of its columns, the typical one of three. */
function inCells(cells: readonly string[], volts: readonly string[], typical: number | undefined): string {
  const unit = cells
    .slice(1)
    .find(unitOnly)
    ?.replace(/^[([]|[)\]]$/g, '');
  const values = cells.slice(1).filter((cell) => VALUE.test(cell) && !unitOnly(cell));
  const withUnit = (value: string) => (unit && figuresIn(value).every((one) => !one.unit) ? `${value} ${unit}` : value);
  if (values.length > 0 && values.length === volts.length)
    return values.map((value, i) => `${withUnit(value)} @ ${volts[i]}`).join(', ');
  if (typical !== undefined && values.length > 1) return withUnit(cells[typical] ?? '');
  if (values.length === 1) return withUnit(values[0]!);
  return cells.slice(1).join(' / ');
}

/** "Kv: 1900; Rm = 42 mΩ, mass: 185 g": each label with what stands behind it. */
function pairsIn(line: string): readonly (readonly [string, string])[] {
  return line.split(/[;,]\s+(?=\p{L}[^:=;,]{0,40}[:=])/u).flatMap((part): readonly (readonly [string, string])[] => {
    const match =
      /^(.*?[^\s\d].*?|\d[\d.,]* ?v(?:dc)?)\s*(?:=|:(?!\d))\s*(.*)$/iu.exec(part) ??
      /^([\p{L}][^:=\d]*):\s*(\d.*)$/u.exec(part);
    const [, label = '', value = ''] = match ?? [];
    return label === '' || label.length > LONGEST_LABEL ? [] : [[label, value]];
  });
}

const LABEL_FIRST =
  /^(\p{L}(?:[^\d([@]|\([^)]*\)|\[[^\]]*\]|(?:@|\bat) ?[\d.,]+ ?v(?:dc)?|(?<=[a-z])0)*?)[\s-]*((?:\b(?:under|over|up to|about|approx\.?|ca\.?|max\.?) )?[~≈<>≤≥$€£+]?\s*[\d.].*)$/iu;

/** "Torque at 6 V 2.2 kg·cm" */
const LABEL_WITH_VOLTS = /^(\p{L}[^\d]*(?:@|\bat) ?[\d.,]+ ?v(?:dc|olts?)?)[\s:-]+(.*\d.*)$/iu;

/** "Stall torque 1.2 N·m" and "1.2 N·m stall torque". */
function partedByBlank(line: string, known: (label: string) => boolean): readonly [string, string] | undefined {
  const [, label = '', value = ''] = LABEL_WITH_VOLTS.exec(line) ?? LABEL_FIRST.exec(line) ?? [];
  if (label !== '' && known(label)) return [label, value];
  const [first] = figuresIn(line);
  if (!first || first.start > 2) return undefined;
  const behind = line.slice(first.end).trim();
  return behind !== '' && known(behind) ? [behind, line.slice(0, first.end)] : undefined;
}

/** A value on the line under its label: one that begins with a number. */
const valueLine = (line: string): string => (VALUE.test(line) ? line : '');
