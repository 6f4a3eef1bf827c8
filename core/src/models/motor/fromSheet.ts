import type { MotorConstants } from './constants.js';

/** The data-sheet numbers, all at the rated voltage. SI. */
export interface MotorSheet {
  readonly ratedVoltage: number;
  readonly freeSpeed: number;
  readonly freeCurrent: number;
  readonly stallTorque: number;
  readonly stallCurrent: number;
}

/**
 * R = Vr/Is, Kt = Ts/(Is − I0), Ke = (Vr − I0·R)/ω0: the line through all four data-sheet numbers.
 * The stall current must be greater than the free current, all figures positive.
 *
 * @example motorFromSheet({ ratedVoltage: 12, freeSpeed: 607, freeCurrent: 2.2, stallTorque: 2.1, stallCurrent: 118 }) //=> { resistance: 0.1017, torqueConstant: 0.01813, backEmfConstant: 0.0194, freeCurrent: 2.2, freeCurrentPerSpeed: 0 }
 */
export function motorFromSheet(sheet: MotorSheet): MotorConstants {
  const resistance = sheet.ratedVoltage / sheet.stallCurrent;
  return {
    resistance,
    torqueConstant: sheet.stallTorque / (sheet.stallCurrent - sheet.freeCurrent),
    backEmfConstant: (sheet.ratedVoltage - sheet.freeCurrent * resistance) / sheet.freeSpeed,
    freeCurrent: sheet.freeCurrent,
    freeCurrentPerSpeed: 0,
  };
}
