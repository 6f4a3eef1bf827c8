/** A controller as its heat is reckoned. */
export interface ControllerHeat {
  /** Ω of its switches and leads. */
  readonly resistance: number;
  /** Share of V·I that its switching takes. */
  readonly switching: number;
}

/**
 * P = R·I² + s·V·I, what one controller turns into heat at a motor current, W.
 *
 * @example controllerHeat({ resistance: 0.004, switching: 0.003 }, 12, 40) //=> 7.84
 */
export const controllerHeat = ({ resistance, switching }: ControllerHeat, volts: number, current: number): number =>
  resistance * current * current + switching * volts * current;

/**
 * The motor current at which it makes so much heat: the root of R·I² + s·V·I = P, written so that R may be 0. A
 *
 * @example currentForHeat({ resistance: 0.004, switching: 0.003 }, 12, 7.84) //=> 40
 */
export function currentForHeat({ resistance, switching }: ControllerHeat, volts: number, heat: number): number {
  const linear = switching * volts;
  return (2 * heat) / (linear + Math.sqrt(linear * linear + 4 * resistance * heat));
}
