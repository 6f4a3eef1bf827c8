import { readNumber } from '../units/readNumber.js';
import { unitAtStart, type SheetUnit } from './spellings.js';

/** A number of a sheet with its unit, as it stands in the text. */
export interface SheetFigure {
  /** As plain numbers: one, or two where a comma may part thousands or decimals. */
  readonly readings: readonly string[];
  readonly unit: SheetUnit | undefined;
  /** "5,800 rpm": number and unit as they stand. */
  readonly as: string;
  readonly start: number;
  readonly end: number;
  /** "under", "up to", "over": it is no value but an end of one. */
  readonly bound: boolean;
  /** What stands between the figure before it and this one. */
  readonly gap: string;
}

const NUMBER = /(?<![\w.,])\+?(?:\d{1,3}(?: \d{3})+(?!\d)|\d[\d.,]*\d|\d|[.,]\d+)/g;
const BOUND = /(?:[<>≤≥]|\b(?:under|up to|over|more than|less than|min\.?|max\.?|at (?:least|most)))\s*$/i;
const TOLERANCE = /(?:±|\+ ?\/? ?-) ?$/;
/** Between numbers that have one unit together. */
const TOGETHER = /^ ?(?:\/|-|–|—|~|\.{2,3}|…|to|or|,) ?$/;

/** Every number with its unit in a text, in order; tolerances are left out. */
export function figuresIn(text: string): readonly SheetFigure[] {
  const found: SheetFigure[] = [];
  let last = 0;
  for (const match of text.matchAll(NUMBER)) {
    const start = match.index;
    // The digits of a unit: "s/60°", "kg·cm2".
    if (start < last) continue;
    const after = start + match[0].length;
    const blank = /^[ -]?/.exec(text.slice(after))![0].length;
    const direct = unitAtStart(text.slice(after));
    const unit = direct ?? unitAtStart(text.slice(after + blank));
    const end = unit ? after + (direct ? 0 : blank) + unit.length : after;
    const gap = text.slice(last, start);
    last = end;
    const readings = readingsOf(match[0]);
    if (readings.length > 0 && !TOLERANCE.test(gap))
      found.push({ readings, unit, as: text.slice(start, end), start, end, bound: BOUND.test(gap), gap });
  }
  return found.map((figure, i) => {
    for (let j = i; !figure.unit && j + 1 < found.length; j++) {
      if (!TOGETHER.test(found[j + 1]!.gap)) break;
      const { unit } = found[j + 1]!;
      if (unit) return { ...figure, unit, as: `${figure.as} ${unit.unit}` };
    }
    return figure;
  });
}

function readingsOf(number: string): readonly string[] {
  const read = readNumber(number.replace(/^\+/, ''));
  if (read.ok) return read.rest === '' ? [String(read.value)] : [];
  return read.choices ?? [];
}
