import type { Problem } from './problem.js';

/** Control characters, and what no file format may hold: a drawing or a sheet with one of them in it does not open. */
const UNPRINTABLE = /[^\P{Cc}\t\n\r]|[\uFFFE\uFFFF]|\p{Cs}/u;

const MOST_SAID = 20;

/** Every text in a document that holds a character which cannot be printed: names, notes, and the keys themselves. */
export function textProblems(document: unknown): readonly Problem[] {
  const problems: Problem[] = [];
  look(document, '', problems);
  return problems.slice(0, MOST_SAID);
}

function look(value: unknown, field: string, problems: Problem[]): void {
  if (typeof value === 'string') {
    const found = UNPRINTABLE.exec(value)?.[0];
    if (found !== undefined)
      problems.push({ field, reason: `holds a character that cannot be printed (${code(found)})` });
  } else if (Array.isArray(value)) {
    value.forEach((item, i) => look(item, `${field}[${i}]`, problems));
  } else if (typeof value === 'object' && value !== null) {
    for (const [key, item] of Object.entries(value)) {
      look(key, field, problems);
      look(item, field === '' ? key : `${field}.${key}`, problems);
    }
  }
}

const code = (text: string): string => `U+${text.charCodeAt(0).toString(16).toUpperCase().padStart(4, '0')}`;

/** A text without what cannot be printed: what was pasted along with a name. */
export const printable = (text: string): string => text.replace(new RegExp(UNPRINTABLE, 'gu'), '');
