import { brakeInto } from '../../models/controller/brakePoint.js';
import { supplyForMotorCurrent } from '../../models/controller/currents.js';
import { driveInto } from '../../models/controller/drivePoint.js';
import { voltsToBrake } from '../../models/motor/constants.js';
import { newPull, type Pull } from './acceleration.js';
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
  const pull = newPull();
  return { pull, multiple: flowInto(pull, system, place, speed, acceleration) };
}

/** The same written into what is there, for a match that asks it thousands of times; gives back how many times it is there. */
export function flowInto(into: Pull, system: MotionSystem, place: number, speed: number, acceleration: number): number {
  const { drive, load, efficiency, backEfficiency, radius, total } = system;
  const { motor, motors } = drive;
  const lever = total / radius;
  const omega = speed * lever;
  const mesh = load.force(place, speed) + load.inertia(place) * acceleration;
  const throughMesh = mesh >= 0 ? mesh / efficiency : mesh * backEfficiency;
  const torque = throughMesh / (motors * lever) + drive.rotorInertia * lever * acceleration;
  const drag = motor.freeCurrent + motor.freeCurrentPerSpeed * omega;
  let multiple: number;
  if (torque >= -motor.torqueConstant * drag) {
    const current = Math.max(0, torque / motor.torqueConstant + drag);
    driveInto(into, drive, omega, drive.greatestDuty);
    multiple = torque > 0 ? Math.max(0, into.shaftTorque) / torque : Infinity;
    into.supplyCurrent = supplyForMotorCurrent(drive, omega, current) ?? into.supplyCurrent;
    into.motorCurrent = current;
  } else {
    brakeInto(into, drive, omega);
    // At the last instant, standing, a motor without reversed volts brakes no more, and need not.
    multiple = speed > 0 ? into.shaftTorque / torque : Infinity;
    const current = (-torque - motor.torqueConstant * drag) / motor.backEmfConstant;
    const loop = motor.resistance + drive.controllerResistance;
    into.supplyCurrent = -(current * (voltsToBrake(motor, omega) - current * loop)) / drive.restVoltage;
    into.motorCurrent = current;
  }
  into.acceleration = acceleration;
  into.shaftTorque = torque;
  into.slipping = load.traction !== undefined && Math.abs(mesh) > load.traction;
  return multiple;
}
