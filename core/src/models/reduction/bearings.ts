/** Usual ball bearings: bore and outside, mm. */
const BEARINGS: readonly (readonly [number, number])[] = [
  [3, 10],
  [4, 13],
  [5, 16],
  [6, 19],
  [6.35, 15.875],
  [8, 22],
  [10, 26],
  [12, 28],
  [12.7, 28.575],
  [15, 32],
  [20, 42],
  [25, 47],
];

/**
 * Outside diameter of the usual bearing whose bore takes a shaft of a diameter, m.
 *
 * @example bearingOutside(0.008) //=> 0.022
 */
export function bearingOutside(shaft: number): number {
  const found = BEARINGS.find(([bore]) => bore >= 1000 * shaft - 0.01);
  return found ? found[1] / 1000 : 1.9 * shaft;
}
