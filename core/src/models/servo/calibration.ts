/** A pulse that was sent and the angle that was measured. Seconds and radians. */
export interface CalibrationPair {
  readonly angle: number;
  readonly pulse: number;
}

export interface Calibration {
  /** Pulse at angle 0, s. */
  readonly atZero: number;
  /** Pulse per radian, s/rad. */
  readonly perRadian: number;
  /** Pulse sent less the line's, pair by pair, s. */
  readonly residuals: readonly number[];
  readonly rmsResidual: number;
}

/**
 * The least-squares line pulse = a + b·angle through measured pairs. Throws with fewer than two different
 * angles, which give no line.
 *
 * @example calibrate([{ angle: -0.7, pulse: 0.0011 }, { angle: 0.7, pulse: 0.0019 }]) //=> { atZero: 0.0015, perRadian: 0.0005714, residuals: [0, 0], rmsResidual: 0 }
 */
export function calibrate(pairs: readonly CalibrationPair[]): Calibration {
  const n = pairs.length;
  const mean = (of: (pair: CalibrationPair) => number): number => pairs.reduce((sum, pair) => sum + of(pair), 0) / n;
  const [angle, pulse] = [mean((pair) => pair.angle), mean((pair) => pair.pulse)];
  const spread = pairs.reduce((sum, pair) => sum + (pair.angle - angle) ** 2, 0);
  if (n < 2 || spread === 0) throw new Error('a calibration needs at least two different angles');
  const perRadian = pairs.reduce((sum, pair) => sum + (pair.angle - angle) * (pair.pulse - pulse), 0) / spread;
  const atZero = pulse - perRadian * angle;
  const residuals = pairs.map((pair) => pair.pulse - (atZero + perRadian * pair.angle));
  return {
    atZero,
    perRadian,
    residuals,
    rmsResidual: Math.sqrt(residuals.reduce((sum, residual) => sum + residual ** 2, 0) / n),
  };
}

/**
 * The pulse for an angle, s.
 *
 * @example pulseFor(calibrate([{ angle: -0.7, pulse: 0.0011 }, { angle: 0.7, pulse: 0.0019 }]), 0.35) //=> 0.0017
 */
export const pulseFor = ({ atZero, perRadian }: Calibration, angle: number): number => atZero + perRadian * angle;

/**
 * The angle of a pulse, rad.
 *
 * @example angleOf(calibrate([{ angle: -0.7, pulse: 0.0011 }, { angle: 0.7, pulse: 0.0019 }]), 0.0017) //=> 0.35
 */
export const angleOf = ({ atZero, perRadian }: Calibration, pulse: number): number => (pulse - atZero) / perRadian;
