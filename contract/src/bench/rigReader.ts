import { trialSheet, type TrialKind } from '@rough-gear/core';
import { unitNamed } from './unitNames.js';

/** One line of a rig as the columns of a trial: SI; what a line did not have is absent. */
export interface RigReading {
  /** Seconds by the rig's own clock, where it has one. */
  readonly time?: number;
  readonly at: Readonly<Record<string, number>>;
}

/** What came of some text: readings, and what could not be read. */
export interface RigRead {
  readonly readings: readonly RigReading[];
  readonly problems: readonly string[];
}

interface Column {
  readonly key: string;
}

const asItIs = (value: number): number => value;

const NUMBER = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i;
const MOST_TOLD = 20;

/**
 * Reads the line format of a rig as it comes, in pieces of any size: a header of "name_unit" or a unit alone, then a
 * reading a line; a header may come again with other units. Lines that cannot be read are told, and nothing else is lost.
 */
export class RigReader {
  private rest = '';
  private columns: readonly (Column | undefined)[] = [];
  private scales: readonly ((value: number) => number)[] = [];
  private clock = -1;
  private told = 0;

  constructor(private readonly kind: TrialKind) {}

  push(text: string): RigRead {
    const lines = (this.rest + text).split(/\r\n|\n|\r/);
    this.rest = lines.pop() ?? '';
    const readings: RigReading[] = [];
    const problems: string[] = [];
    for (const line of lines) this.line(line.trim(), readings, problems);
    return { readings, problems };
  }

  /** What is left when the line has ended without an end of line. */
  end(): RigRead {
    return this.push('\n');
  }

  private line(line: string, readings: RigReading[], problems: string[]): void {
    if (line === '' || line.startsWith('#')) return;
    const cells = line.split(/[,;\t]/).map((cell) => cell.trim());
    if (cells.some((cell) => /^[a-z]/i.test(cell) && !/^nan$|^inf/i.test(cell))) return this.header(cells, problems);
    if (this.columns.length === 0) return this.tell(problems, 'a reading before the header that names its columns');
    if (cells.length !== this.columns.length)
      return this.tell(problems, `“${line.slice(0, 40)}”: ${cells.length} of ${this.columns.length} columns`);
    const at: Record<string, number> = {};
    let time: number | undefined;
    for (const [i, cell] of cells.entries()) {
      const column = this.columns[i];
      if (cell === '' || (!column && i !== this.clock)) continue;
      const value = NUMBER.test(cell) ? this.scales[i]!(Number(cell)) : NaN;
      if (!Number.isFinite(value)) return this.tell(problems, `“${cell.slice(0, 20)}” is no number`);
      if (i === this.clock) time = value;
      if (column) at[column.key] = value;
    }
    readings.push(time === undefined ? { at } : { time, at });
  }

  private header(cells: readonly string[], problems: string[]): void {
    const wanted = trialSheet(this.kind).columns;
    const taken = new Set<string>();
    this.clock = cells.findIndex((cell) => /^t(ime)?_/.test(cell));
    const parts = cells.map((cell) => {
      const cut = cell.lastIndexOf('_');
      const [name, unit] = cut > 0 ? [cell.slice(0, cut), cell.slice(cut + 1)] : ['', cell];
      return { name: name || unit, unit: unitNamed(unit) };
    });
    this.columns = parts.map(({ name, unit }) => {
      // By its name, or by what it measures where only one thing can be meant.
      const column =
        wanted.find(({ key }) => key === name && !taken.has(key)) ??
        wanted.find((one) => one.dimension === unit?.dimension && !taken.has(one.key));
      if (!column || (unit !== undefined && column.dimension !== unit.dimension)) return undefined;
      taken.add(column.key);
      return { key: column.key };
    });
    this.scales = parts.map(({ unit }) => unit?.toSi ?? asItIs);
    const missing = wanted.filter(({ key, optional }) => !optional && !taken.has(key));
    if (missing.length > 0)
      this.tell(
        problems,
        `the header “${cells.join(',').slice(0, 60)}” has no ${missing.map(({ label }) => label).join(', ')}`,
      );
  }

  private tell(problems: string[], what: string): void {
    if (this.told++ < MOST_TOLD) problems.push(what);
  }
}
