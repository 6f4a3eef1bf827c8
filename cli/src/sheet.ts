import { isSheetKind, readSheet, SHEET_KINDS, type Told } from '@rough-gear/contract/sheet';
import { Stop, stopping, type Command } from './command.js';

const USE = `npm run -s sheet -- ${SHEET_KINDS.join('|')} FILE (- is standard input)`;

/** Reads a data sheet's text into the figures of a part, as JSON: what is sure, what is asked, what was not read. */
export const sheetCommand: Command = stopping(([kind, file, ...more], terminal) => {
  if (kind === undefined || file === undefined || more.length > 0) throw new Stop(`usage: ${USE}`);
  if (!isSheetKind(kind)) throw new Stop(`“${kind}” is not among ${SHEET_KINDS.join(', ')}`);
  let text: string;
  try {
    text = terminal.read(file);
  } catch {
    throw new Stop(`${file} cannot be read`);
  }
  const { found, doubtful, unread } = readSheet(kind, text);
  const fields = Object.fromEntries(found.map(({ name, ...told }) => [name, plain(told)]));
  const asked = doubtful.map(({ choices, ...doubt }) => ({
    ...doubt,
    choices: choices.map(({ name, ...told }) => ({ name, ...plain(told) })),
  }));
  terminal.out(`${JSON.stringify({ fields, doubtful: asked, unread }, null, 2)}\n`);
  return 0;
});

/** Figures and counts in SI, words as they are; each with its line and where it stands in the file. */
const plain = ({ si, value, as, line, at }: Omit<Told, 'name'>): object => ({ si, value, as, line, at });
