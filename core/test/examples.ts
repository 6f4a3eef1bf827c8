import { readFileSync } from 'node:fs';
import { judge, resolveDcPath, systemOf } from '../src/index.js';
import type { Breaker, Drive, MotorConstants, PackFigures, Plan, RatingPoint, StepperFigures } from '../src/index.js';
import type { StepServoFigures } from '../src/models/stepper/stepServo.js';
import type { ThrowFigures } from '../src/models/load/throw.js';

/** The things that the examples in the core's doc comments speak of. */

/** A brushed motor of 12 V: 5800 rpm free, 2.1 N·m and 118 A stalled. */
export const motor: MotorConstants = {
  resistance: 12 / 118,
  torqueConstant: 2.1 / (118 - 2.2),
  backEmfConstant: (12 - 2.2 * (12 / 118)) / 607.4,
  freeCurrent: 2.2,
  freeCurrentPerSpeed: 0,
};

/** One of them behind a controller that takes 40 A from a 12.6 V pack. */
export const drive: Drive = {
  motor,
  motors: 1,
  rotorInertia: 8e-5,
  controllerResistance: 0.004,
  restVoltage: 12.6,
  supplyResistance: 0.02,
  supplyLimit: 40,
  brakeLimit: 60,
  greatestDuty: 1,
};

/** Six lithium cells. */
export const pack: PackFigures = {
  chemistry: 'lipo',
  series: 6,
  parallel: 1,
  cellResistance: 0.003,
  leadResistance: 0.002,
};

export const breaker: Breaker = { rated: 40, holdMultiple: 1.3, timeConstant: 12 };

/** 1.9 N·m at 2.8 A, on 24 V. */
export const stepper: StepperFigures = {
  phaseResistance: 1.1,
  phaseInductance: 0.0036,
  ratedCurrent: 2.8,
  holdingTorque: 1.9,
  detentTorque: 0.07,
  polePairs: 50,
  supplyVoltage: 24,
  setCurrent: 2.8,
};

export const stepServo: StepServoFigures = {
  ratedTorque: 1.3,
  ratedSpeed: 314,
  peakTorque: 3.9,
  topSpeed: 408,
  voltageShare: 1,
};

/** A servo's sheet at two voltages. */
export const points: readonly RatingPoint[] = [
  { voltage: 6, stallTorque: 2, freeSpeed: 7.5, stallCurrent: 2.4 },
  { voltage: 7.4, stallTorque: 2.5, freeSpeed: 9.2, stallCurrent: 2.9 },
];

export const thrown: ThrowFigures = {
  pieceMass: 0.2,
  wheelRadius: 0.05,
  speedShare: 0.5,
  slip: 0.9,
  ballInertiaFactor: 0.667,
};

/** The demo robot, its lift, and that lift's first job with every figure found. */
export const plan = JSON.parse(
  readFileSync(new URL('../../contract/demo/heron.json', import.meta.url), 'utf8'),
) as Plan;
export const mast = plan.mechanisms.find(({ id }) => id === 'lift')!;
export const path = resolveDcPath(plan, mast, 'raise');
export const judgement = judge(path);
export const system = systemOf(path);
