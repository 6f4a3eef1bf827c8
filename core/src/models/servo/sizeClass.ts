/** A usual size of servo: up to a mass, and its case without ears and shaft. SI. */
export interface ServoSize {
  readonly name: string;
  readonly most: number;
  readonly length: number;
  readonly width: number;
  readonly height: number;
}

/** Sizes that are sold by many, the lightest first; typical: makers differ by a millimetre or two. */
export const SERVO_SIZES: readonly ServoSize[] = [
  { name: 'tiny', most: 0.016, length: 0.023, width: 0.012, height: 0.026 },
  { name: 'small', most: 0.034, length: 0.03, width: 0.015, height: 0.033 },
  { name: 'standard', most: 0.09, length: 0.041, width: 0.02, height: 0.038 },
  { name: 'large', most: Infinity, length: 0.066, width: 0.03, height: 0.058 },
];

/**
 * The size that a servo's mass (kg) belongs to.
 *
 * @example servoSize(0.055).name //=> 'standard'
 */
export const servoSize = (mass: number): ServoSize =>
  SERVO_SIZES.find(({ most }) => mass <= most) ?? SERVO_SIZES.at(-1)!;
