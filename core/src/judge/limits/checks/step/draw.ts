import { amount, say } from '../../../../plan/words/phrase.js';
import type { StepPath } from '../../../../path/powerpath/stepPath.js';
import { holdingCurrent } from '../../../../models/protection/breaker.js';
import { div, found, named } from '../../../../path/worked/expression.js';
import type { CheckRule } from '../../check.js';
import { STEP_RUN_NEEDS } from '../../../motion/needs.js';

/** What the driver takes from its branch, which is not what flows in the motor. */
export const draw: CheckRule<StepPath> = {
  id: 'draw',
  name: 'branch carries the driver',
  link: 'branch',
  needs: ['branch breaker', ...STEP_RUN_NEEDS],
  run: true,
  levers: ['breaker', 'set-current-down', 'deeper', 'lighter', 'longer'],
  applies: ({ branch }) => branch.breaker !== undefined,
  answer: (path, run) => {
    const { branch, motors, step } = path;
    const asked = ((run?.peakSupplyCurrent ?? 0) / motors) * (branch.together ? motors : 1);
    const there = holdingCurrent(branch.breaker!);
    const phase =
      step.kind === 'stepper'
        ? say` while ${amount(step.setCurrent, 'current')} flow in each phase: a driver trades volts for amperes`
        : '';
    return {
      outcome: { multiple: there / Math.max(asked, 1e-9) },
      asked: { value: asked, dimension: 'current' },
      there: { value: there, dimension: 'current' },
      sentence: say`From its branch it takes ${amount(asked, 'current')} at most${phase}; the breaker carries ${amount(there, 'current')} for ever.`,
      working: () =>
        named(
          'x',
          'what the breaker carries over what flows',
          'number',
          div(
            found(
              'I_{hold}',
              'what the breaker carries for ever',
              'current',
              there,
              'its rating times its hold multiple',
            ),
            found('I', 'most that flows', 'current', asked, 'along the commanded motion'),
          ),
        ),
    };
  },
};
