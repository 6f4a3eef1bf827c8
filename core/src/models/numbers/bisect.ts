/** Halvings after which an interval is as narrow as numbers are: 2⁻⁶⁰ of what it was. */
const HALVINGS = 60;

/**
 * Bisection: where something that holds at `low` ceases to hold on the way to `high`. Neither end is asked; where it ceases
 * more than once, one of those places is found.
 *
 * @param halvings how often the interval is halved; fewer where each question takes long
 * @returns the last place known to hold, and the first known not to
 * @example bisect(0, 2, (x) => x * x < 2)[0] //=> 1.4142135623730951
 */
export function bisect(
  low: number,
  high: number,
  holds: (at: number) => boolean,
  halvings = HALVINGS,
): readonly [holds: number, ceased: number] {
  for (let i = 0; i < halvings; i++) {
    const middle = (low + high) / 2;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return [low, high];
}
