import { voltsAgainst, type MotorConstants } from './constants.js';
import type { MotorSheet } from './fromSheet.js';
import { freeSpeedAt } from './peaks.js';

/**
 * The four numbers a sheet would give at some volts (V > 0), what brushes drop within them: I = (V − Vb)/R stalled,
 * T = Kt·(I − I0), never under 0.
 *
 * @example sheetAt(motor, 12).stallCurrent //=> 118
 */
export function sheetAt(motor: MotorConstants, ratedVoltage: number): MotorSheet {
  const { torqueConstant, resistance, freeCurrent } = motor;
  const stallCurrent = (ratedVoltage - voltsAgainst(motor, 0)) / resistance;
  return {
    ratedVoltage,
    freeSpeed: freeSpeedAt(motor, ratedVoltage),
    freeCurrent,
    stallTorque: torqueConstant * Math.max(0, stallCurrent - freeCurrent),
    stallCurrent,
  };
}
