/**
 * An id no other part has: "breaker-2".
 *
 * @example freshId({ 'motor-1': {} }, 'motor') //=> 'motor-2'
 */
export function freshId(taken: Readonly<Record<string, unknown>>, kind: string): string {
  let i = 1;
  while (`${kind}-${i}` in taken) i++;
  return `${kind}-${i}`;
}
