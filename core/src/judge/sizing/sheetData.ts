import type { MotorConstants } from '../../models/motor/constants.js';
import { sheetAt } from '../../models/motor/sheetAt.js';
import type { MotorSheetData } from '../../plan/document/part.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import { digits } from '../../plan/words/show.js';

const RPM = 30 / Math.PI;

/**
 * A motor's constants as the figures of a sheet at some volts, worked out and marked so.
 *
 * @example sheetData(motor, 12).stallCurrent.as //=> '118 A'
 */
export function sheetData(motor: MotorConstants, volts: number): MotorSheetData {
  const { freeSpeed, freeCurrent, stallTorque, stallCurrent } = sheetAt(motor, volts);
  const say = (si: number, unit: string, shown = si) => quantityOf(si, `${digits(shown)} ${unit}`, 'estimated');
  return {
    form: 'sheet',
    ratedVoltage: say(volts, 'V'),
    freeSpeed: say(freeSpeed, 'rpm', freeSpeed * RPM),
    freeCurrent: say(freeCurrent, 'A'),
    stallTorque: say(stallTorque, 'N·m'),
    stallCurrent: say(stallCurrent, 'A'),
  };
}
