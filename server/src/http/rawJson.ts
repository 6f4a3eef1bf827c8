import type { Response } from 'express';

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
