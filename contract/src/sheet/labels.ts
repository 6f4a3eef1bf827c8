import { figuresIn, type SheetFigure } from './figures.js';
import { SHEET_FIELDS, type SheetField, type SheetKind } from './fields.js';
import { unitAtStart, type SheetUnit } from './spellings.js';

const BRACKETS = /\(([^)]*)\)|\[([^\]]*)\]/g;
/** "No-load current I0": the sign behind the words. */
const SIGN = / (?:[inutkr] ?[0-9msodtvi]|jr)$/;
const VOLTS = /(?:@|\bat)?\s*\d[\d.,]*\s?v(?:dc|olts?)?\b\.?/gi;

/** A label as it is looked up: small letters, no brackets, no volts it is told for, one blank. */
export function plainLabel(label: string): string {
  return label
    .replace(BRACKETS, ' ')
    .replace(VOLTS, ' ')
    .toLowerCase()
    .replace(/,\s*[^\s,]+$/, (tail) => (unitAtStart(tail.replace(/^,\s*/, '')) ? '' : tail))
    .replace(/ in \S+$/, (tail) => (unitAtStart(tail.slice(4)) ? '' : tail))
    .replace(/[^\p{L}\d/&]+/gu, ' ')
    .replace(/\s*\/\s*/g, '/')
    .replace(/^\/|\/$/g, '')
    .trim()
    .replace(SIGN, '');
}

/** The fields a label may be of, of a kind. */
export function fieldsCalled(kind: SheetKind, label: string): readonly SheetField[] {
  const plain = plainLabel(label);
  return plain === '' ? [] : SHEET_FIELDS[kind].filter((field) => field.label.test(plain));
}

/** Volts a label says its value is for. */
export const voltsIn = (label: string): readonly SheetFigure[] =>
  figuresIn(label).filter(({ unit }) => unit?.of.includes('voltage'));

/** The unit a label gives its bare numbers: "Weight (g)", "Rm [mΩ]", "Torque, N·m", "No-load rpm", "Kv". */
export function unitOfLabel(label: string): SheetUnit | undefined {
  const inBrackets = [...label.matchAll(BRACKETS)].map(([, round, square]) => round ?? square ?? '');
  const behind = /(?:,| in |\/)\s*(\S+(?: \S+)?)$/i.exec(label)?.[1];
  const word = /\be?(rpm|volts?|amps?|ohms?)\b/i.exec(label)?.[1];
  for (const text of [...inBrackets, behind, word]) {
    const unit = text === undefined ? undefined : unitAtStart(text.trim());
    if (unit && unit.length === text!.trim().length) return unit;
  }
  return undefined;
}
