/**
 * Goes through steps of another kind, telling at each where the whole stands: a match within a search.
 *
 * @param told what is yielded in the place of each step
 */
export function* through<Told, End>(steps: Generator<unknown, End>, told: () => Told): Generator<Told, End> {
  let next = steps.next();
  for (; !next.done; next = steps.next()) yield told();
  return next.value;
}
