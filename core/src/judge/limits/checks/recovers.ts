import { amount, say } from '../../../plan/words/phrase.js';
import { throwAt } from '../../motion/throw.js';
import { systemOf } from '../../motion/system.js';
import { div, found, named } from '../../../path/worked/expression.js';
import { figureOf } from '../../../path/terms/pathTerms.js';
import type { DcPath } from '../../../path/powerpath/path.js';
import type { CheckRule } from '../check.js';
import { RUN_NEEDS } from '../../motion/needs.js';

/** Is the wheel back at speed before the next throw wants it? */
export const recovers: CheckRule<DcPath> = {
  id: 'recovers',
  name: 'back at speed',
  link: 'load',
  needs: ['throw', ...RUN_NEEDS],
  run: false,
  levers: ['shallower', 'deeper', 'motors', 'more-inertia', 'lighter', 'less-often', 'supply-limit', 'stator-limit'],
  applies: (path) => path.thrown !== undefined,
  answer: (path) => {
    const thrown = throwAt(systemOf(path), path.thrown!, path.asked.target!);
    const allowed = path.figures['job.recover']!.value!;
    const asked = { value: allowed, dimension: 'time' as const };
    if (!Number.isFinite(thrown.recovery))
      return {
        outcome: { holds: false },
        asked,
        there: 'never gets there',
        sentence: 'At full effort the wheel never comes to the speed the throw needs.',
      };
    const taken = Math.max(thrown.recovery, 1e-6);
    return {
      outcome: { multiple: allowed / taken },
      asked,
      there: { value: taken, dimension: 'time' },
      sentence: say`A throw takes ${amount(thrown.energy, 'energy')} and ${amount(thrown.drop, 'share')} of the speed; the wheel is back after ${amount(taken, 'time')}: up to ${amount(60 / taken, 'number', 2)} shots a minute.`,
      working: () =>
        named(
          'x',
          'time allowed over time taken',
          'number',
          div(
            figureOf(path, 'job.recover'),
            found('t_r', 'time back to speed', 'time', taken, 'by stepping the motion from the speed after a throw'),
          ),
        ),
    };
  },
};
