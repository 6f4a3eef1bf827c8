import { brakePoint } from '../controller/brakePoint.js';
import { supplyForMotorCurrent } from '../controller/currents.js';
import { drivePoint } from '../controller/drivePoint.js';
import type { Pull } from './acceleration.js';
import type { MotionSystem } from './system.js';

/**
 * What a commanded place, speed and acceleration takes of one motor, and how many times that is there.
 *
 * @example flowFor(system, 0, 0.8, 0).pull.motorCurrent //=> 34.58
 */
export function flowFor(
  system: MotionSystem,
  place: number,
  speed: number,
  acceleration: number,
): { pull: Pull; multiple: number } {
  const { drive, load, efficiency, backEfficiency, radius, total } = system;
  const { motor, motors } = drive;
  const lever = total / radius;
  const omega = speed * lever;
  const mesh = load.force(place, speed) + load.inertia(place) * acceleration;
  const throughMesh = mesh >= 0 ? mesh / efficiency : mesh * backEfficiency;
  const torque = throughMesh / (motors * lever) + drive.rotorInertia * lever * acceleration;
  const drag = motor.freeCurrent + motor.freeCurrentPerSpeed * omega;
  if (torque >= -motor.torqueConstant * drag) {
    const current = Math.max(0, torque / motor.torqueConstant + drag);
    const most = drivePoint(drive, omega);
    const supply = supplyForMotorCurrent(drive, omega, current) ?? most.supplyCurrent;
    return {
      pull: {
        acceleration,
        motorCurrent: current,
        supplyCurrent: supply,
        shaftTorque: torque,
        heldBy: most.heldBy,
        slipping: slips(system, mesh),
      },
      multiple: torque > 0 ? Math.max(0, most.shaftTorque) / torque : Infinity,
    };
  }
  const most = brakePoint(drive, omega);
  const current = (-torque - motor.torqueConstant * drag) / motor.backEmfConstant;
  const loop = motor.resistance + drive.controllerResistance;
  const returned = (current * (motor.backEmfConstant * omega - current * loop)) / drive.restVoltage;
  // At the last instant, standing, a motor without reversed volts brakes no more, and need not.
  const multiple = speed > 0 ? most.shaftTorque / -torque : Infinity;
  const pull = {
    acceleration,
    motorCurrent: current,
    supplyCurrent: -returned,
    shaftTorque: torque,
    heldBy: most.heldBy,
    slipping: slips(system, mesh),
  };
  return { pull, multiple };
}

const slips = ({ load }: MotionSystem, mesh: number): boolean =>
  load.traction !== undefined && Math.abs(mesh) > load.traction;
