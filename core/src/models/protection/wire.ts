/** Typical largest breaker on short robot runs, by American wire gauge, A. */
const LARGEST_BREAKER: readonly (readonly [gauge: number, amperes: number])[] = [
  [6, 120],
  [8, 80],
  [10, 50],
  [12, 40],
  [14, 30],
  [16, 20],
  [18, 15],
  [20, 10],
  [22, 5],
];

/**
 * d = 0.127 mm · 92^((36 − A)/39), in m.
 *
 * @example wireDiameter(12) //=> 0.002053
 */
export const wireDiameter = (gauge: number): number => 0.000127 * 92 ** ((36 - gauge) / 39);

/**
 * Copper, both ways counted: `length` is one way in m, temperature in °C.
 *
 * @example wireResistance(12, 1.5) //=> 0.01563
 */
export function wireResistance(gauge: number, length: number, temperature = 20): number {
  const area = (Math.PI / 4) * wireDiameter(gauge) ** 2;
  return (1.724e-8 * (1 + 0.00393 * (temperature - 20)) * 2 * length) / area;
}

/**
 * Typical largest breaker for a gauge; the next thinner listed gauge's for one between, 0 below the list.
 *
 * @example largestBreaker(12) //=> 40
 */
export function largestBreaker(gauge: number): number {
  return LARGEST_BREAKER.find(([listed]) => listed >= gauge)?.[1] ?? 0;
}

/**
 * The thinnest listed wire that typically goes with a breaker; `undefined` beyond the list.
 *
 * @example thinnestWire(40) //=> 12
 */
export function thinnestWire(rated: number): number | undefined {
  return LARGEST_BREAKER.findLast(([, amperes]) => amperes >= rated)?.[0];
}
