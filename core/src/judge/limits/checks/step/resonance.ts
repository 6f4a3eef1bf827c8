import { amount, say } from '../../../../plan/words/phrase.js';
import { motorSpeed } from '../../../../path/powerpath/path.js';
import { inertiaAtMotor, type StepPath } from '../../../../path/powerpath/stepPath.js';
import {
  rateAtSpeed,
  resonanceRate,
  RESONANCE_WIDTH,
  SMOOTH_MICROSTEPS,
} from '../../../../models/stepper/stepRates.js';
import { div, found, mul, named, num, sqrt } from '../../../../path/worked/expression.js';
import { figureOf } from '../../../../path/terms/pathTerms.js';
import type { CheckRule } from '../../check.js';
import { STEP_RUN_NEEDS } from '../../../motion/needs.js';

/** Full steps per second at which rotor and load swing by themselves, at the current that is set. */
export const resonanceOf = (path: StepPath): number => {
  const { step } = path;
  return resonanceRate(
    (step.holdingTorque * step.setCurrent) / step.ratedCurrent,
    inertiaAtMotor(path),
    step.polePairs,
  );
};

/** The band to stay out of, full steps per second. */
export const resonanceBand = (path: StepPath): { readonly from: number; readonly to: number } => {
  const middle = resonanceOf(path);
  return { from: (1 - RESONANCE_WIDTH) * middle, to: (1 + RESONANCE_WIDTH) * middle };
};

/** It must not go along for long where it swings by itself, unless fine steps smooth it. */
export const resonance: CheckRule<StepPath> = {
  id: 'resonance',
  name: 'stays out of resonance',
  link: 'motor',
  needs: STEP_RUN_NEEDS,
  run: false,
  levers: ['finer-steps', 'shallower', 'deeper', 'longer'],
  applies: ({ step }) => step.motor.loop === 'open',
  answer: (path) => {
    const { from, to } = resonanceBand(path);
    const rate = rateAtSpeed(motorSpeed(path, path.commanded.speed), path.step.polePairs);
    const inside = rate >= from && rate <= to;
    const { damps } = path.driver;
    const smooth = damps || path.step.microsteps >= SMOOTH_MICROSTEPS;
    const band = say`${amount(from, 'rate')} to ${amount(to, 'rate')}`;
    const sentence = !inside
      ? say`It goes along at ${amount(rate, 'rate')} of full steps; it swings by itself at ${band}.`
      : smooth
        ? say`It goes along at ${amount(rate, 'rate')} of full steps, within the ${band} where it swings by itself; ${damps ? 'the driver damps that' : `${path.step.microsteps} micro-steps smooth that`}.`
        : say`It goes along at ${amount(rate, 'rate')} of full steps, within the ${band} where it swings by itself: it rattles and may lose steps.`;
    return {
      outcome: { holds: !inside || smooth },
      asked: say`not at ${band}`,
      there: { value: rate, dimension: 'rate' },
      sentence,
      hint: 'Eight micro-steps or more, a driver that damps, a rubber disc or a damper on the shaft, or another speed.',
      working: () => {
        const torque = div(
          mul(figureOf(path, 'stepper.holdingTorque'), figureOf(path, 'drive.setCurrent')),
          figureOf(path, 'stepper.ratedCurrent'),
        );
        const inertia = found(
          'J',
          'all that turns, at the motor',
          'inertia',
          inertiaAtMotor(path),
          'rotor and load through the train',
        );
        return named(
          'f',
          'where it swings by itself',
          'rate',
          div(sqrt(div(mul(num(path.step.polePairs, 'pole pairs'), torque), inertia)), num(2 * Math.PI)),
        );
      },
    };
  },
};
