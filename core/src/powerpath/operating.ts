import { supplyForMotorCurrent } from '../controller/currents.js';
import type { PowerPath } from './path.js';
import { motorSpeed } from './path.js';

/** What flows along the path while the output pulls a force at a speed. */
export interface Operating {
  /** Torque of one motor, N·m. */
  readonly motorTorque: number;
  readonly motorSpeed: number;
  /** Current of one motor, A. */
  readonly motorCurrent: number;
  /** Of one motor; absent where the pack cannot give that much. */
  readonly supplyCurrent?: number;
  readonly packVoltage?: number;
  /** Torque and speed on the shaft after each stage. */
  readonly shafts: readonly { readonly torque: number; readonly speed: number }[];
}

/** Works back from a force on q to torque, currents and volts. */
export function operatingAt(path: PowerPath, force: number, speed: number): Operating {
  const { drive, train, radius } = path;
  const { motor, motors } = drive;
  const omega = motorSpeed(path, speed);
  const motorTorque = Math.max(0, force) / ((motors * train.total * train.efficiency) / radius);
  const motorCurrent = motorTorque / motor.torqueConstant + motor.freeCurrent + motor.freeCurrentPerSpeed * omega;
  const supplyCurrent = supplyForMotorCurrent(drive, omega, motorCurrent);
  let [torque, turning] = [motorTorque * motors, omega];
  const shafts = path.stages.map((_, i) => {
    const stage = train.stages[i]!;
    torque *= stage.ratio * stage.efficiency;
    turning /= stage.ratio;
    return { torque, speed: turning };
  });
  return {
    motorTorque,
    motorSpeed: omega,
    motorCurrent,
    shafts,
    ...(supplyCurrent === undefined
      ? {}
      : { supplyCurrent, packVoltage: drive.restVoltage - path.pack.resistance * motors * supplyCurrent }),
  };
}
