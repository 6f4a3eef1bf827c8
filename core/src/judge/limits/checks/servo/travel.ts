import { amount, say } from '../../../../plan/words/phrase.js';
import type { ServoPath } from '../../../../path/powerpath/servoPath.js';
import { div, found, named } from '../../../../path/worked/expression.js';
import { figureOf } from '../../../../path/terms/pathTerms.js';
import type { CheckRule } from '../../check.js';
import { SERVO_RUN_NEEDS } from '../../../motion/needs.js';

/** How far the horn must turn for the job; metres of a linear servo. */
export const hornTurn = ({ linked }: ServoPath): number => Math.abs((linked?.to ?? NaN) - (linked?.from ?? NaN));

/** The servo must turn as far as the job and its linkage ask. */
export const travel: CheckRule<ServoPath> = {
  id: 'travel',
  name: 'travel is enough',
  link: 'motor',
  needs: ['travel', ...SERVO_RUN_NEEDS],
  run: false,
  levers: ['shallower'],
  applies: (path) => path.servo.part.motion !== 'continuous' && path.asked.travel !== undefined && !path.asked.endless,
  answer: (path) => {
    const linear = path.servo.part.motion === 'linear';
    const dimension = linear ? ('length' as const) : ('angle' as const);
    const asked = hornTurn(path);
    const there = path.servo.travel;
    return {
      outcome: { multiple: there / Math.max(asked, 1e-9) },
      asked: { value: asked, dimension },
      there: { value: there, dimension },
      sentence: say`The job takes ${amount(asked, dimension)} of the servo; it has ${amount(there, dimension)}. What is left over makes it coarser: a servo of less travel is finer.`,
      hint: 'A longer horn or a shorter lever turns the output further, for less torque; or a servo of more travel.',
      working: () =>
        named(
          'x',
          'travel there over travel taken',
          'number',
          div(
            figureOf(path, linear ? 'servo.stroke' : 'servo.travel'),
            found('q', 'taken by the job', dimension, asked, 'through linkage and stages'),
          ),
        ),
    };
  },
};
