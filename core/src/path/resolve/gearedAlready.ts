import { gearedSign } from '../../models/motor/geared.js';
import { sheetAt } from '../../models/motor/sheetAt.js';
import type { MotorPart } from '../../plan/document/part.js';
import type { DcPath } from '../powerpath/path.js';

/**
 * Why the figures of a motor in its place may be those at the output of its gearbox; nothing where that was said already, where
 * too little is known, or where they look like a plain motor's. Judged at the volts of its sheet, else at the pack's.
 */
export function gearedAlready({ drive, figures, lacks, motor }: DcPath, part: MotorPart): string | undefined {
  if (part.figuresAt !== undefined || lacks.motor) return undefined;
  const { freeSpeed, stallTorque } = sheetAt(drive.motor, figures['motor.ratedVoltage']?.value ?? drive.restVoltage);
  return gearedSign({
    name: part.name,
    freeSpeed,
    stallTorque,
    canDiameter: figures['motor.canDiameter']?.value,
    torqueToBackEmfRatio: motor.audit.torqueToBackEmfRatio,
  });
}
