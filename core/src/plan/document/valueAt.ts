import type { Place } from './place.js';

/**
 * What stands at a place of a document; `undefined` where nothing does.
 *
 * @example valueAt({ a: [{ b: 2 }] }, ['a', 0, 'b']) //=> 2
 */
export function valueAt(document: unknown, at: Place): unknown {
  let found = document;
  for (const key of at) found = (found as Readonly<Record<string | number, unknown>> | undefined)?.[key];
  return found;
}
