import { bisect } from '../numbers/bisect.js';
/** A two-phase stepping motor at one supply and one set current. SI; currents r.m.s. of one phase. */
export interface StepperFigures {
  readonly phaseResistance: number;
  readonly phaseInductance: number;
  readonly ratedCurrent: number;
  /** Both phases at rated current, N·m. */
  readonly holdingTorque: number;
  /** What it resists with no current, N·m. */
  readonly detentTorque: number;
  /** 50 for steps of 1.8°. */
  readonly polePairs: number;
  readonly supplyVoltage: number;
  readonly setCurrent: number;
}

/**
 * Kφ = Th/(√2·Ir): torque per ampere of one phase, N·m/A.
 *
 * @example phaseTorqueConstant(stepper) //=> 0.4798
 */
export const phaseTorqueConstant = ({ holdingTorque, ratedCurrent }: StepperFigures): number =>
  holdingTorque / (Math.SQRT2 * ratedCurrent);

/**
 * What the set current gives at rest, before the detent takes its part.
 *
 * @example torqueAtCurrent(stepper, 2.1) //=> 1.425
 */
export const torqueAtCurrent = ({ holdingTorque, ratedCurrent }: StepperFigures, current: number): number =>
  (holdingTorque * current) / ratedCurrent;

/**
 * What the volts leave at a motor speed (rad/s): Tv = Kφ·V/Z − Kφ²·ω·R/Z² with Z = √(R² + (p·ω·L)²).
 * Source: Acarnley, Stepping Motors, chapter 5.
 *
 * @example voltageLimitedTorque(stepper, 60) //=> 0.9318
 */
export function voltageLimitedTorque(motor: StepperFigures, speed: number): number {
  const { phaseResistance, phaseInductance, polePairs, supplyVoltage } = motor;
  const constant = phaseTorqueConstant(motor);
  const impedance = Math.hypot(phaseResistance, polePairs * speed * phaseInductance);
  return (constant * supplyVoltage) / impedance - (constant ** 2 * speed * phaseResistance) / impedance ** 2;
}

/**
 * Pull-out torque at a motor speed (rad/s ≥ 0): beyond it the rotor falls out of step. The lesser of
 * what the current and what the volts give, less the detent; never under 0. Three to eleven per cent
 * high at the corner where the two meet.
 *
 * @example pullOut(stepper, 60) //=> 0.8618
 */
export function pullOut(motor: StepperFigures, speed: number): number {
  const least = Math.min(torqueAtCurrent(motor, motor.setCurrent), voltageLimitedTorque(motor, speed));
  return Math.max(0, least - motor.detentTorque);
}

/**
 * Motor speed above which the volts hold the torque, rad/s; 0 where they hold it from rest on.
 *
 * @example cornerSpeed(stepper) //=> 29.01
 */
export function cornerSpeed(motor: StepperFigures): number {
  const flat = torqueAtCurrent(motor, motor.setCurrent);
  if (voltageLimitedTorque(motor, 0) <= flat) return 0;
  let [low, high] = [0, 1];
  while (voltageLimitedTorque(motor, high) > flat && high < 1e6) [low, high] = [high, high * 2];
  return bisect(low, high, (speed) => voltageLimitedTorque(motor, speed) > flat)[0];
}

/**
 * Motor speed at which nothing is left, rad/s.
 *
 * @example lastSpeed(stepper) //=> 802.3
 */
export function lastSpeed(motor: StepperFigures): number {
  if (pullOut(motor, 0) <= 0) return 0;
  let [low, high] = [0, Math.max(1, cornerSpeed(motor))];
  while (pullOut(motor, high) > 0 && high < 1e6) [low, high] = [high, high * 2];
  return bisect(low, high, (speed) => pullOut(motor, speed) > 0)[0];
}

/**
 * Share of the holding torque that carries while crawling: full steps 1/√2, halves 0.92, finer nearly all of it.
 *
 * @example crawlingShare(16) //=> 1
 */
export const crawlingShare = (microsteps: number): number =>
  microsteps < 2 ? Math.SQRT1_2 : microsteps < 4 ? 0.92 : 1;

/**
 * Lag of the rotor behind its field under a load, rad at the motor: asin(T/Th)/p; a quarter of the field's turn where it is too much.
 *
 * @example lagAngle(0.5, 1.9, 50) //=> 0.005326
 */
export const lagAngle = (load: number, holding: number, polePairs: number): number =>
  Math.asin(Math.min(1, Math.max(0, load / holding))) / polePairs;
