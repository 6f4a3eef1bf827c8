/** A direct-current motor as the models use it. V = I·R + Ke·ω + Vb, T = Kt·(I − I0 − I1·ω). */
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
  /** Vb, what the brushes drop on top of the resistance, V; absent where the other figures contain it. */
  readonly brushDrop?: number;
}

/**
 * Ke·ω + Vb: the volts a turning motor sets against those that drive it.
 *
 * @example voltsAgainst(motor, 300) //=> 5.816
 */
export const voltsAgainst = ({ backEmfConstant, brushDrop = 0 }: MotorConstants, speed: number): number =>
  backEmfConstant * speed + brushDrop;

/**
 * Ke·ω − Vb: the volts that are there to brake with; under 0 the brushes keep more than it makes.
 *
 * @example voltsToBrake(motor, 300) //=> 5.816
 */
export const voltsToBrake = ({ backEmfConstant, brushDrop = 0 }: MotorConstants, speed: number): number =>
  backEmfConstant * speed - brushDrop;

/**
 * (Kt·I0 + (Ke − Kt)·I)·ω + Vb·I, never under 0: friction, iron and brushes warm the case, W.
 *
 * @example dragHeat(motor, 30, 300) //=> 23.25
 */
export function dragHeat(motor: MotorConstants, current: number, speed: number): number {
  const { torqueConstant, backEmfConstant, freeCurrent, brushDrop = 0 } = motor;
  const drag = torqueConstant * freeCurrent + (backEmfConstant - torqueConstant) * current;
  return Math.max(0, drag * speed) + brushDrop * Math.abs(current);
}

/**
 * Km = Kt/√R, N·m/√W: the same for every winding of one frame.
 *
 * @example motorConstant(motor) //=> 0.05687
 */
export function motorConstant(motor: MotorConstants): number {
  return motor.torqueConstant / Math.sqrt(motor.resistance);
}
