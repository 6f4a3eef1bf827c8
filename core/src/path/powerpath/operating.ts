import { currentAtVoltage, loopResistance, supplyForMotorCurrent } from '../../models/controller/currents.js';
import { voltsAgainst } from '../../models/motor/constants.js';
import { shaftTorque } from '../../models/controller/drivePoint.js';
import { loadedCurrent } from '../../models/servo/ratings.js';
import type { DcPath, PowerPath } from './path.js';
import { motorSpeed } from './path.js';
import type { AnyPath } from './anyPath.js';
import { torqueAtHorn, worstHornPlace, type ServoPath } from './servoPath.js';
import { torqueAtMotor, type StepPath } from './stepPath.js';

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
  /** The speed on q at which this flows, where the volts do not reach the one asked; 0 where it stands still. */
  readonly reached?: number;
  /** Torque and speed on the shaft after each stage. */
  readonly shafts: readonly { readonly torque: number; readonly speed: number }[];
}

/**
 * Works back from a force on q to torque, currents and volts, whatever turns it.
 *
 * @example operatingAt(path, 208, 0.844) //=> { motorTorque: 0.5868, motorSpeed: 345.3, motorCurrent: 34.56, shafts: [{ torque: 1.901, speed: 102.3 }, { torque: 4.817, speed: 38.36 }], supplyCurrent: 30.79, packVoltage: 11.84 }
 */
export function operatingAt(path: AnyPath, force: number, speed: number): Operating {
  switch (path.machine) {
    case 'dc':
      return dcOperating(path, force, speed);
    case 'step':
      return stepOperating(path, force, speed);
    case 'servo':
      return servoOperating(path, force, speed);
  }
}

function dcOperating(path: DcPath, force: number, speed: number): Operating {
  const { drive, train, radius } = path;
  const { motor, motors } = drive;
  const wanted = Math.max(0, force) / ((motors * train.total * train.efficiency) / radius);
  const drawnAt = (omega: number): number =>
    wanted / motor.torqueConstant + motor.freeCurrent + motor.freeCurrentPerSpeed * omega;
  const asked = motorSpeed(path, speed);
  const reaches = speedWithin(drive, wanted, asked);
  const omega = reaches ?? asked;
  // What stands still draws what the volts give, and no more.
  const motorCurrent = Math.min(drawnAt(omega), reaches === undefined ? Infinity : currentAtVoltage(drive, omega));
  const motorTorque = Math.min(wanted, shaftTorque(drive, motorCurrent, omega));
  const supplyCurrent =
    reaches === undefined ? supplyForMotorCurrent(drive, omega, motorCurrent) : drive.greatestDuty * motorCurrent;
  return {
    motorTorque,
    motorSpeed: omega,
    motorCurrent,
    shafts: shaftsOf(path, motorTorque * motors, omega),
    supplyCurrent,
    packVoltage:
      supplyCurrent === undefined ? undefined : drive.restVoltage - path.pack.resistance * motors * supplyCurrent,
    reached: reaches === undefined ? undefined : (omega * radius) / train.total,
  };
}

/**
 * The speed up to which the volts alone carry a shaft torque, rad/s, where that is less than the one asked; 0 where they
 * do not even carry it at rest.
 */
function speedWithin(drive: DcPath['drive'], torque: number, asked: number): number | undefined {
  const { motor, greatestDuty, restVoltage } = drive;
  const resistance = loopResistance(drive) + greatestDuty ** 2 * drive.supplyResistance;
  const current = torque / motor.torqueConstant + motor.freeCurrent;
  const spare = greatestDuty * restVoltage - voltsAgainst(motor, 0) - current * resistance;
  const omega = Math.max(0, spare / (motor.backEmfConstant + motor.freeCurrentPerSpeed * resistance));
  return omega < asked * (1 - 1e-9) || spare < 0 ? omega : undefined;
}

/** Share of its power that a stepper's driver passes on, typical. */
const DRIVER_EFFICIENCY = 0.9;

/**
 * A stepper's phases carry the set current whatever the load; the driver takes from the supply only the power
 * that goes into their copper and out of the shaft. A step-driven servo takes what its shaft gives over its efficiency.
 */
function stepOperating(path: StepPath, force: number, speed: number): Operating {
  const { step, motors, restVoltage, supplyResistance } = path;
  const omega = motorSpeed(path, speed);
  const motorTorque = torqueAtMotor(path, Math.max(0, force));
  const power = stepPower(step, motorTorque, omega);
  const supplyCurrent = currentOfPower(power, restVoltage, supplyResistance);
  return {
    motorTorque,
    motorSpeed: omega,
    motorCurrent: step.kind === 'stepper' ? step.setCurrent : (supplyCurrent ?? NaN),
    shafts: shaftsOf(path, motorTorque * motors, omega),
    supplyCurrent,
    packVoltage: supplyCurrent === undefined ? undefined : restVoltage - path.pack.resistance * motors * supplyCurrent,
  };
}

/** Power one motor's driver takes, W: shaft and copper; of a step-driven servo shaft over efficiency. */
export function stepPower(step: StepPath['step'], torque: number, omega: number): number {
  const shaft = Math.max(0, torque) * omega;
  if (step.kind === 'step-servo') return shaft / step.efficiency;
  return (shaft + 2 * step.setCurrent ** 2 * step.phaseResistance) / DRIVER_EFFICIENCY;
}

/**
 * The lower root of Rs·I² − V·I + P = 0; `undefined` where the pack cannot give that power.
 *
 * @example currentOfPower(200, 12, 0.02) //=> 17.16
 */
export function currentOfPower(power: number, volts: number, resistance: number): number | undefined {
  if (power === 0) return 0;
  const inside = volts * volts - 4 * resistance * power;
  return inside < 0 || volts <= 0 ? undefined : (2 * power) / (volts + Math.sqrt(inside));
}

/** Share of its power that a switching regulator passes on, typical. */
export const REGULATOR_EFFICIENCY = 0.85;

/**
 * What a current on a servo's rail takes from the pack: through a regulator the pack gives the power, on the pack itself
 * the current. A
 */
export const packCurrentOf = ({ rail, restVoltage }: ServoPath, current: number): number =>
  rail.source === 'pack' ? current : (current * rail.voltage) / (REGULATOR_EFFICIENCY * restVoltage);

/** A servo draws by its torque; the rail's other servos move meanwhile. */
function servoOperating(path: ServoPath, force: number, speed: number): Operating {
  const { servo, linked } = path;
  const place = worstHornPlace(path, (q) => path.load.force(q, speed));
  const motorTorque = torqueAtHorn(path, Math.max(0, force), place);
  const motorCurrent = loadedCurrent(servo.rating, servo.runningCurrent, motorTorque);
  const omega = speed / (linked?.ratioAt(place) ?? NaN);
  const output = (path.radius / path.train.total) * Math.max(0, force);
  const supplyCurrent = packCurrentOf(path, motorCurrent);
  return {
    motorTorque,
    motorSpeed: omega,
    motorCurrent,
    shafts: shaftsOf(path, output / path.train.efficiency, (speed * path.train.total) / path.radius),
    supplyCurrent,
    packVoltage: path.restVoltage - path.pack.resistance * path.motors * supplyCurrent,
  };
}

function shaftsOf({ stages, train }: PowerPath, torque: number, speed: number): Operating['shafts'] {
  let [passed, turning] = [torque, speed];
  return stages.map((_, i) => {
    const stage = train.stages[i]!;
    passed *= stage.ratio * stage.efficiency;
    turning /= stage.ratio;
    return { torque: passed, speed: turning };
  });
}
