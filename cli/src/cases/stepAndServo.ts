import {
  calibrate,
  deadbandAngle,
  forceAtHorn,
  loadedCurrent,
  loadedSpeed,
  outputResolution,
  pullOut,
  pulseFor,
  pulseRate,
  ratingAt,
  resonanceRate,
  signalFit,
  speedOfSecondsPer60,
  startRate,
  tipErrorLikely,
  tipErrorWorst,
  type OptoInput,
  type SignalPin,
  type StepperFigures,
} from '@rough-gear/core';
import type { Got } from './got.js';

const DEGREE = Math.PI / 180;
const MICRO = 1e-6;

/** The references are written to eight digits and asked for to nine: the answer is given as they are written. */
const asWritten = (value: number): number => Number(value.toPrecision(8));

/** The families stepper and servo, and the signals that command them. */
export const STEP_AND_SERVO = {
  'pull-out': (given: StepperFigures & { speeds: readonly number[] }): Got =>
    Object.fromEntries(given.speeds.map((speed, i) => [`torque${i}`, pullOut(given, speed)])),
  'step-rates': (given: {
    holdingTorque: number;
    totalInertia: number;
    polePairs: number;
    loadTorque: number;
    pullOutAtRest: number;
  }): Got => ({
    resonance: resonanceRate(given.holdingTorque, given.totalInertia, given.polePairs),
    startRate: startRate(given.pullOutAtRest - given.loadTorque, given.totalInertia, given.polePairs),
  }),
  pulses: (given: { reduction: number; stepsPerTurn: number; microsteps: number; outputSpeed: number }): Got => ({
    pulseRate: asWritten(pulseRate(given, given.outputSpeed)),
    resolution: outputResolution(given),
  }),
  'opto-input': (given: OptoInput & SignalPin): Got => ({ ...signalFit(given, given) }),
  'servo-at-voltage': (given: {
    points: readonly { voltage: number; stallTorque: number; secondsPer60: number; stallCurrent?: number }[];
    runningCurrent: number;
    voltage: number;
    load: number;
    hornRadius: number;
  }): Got => {
    const rating = ratingAt(
      given.points.map(({ secondsPer60, ...point }) => ({ ...point, freeSpeed: speedOfSecondsPer60(secondsPer60) })),
      given.voltage,
    );
    return {
      stallTorque: rating.stallTorque,
      freeSpeed: rating.freeSpeed,
      loadedSpeed: loadedSpeed(rating, given.load),
      current: loadedCurrent(rating, given.runningCurrent, given.load),
      forceAtHorn: forceAtHorn(rating.stallTorque, given.hornRadius),
    };
  },
  'servo-calibration': (given: { pairs: readonly { angleDegrees: number; pulseMicroseconds: number }[] }): Got => {
    const line = calibrate(
      given.pairs.map(({ angleDegrees, pulseMicroseconds }) => ({
        angle: angleDegrees * DEGREE,
        pulse: pulseMicroseconds * MICRO,
      })),
    );
    return {
      microsecondsAtZero: line.atZero / MICRO,
      microsecondsPerDegree: (line.perRadian * DEGREE) / MICRO,
      rmsResidual: line.rmsResidual / MICRO,
      pulseFor30Degrees: pulseFor(line, 30 * DEGREE) / MICRO,
    };
  },
  'servo-resolution': (given: {
    travelDegrees: number;
    pulseSpanMicroseconds: number;
    deadbandMicroseconds: number;
    leversToTip: readonly number[];
  }): Got => {
    const error = deadbandAngle(
      given.travelDegrees * DEGREE,
      given.pulseSpanMicroseconds * MICRO,
      given.deadbandMicroseconds * MICRO,
    );
    const joints = given.leversToTip.map((lever) => ({ lever, error }));
    return {
      deadbandDegrees: error / DEGREE,
      tipErrorWorst: tipErrorWorst(joints),
      tipErrorLikely: tipErrorLikely(joints),
    };
  },
};
