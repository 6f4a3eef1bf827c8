import type { Response } from 'express';
import { drained } from './drained.js';

/**
 * An object as JSON, to whose figures and words some are added that are JSON already: what lies in the database as text, and
 * may be long, is neither read nor written once more on its way out.
 */
export function jsonWith(plain: Readonly<Record<string, unknown>>, texts: Readonly<Record<string, string>>): string {
  const members = Object.entries(plain).flatMap(([key, value]) =>
    value === undefined ? [] : [`${JSON.stringify(key)}:${JSON.stringify(value)}`],
  );
  return `{${[...members, ...Object.entries(texts).map(([key, text]) => `${JSON.stringify(key)}:${text}`)].join(',')}}`;
}

export const sendJson = (response: Response, json: string): void => {
  response.type('application/json').send(json);
};

/** So many texts of a list are handed over at once. */
const AT_ONCE = 500;

/**
 * An object that has some members, and last a list of texts that are JSON already, which may be many: they are handed over in pieces, no faster than
 * they are taken, and whoever else asks is answered between two.
 */
export async function sendList(
  response: Response,
  plain: Readonly<Record<string, unknown>>,
  key: string,
  texts: readonly string[],
): Promise<void> {
  response.type('application/json');
  response.write(`${jsonWith(plain, {}).slice(0, -1)},${JSON.stringify(key)}:[`);
  for (let from = 0; from < texts.length && !response.destroyed; from += AT_ONCE) {
    const piece = texts.slice(from, from + AT_ONCE).join(',');
    response.write(from > 0 ? `,${piece}` : piece);
    await drained(response);
  }
  response.end(']}');
}
