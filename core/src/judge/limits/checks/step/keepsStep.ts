import { amount, say } from '../../../../plan/words/phrase.js';
import { marginOf, stepMoments } from '../../../motion/stepRun.js';
import { motorSpeed } from '../../../../path/powerpath/path.js';
import type { StepPath } from '../../../../path/powerpath/stepPath.js';
import { found } from '../../../../path/worked/expression.js';
import type { CheckRule } from '../../check.js';
import { STEP_RUN_NEEDS } from '../../../motion/needs.js';

/** Half the pull-out torque is what a stepper is loaded to; a step-driven servo warns before it is lost. */
export const wantedMargin = ({ step }: StepPath): number => (step.motor.loop === 'open' ? 2 : 1.5);

/** Along the whole commanded motion: has it the torque, with its margin, at every moment? */
export const keepsStep: CheckRule<StepPath> = {
  id: 'keeps-step',
  name: 'keeps step',
  link: 'motor',
  needs: STEP_RUN_NEEDS,
  run: true,
  levers: [
    'gentler',
    'longer',
    'deeper',
    'shallower',
    'set-current',
    'lighter',
    'motors',
    'less-push',
    'counterforce',
    'spring',
  ],
  applies: () => true,
  answer: (path) => {
    const moments = stepMoments(path);
    const worst = moments.reduce((least, one) => (marginOf(one) < marginOf(least) ? one : least), moments[0]!);
    const multiple = Math.min(marginOf(worst), 1e6);
    const wants = wantedMargin(path);
    const at = amount(motorSpeed(path, worst.speed), 'speed');
    const open = path.step.motor.loop === 'open';
    const lost = open ? 'loses steps here, and nothing will tell you' : 'alarm: following error';
    const sentence =
      multiple < 1
        ? say`At ${at} of the motor it takes ${amount(Math.abs(worst.torque), 'torque')} where ${amount(worst.most, 'torque')} are there: ${lost}.`
        : say`At its worst, ${at} of the motor, it takes ${amount(Math.abs(worst.torque), 'torque')} of the ${amount(worst.most, 'torque')} that are there${open ? '; half is the usual design line' : ''}.`;
    return {
      outcome: { multiple, wants },
      asked: { value: Math.abs(worst.torque), dimension: 'torque' },
      there: { value: worst.most, dimension: 'torque' },
      sentence,
      working: () =>
        found(
          'x',
          'torque there over torque taken, at its worst',
          'number',
          multiple,
          'moment by moment along the commanded motion',
        ),
    };
  },
};
