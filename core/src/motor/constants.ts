/** A direct-current motor as the models use it. V = I·R + Ke·ω, T = Kt·(I − I0 − I1·ω). */
export interface MotorConstants {
  /** Terminal resistance at 20 °C, Ω. */
  readonly resistance: number;
  /** N·m/A */
  readonly torqueConstant: number;
  /** V·s/rad */
  readonly backEmfConstant: number;
  /** A */
  readonly freeCurrent: number;
  /** Extra free current per speed, A·s/rad; 0 unless measured. */
  readonly freeCurrentPerSpeed: number;
}

/**
 * Km = Kt/√R, N·m/√W: the same for every winding of one frame.
 *
 * @example motorConstant(motor) //=> 0.05687
 */
export function motorConstant(motor: MotorConstants): number {
  return motor.torqueConstant / Math.sqrt(motor.resistance);
}
