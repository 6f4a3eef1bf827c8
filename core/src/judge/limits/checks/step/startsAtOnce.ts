import { amount, say } from '../../../../plan/words/phrase.js';
import { motorSpeed } from '../../../../path/powerpath/path.js';
import { inertiaAtMotor, torqueAtMotor, type StepPath } from '../../../../path/powerpath/stepPath.js';
import { crawlingShare, pullOut } from '../../../../models/stepper/pullOut.js';
import { rateAtSpeed, startRate } from '../../../../models/stepper/stepRates.js';
import { div, found, mul, named, num, sqrt } from '../../../../path/worked/expression.js';
import type { CheckRule } from '../../check.js';
import { STEP_RUN_NEEDS } from '../../../motion/needs.js';

/** Torque left over the load at rest, N·m of one motor; 0 for a motor that is not stepped blindly. */
export function spareAtRest(path: StepPath): number {
  const { motor, microsteps } = path.step;
  if (motor.loop !== 'open') return 0;
  const load = torqueAtMotor(path, path.load.force(0, 0));
  return crawlingShare(microsteps) * pullOut(motor.figures, 0) - load;
}

/** Full steps per second from which it can start and stop without a ramp. */
export const startRateOf = (path: StepPath): number =>
  startRate(spareAtRest(path), inertiaAtMotor(path), path.step.polePairs);

/** Started without a ramp, the first steps come at the full rate. */
export const startsAtOnce: CheckRule<StepPath> = {
  id: 'starts-at-once',
  name: 'starts without a ramp',
  link: 'motor',
  needs: STEP_RUN_NEEDS,
  run: false,
  levers: ['with-ramp', 'longer', 'shallower', 'set-current', 'lighter'],
  applies: (path) => !path.ramp && path.step.motor.loop === 'open',
  answer: (path) => {
    const there = startRateOf(path);
    const asked = rateAtSpeed(motorSpeed(path, path.commanded.speed), path.step.polePairs);
    return {
      outcome: { multiple: there / Math.max(asked, 1e-9) },
      asked: { value: asked, dimension: 'rate' },
      there: { value: there, dimension: 'rate' },
      sentence: say`From rest it follows ${amount(there, 'rate')} of full steps at once; the job starts at ${amount(asked, 'rate')}. A ramp takes it up gently.`,
      working: () => {
        const spare = found(
          'T',
          'pull-out at rest less the load',
          'torque',
          spareAtRest(path),
          'as coarse as the steps are',
        );
        const inertia = found(
          'J',
          'all that turns, at the motor',
          'inertia',
          inertiaAtMotor(path),
          'rotor and load through the train',
        );
        const step = num((2 * Math.PI) / (4 * path.step.polePairs), 'one step');
        const rate = named('f_{start}', 'rate it starts at', 'rate', sqrt(div(spare, mul(num(2), step, inertia))));
        return named('x', 'rate it starts at over rate asked', 'number', div(rate, num(asked, 'rate asked')));
      },
    };
  },
};
