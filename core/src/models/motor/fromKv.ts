import type { MotorConstants } from './constants.js';

/** Velocity-constant form. `kv` in rad/s per volt, resistance terminal to terminal. */
export interface MotorKv {
  readonly kv: number;
  readonly resistance: number;
  readonly freeCurrent: number;
}

/**
 * Ke = 1/Kv and Kt = Ke: Kv is the back-EMF constant turned over.
 *
 * @example motorFromKv({ kv: kvFromRpmPerVolt(920), resistance: 0.08, freeCurrent: 1.1 }) //=> { resistance: 0.08, torqueConstant: 0.01038, backEmfConstant: 0.01038, freeCurrent: 1.1, freeCurrentPerSpeed: 0 }
 */
export function motorFromKv({ kv, resistance, freeCurrent }: MotorKv): MotorConstants {
  return { resistance, torqueConstant: 1 / kv, backEmfConstant: 1 / kv, freeCurrent, freeCurrentPerSpeed: 0 };
}

/**
 * Kv in rad/s per volt from the usual rpm per volt.
 *
 * @example kvFromRpmPerVolt(920) //=> 96.34
 */
export const kvFromRpmPerVolt = (rpmPerVolt: number): number => (rpmPerVolt * Math.PI) / 30;
