import { motorConstant } from '../../models/motor/constants.js';
import { peakPower } from '../../models/motor/peaks.js';
import { sheetAt } from '../../models/motor/sheetAt.js';
import type { MotorPart } from '../../plan/document/part.js';
import { constantsOf } from './constantsOf.js';

/** A motor as it compares with any other, whatever its sheet gives: all on the same volts. SI; what is not known is absent. */
export interface MotorRow {
  /** rad/s per volt. */
  readonly kv?: number;
  /** N·m/A */
  readonly kt?: number;
  readonly resistance?: number;
  readonly freeSpeed?: number;
  readonly stallTorque?: number;
  readonly stallCurrent?: number;
  /** Most it gives at its shaft, W. */
  readonly power?: number;
  /** N·m/√W: torque for a loss, the same for every winding of a can. */
  readonly motorConstant?: number;
  /** The same over its mass and over its can, N·m/√W/kg and N·m/√W/m³. */
  readonly perMass?: number;
  readonly perVolume?: number;
  readonly powerPerMass?: number;
  readonly pricePerWatt?: number;
}

/**
 * Stall is that of the winding at the volts, without a limit: T = Kt·((V − Vb)/R − I0). The can is a cylinder of its width and
 * length.
 *
 * @param volts at its terminals, V > 0
 * @example motorRowOf(plan.parts['motor-1'].part, 12).stallCurrent //=> 118
 */
export function motorRowOf(part: MotorPart, volts: number): MotorRow {
  const constants = constantsOf(part);
  if (!constants) return {};
  const { torqueConstant, backEmfConstant, resistance } = constants;
  const power = peakPower(constants, volts);
  const strength = motorConstant(constants);
  const { freeSpeed, stallTorque, stallCurrent } = sheetAt(constants, volts);
  const { canDiameter, length, mass, price } = part;
  const volume = canDiameter && length && (Math.PI / 4) * canDiameter.si ** 2 * length.si;
  return {
    kv: 1 / backEmfConstant,
    kt: torqueConstant,
    resistance,
    freeSpeed,
    stallTorque,
    stallCurrent,
    power,
    motorConstant: strength,
    perMass: mass && strength / mass.si,
    perVolume: volume === undefined ? undefined : strength / volume,
    powerPerMass: mass && power / mass.si,
    pricePerWatt: price && power > 0 ? price.si / power : undefined,
  };
}
