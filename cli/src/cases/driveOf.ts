import type { Drive } from '@rough-gear/core';

/** A drive as the cases give it. */
export interface DriveGiven {
  readonly motor: {
    readonly resistance: number;
    readonly torqueConstant: number;
    readonly backEmfConstant: number;
    readonly freeCurrent: number;
  };
  readonly rotorInertia?: number;
  readonly controllerResistance: number;
  readonly motors: number;
  readonly pack: { readonly voltage: number; readonly resistance: number };
  readonly limitsPerMotor: { readonly stator?: number; readonly supply?: number; readonly returned?: number };
}

export function driveOf(given: DriveGiven): Drive {
  const { stator, supply } = given.limitsPerMotor;
  return {
    motor: { ...given.motor, freeCurrentPerSpeed: 0 },
    motors: given.motors,
    rotorInertia: given.rotorInertia ?? 0,
    controllerResistance: given.controllerResistance,
    restVoltage: given.pack.voltage,
    supplyResistance: given.motors * given.pack.resistance,
    greatestDuty: 1,
    statorLimit: stator,
    supplyLimit: supply,
  };
}
