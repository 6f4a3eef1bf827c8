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
