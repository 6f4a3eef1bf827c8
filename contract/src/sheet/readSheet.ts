import { entriesOf, linesOf, type Entry, type SheetLine } from './entries.js';
import type { SheetField, SheetKind } from './fields.js';
import { finish } from './finish.js';
import { fieldsCalled } from './labels.js';
import { performanceOf } from './performance.js';
import { pointFields, servoPoints } from './points.js';
import { readFigure } from './readFigure.js';
import type { Doubtful, SheetReading, Told } from './reading.js';
import { regulatorOn } from './regulator.js';
import { transposedEntries } from './transposed.js';
import { sayingsIn, vagueIn } from './words.js';

/** A pasted sheet is a page or two: what is longer is cut. */
const MOST_LETTERS = 60_000;
/** A heading that any sheet may have is no part's name. */
const HEADING =
  /^(?:(?:product|electrical|technical|general|main|the|key|motor|servo|battery|pack|controller|stepper|parameters?|spec\w*|descriptions?|details?|features?|data|sheet|datasheet|item|value|unit|symbol|no\.?)[\s:|]*)+$/i;
/** Two figures this near do not contradict each other. */
const SAME = 0.02;

/**
 * Reads text pasted from a data sheet or a shop's page into the figures of a part: what it says for sure, what it may
 * mean, and the lines nothing was read from. Each with its line; what is contradicted, unusual or without a unit is
 * asked, never taken.
 */
export function readSheet(kind: SheetKind, text: string): SheetReading {
  const lines = linesOf(text.slice(0, MOST_LETTERS));
  const known = (label: string) => fieldsCalled(kind, label).length > 0;
  const transposed = transposedEntries(lines, known);
  const entries = [...entriesOf(lines, known), ...transposed];
  const told: Told[] = [];
  const doubtful: Doubtful[] = [];
  const points = kind === 'servo' ? servoPoints(entries) : { told: [], doubtful: [], read: new Set<Entry>() };
  const regulator = kind === 'controller' ? regulatorOn(lines) : { told: [], doubtful: [], lines: new Set<number>() };
  const table = kind === 'motor' ? performanceOf(lines) : { told: [], doubtful: [], lines: new Set<number>() };
  const elsewhere = new Set([...regulator.lines, ...table.lines]);
  for (const entry of entries) {
    if (points.read.has(entry) || elsewhere.has(entry.at)) continue;
    const read = readEntry(kind, entry);
    if (read && 'told' in read) told.push(read.told);
    else if (read) doubtful.push(read.doubt);
  }
  // What stands under a label has the word; a title fills in what no label says.
  const labelled = new Set([...told, ...doubtful].map(({ name }) => name));
  const said = sayingsIn(kind, lines);
  const passing = said.filter(({ name }) => !labelled.has(name));
  const vague = vagueIn(kind, lines);
  const agreed = agree([...told, ...passing, ...points.told, ...regulator.told, ...table.told]);
  const finished = finish(
    kind,
    agreed.told,
    [...agreed.doubtful, ...doubtful, ...points.doubtful, ...regulator.doubtful, ...table.doubtful, ...vague],
    lines,
  );
  const heard = [...told, ...doubtful, ...said, ...vague, ...points.read, ...finished.told].map(({ at }) => at);
  return withRest(finished.told, finished.doubtful, lines, new Set([...heard, ...elsewhere]), entries);
}

function readEntry(kind: SheetKind, entry: Entry): ReturnType<typeof readFigure> {
  const fields = fieldsCalled(kind, entry.label).filter((field) => kind !== 'servo' || !pointFields.has(field.name));
  const reads = fields.map((field: SheetField) => readFigure(field, entry)).filter((read) => read !== undefined);
  return reads.find((read) => 'told' in read) ?? reads[0];
}

/** Names that are said twice: once where both say the same, asked where they do not. */
function agree(all: readonly Told[]): { readonly told: readonly Told[]; readonly doubtful: readonly Doubtful[] } {
  const byName = new Map<string, Told[]>();
  for (const one of all) byName.set(one.name, [...(byName.get(one.name) ?? []), one]);
  const told: Told[] = [];
  const doubtful: Doubtful[] = [];
  for (const [name, said] of byName) {
    const [first] = said;
    const others = said.filter((one) => !same(first!, one));
    if (others.length === 0) told.push(first!);
    else {
      const { line, at, as } = first!;
      const choices = [first!, ...others.filter((one, i) => others.findIndex((other) => same(one, other)) === i)];
      doubtful.push({ line, at, name, as, reason: 'two lines say different things', choices });
    }
  }
  return { told, doubtful };
}

function same(a: Told, b: Told): boolean {
  if (a.si !== undefined && b.si !== undefined)
    return Math.abs(a.si - b.si) <= SAME * Math.max(Math.abs(a.si), Math.abs(b.si));
  return JSON.stringify(a.value) === JSON.stringify(b.value);
}

/** The title, one answer for each name, and the lines nothing was read from. */
function withRest(
  told: readonly Told[],
  doubtful: readonly Doubtful[],
  lines: readonly SheetLine[],
  heard: ReadonlySet<number>,
  entries: readonly Entry[],
): SheetReading {
  const asked = doubtful.filter(
    ({ name }, i) => !told.some((one) => one.name === name) && doubtful.findIndex((other) => other.name === name) === i,
  );
  const [title] = lines;
  const named =
    title && !entries.some(({ at }) => at === title.at) && title.line.length <= 120 && !HEADING.test(title.line);
  const name: readonly Told[] = named ? [{ ...title, name: 'name', value: title.line, as: title.line }] : [];
  const byLine = (a: SheetLine, b: SheetLine) => a.at - b.at;
  return {
    found: [...name, ...told].sort(byLine),
    doubtful: [...asked].sort(byLine),
    unread: lines.filter(({ at }) => !heard.has(at) && at !== name[0]?.at),
  };
}
