import type { Dimension } from '@rough-gear/core';
import { BETWEEN_COLUMNS } from './columns.js';
import { parseQuantity } from '../units/parse.js';
import type { SheetLine } from './entries.js';
import { figuresIn } from './figures.js';
import { unitOfLabel } from './labels.js';
import type { Doubtful, Told } from './reading.js';
import { toldBy } from './readFigure.js';

const COLUMNS = [
  { id: 'current', dimension: 'current', label: /\b(?:current|amps|amperes)\b/i },
  { id: 'torque', dimension: 'torque', label: /\btorque\b/i },
  { id: 'speed', dimension: 'speed', label: /\b(?:speed|rpm)\b/i },
] as const;
type ColumnId = (typeof COLUMNS)[number]['id'];

/** One line of a maker's table, SI. */
interface Point extends SheetLine {
  readonly label: string;
  readonly current: number;
  readonly torque: number;
  readonly speed: number;
}

interface Read {
  readonly told: readonly Told[];
  readonly doubtful: readonly Doubtful[];
  readonly lines: ReadonlySet<number>;
}

/** Rows from which lines are drawn, where no load or stall is not among them. */
const FEWEST = 3;

/**
 * A maker's table of a motor: current, torque and speed at one voltage, row by row. No load and stall are taken as they
 * stand; where one is missing both are drawn through the other rows as straight lines, and asked, with what is off most.
 */
export function performanceOf(lines: readonly SheetLine[]): Read {
  for (const [i, line] of lines.entries()) {
    const points = pointsUnder(lines, i);
    if (points.length < 2) continue;
    const volts = voltsAbove(lines.slice(0, i + 1));
    const read = new Set([line.at, ...points.map(({ at }) => at)]);
    const free = points.find(({ label, torque }) => /\b(?:no[- ]?load|free)\b/i.test(label) || torque === 0);
    const stall = points.find(({ label, speed }) => /\b(?:stall|locked)/i.test(label) || speed === 0);
    if (free && stall) return { told: [...volts, ...ends(free, stall)], doubtful: [], lines: read };
    if (points.length < FEWEST) return { told: [], doubtful: [], lines: read };
    return { told: volts, doubtful: drawn(line, points), lines: read };
  }
  return { told: [], doubtful: [], lines: new Set() };
}

function pointsUnder(lines: readonly SheetLine[], at: number): readonly Point[] {
  const head = lines[at]!.line.split(BETWEEN_COLUMNS);
  const columns = COLUMNS.map((column) => {
    const index = head.findIndex((cell) => column.label.test(cell));
    return { ...column, index, unit: index < 0 ? undefined : unitOfLabel(head[index]!) };
  });
  // Each has its unit in the head: a bare number could be anything.
  if (!columns.every(({ unit, dimension }) => unit?.of.includes(dimension))) return [];
  const points: Point[] = [];
  for (const line of lines.slice(at + 1)) {
    const cells = line.line.split(BETWEEN_COLUMNS);
    // The column of what each row is called may have no heading.
    const shift = cells.length - head.length;
    if (shift !== 0 && shift !== 1) break;
    const value = (id: ColumnId): number => {
      const { index, unit, dimension } = columns.find((column) => column.id === id)!;
      return siOf(cells[index + shift]!, unit!.unit, dimension);
    };
    const point = {
      ...line,
      label: cells[0]!,
      current: value('current'),
      torque: value('torque'),
      speed: value('speed'),
    };
    if ([point.current, point.torque, point.speed].some(Number.isNaN)) break;
    points.push(point);
  }
  return points;
}

function siOf(cell: string, unit: string, dimension: Dimension): number {
  const [figure, ...more] = figuresIn(cell);
  if (!figure || more.length > 0 || figure.readings.length !== 1) return NaN;
  const read = parseQuantity(`${figure.readings[0]} ${unit}`, dimension);
  return read.ok ? read.si : NaN;
}

/** "at 12 V", nearest above the table. */
function voltsAbove(lines: readonly SheetLine[]): readonly Told[] {
  for (const { line, at } of [...lines].reverse()) {
    const match = /(?:\bat|@|\bvoltage:?)\s*([\d.,]+) ?v(?:dc)?\b/i.exec(line);
    if (match) return toldBy(`${match[1]} V`, 'voltage').map((told) => ({ ...told, line, at, name: 'ratedVoltage' }));
  }
  return [];
}

const RPM = 30 / Math.PI;
const written = (value: number, digits: number): string => String(Number(value.toPrecision(digits)));

function ends(free: Point, stall: Point, digits = 12): readonly Told[] {
  const say = (name: string, as: string, dimension: Dimension, { line, at }: SheetLine): readonly Told[] =>
    toldBy(as, dimension).map((told) => ({ ...told, name, line, at }));
  return [
    ...say('freeSpeed', `${written(free.speed * RPM, digits)} rpm`, 'speed', free),
    ...say('freeCurrent', `${written(free.current, digits)} A`, 'current', free),
    ...say('stallTorque', `${written(stall.torque, digits)} N·m`, 'torque', stall),
    ...say('stallCurrent', `${written(stall.current, digits)} A`, 'current', stall),
  ];
}

/** T = Kt·(I − I0) and ω = ω0 − k·T through all rows: where they end is no load and stall. */
function drawn(head: SheetLine, points: readonly Point[]): readonly Doubtful[] {
  const torqueOf = lineThrough(points.map(({ current, torque }) => [current, torque]));
  const speedOf = lineThrough(points.map(({ torque, speed }) => [torque, speed]));
  if (!(torqueOf.slope > 0) || !(speedOf.slope < 0)) return [];
  const stallTorque = -speedOf.start / speedOf.slope;
  const currentAt = (torque: number) => (torque - torqueOf.start) / torqueOf.slope;
  const label = head.line;
  const free: Point = { ...head, label, torque: 0, current: currentAt(0), speed: speedOf.start };
  const stall: Point = { ...head, label, torque: stallTorque, current: currentAt(stallTorque), speed: 0 };
  if (!(free.current > 0)) return [];
  const off = Math.max(
    ...points.map(({ current, torque }) => Math.abs(torqueOf.start + torqueOf.slope * current - torque) / stallTorque),
    ...points.map(({ torque, speed }) => Math.abs(speedOf.start + speedOf.slope * torque - speed) / free.speed),
  );
  const reason = `straight through ${points.length} rows of its table, the worst of them ${written(100 * off, 2)} % off`;
  return ends(free, stall, 4).map((told) => ({ ...told, reason, choices: [told] }));
}

/** The straight line of least squares. */
function lineThrough(points: readonly (readonly [number, number])[]): {
  readonly start: number;
  readonly slope: number;
} {
  const mean = (of: (point: readonly [number, number]) => number) =>
    points.reduce((sum, point) => sum + of(point), 0) / points.length;
  const [x, y] = [mean(([a]) => a), mean(([, b]) => b)];
  const slope = mean(([a, b]) => (a - x) * (b - y)) / mean(([a]) => (a - x) ** 2);
  return { start: y - slope * x, slope };
}
