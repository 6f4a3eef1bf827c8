import { digits, quantityOf, sheetData, type MotorConstants, type MotorPart } from '@rough-gear/core';

const RPM = 30 / Math.PI;

/** A motor's figures in another form, worked out from what is known and marked estimated; empty where nothing is. */
export function motorForm(
  form: MotorPart['data']['form'],
  part: MotorPart,
  motor: MotorConstants | undefined,
  volts: number,
): MotorPart['data'] {
  if (part.data.form === form || !motor) return part.data.form === form ? part.data : { form };
  const say = (si: number, unit: string, shown = si) => quantityOf(si, `${digits(shown)} ${unit}`, 'estimated');
  const kv = 1 / motor.backEmfConstant;
  switch (form) {
    case 'kv':
      return {
        form,
        kv: say(kv, 'Kv', kv * RPM),
        resistance: say(motor.resistance, 'mΩ', motor.resistance * 1000),
        freeCurrent: say(motor.freeCurrent, 'A'),
      };
    case 'turns':
      return {
        form,
        referenceKv: say(kv, 'Kv', kv * RPM),
        referenceResistance: say(motor.resistance, 'mΩ', motor.resistance * 1000),
        referenceFreeCurrent: say(motor.freeCurrent, 'A'),
      };
    case 'sheet':
      return sheetData(motor, volts);
  }
}
