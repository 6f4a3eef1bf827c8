import { amount, say } from '../../../plan/words/phrase.js';
import { found, named } from '../../../path/worked/expression.js';
import type { CheckRule } from '../check.js';
import { RUN_NEEDS } from '../../motion/needs.js';

/** A commanded motion: has the drive the torque for every moment of it? */
export const follows: CheckRule = {
  id: 'follows',
  name: 'follows its commanded motion',
  link: 'load',
  needs: RUN_NEEDS,
  run: true,
  levers: ['longer', 'deeper', 'shallower', 'motors', 'lighter', 'supply-limit', 'stator-limit', 'brake-limit'],
  applies: (path) => path.asked.profile === 'trapezoid' && path.asked.travel !== undefined,
  answer: (path, run) => {
    const { multiple, behindAt } = run!.follows!;
    const dimension = path.load.unit === 'm' ? 'length' : 'angle';
    const shown = Math.min(multiple, 1e6);
    return {
      outcome: { multiple: shown },
      asked: 'torque at every moment',
      there: behindAt ? say`behind after ${amount(behindAt.time, 'time')}` : 'follows',
      sentence: behindAt
        ? say`It falls behind after ${amount(behindAt.time, 'time')}, at ${amount(behindAt.place * path.asked.perCoordinate, dimension)}: slower, or gentler.`
        : 'At every moment of the commanded motion the torque is there.',
      working: () =>
        named(
          'x',
          'torque there over torque taken, at its worst',
          'number',
          found(
            'x',
            'torque there over torque taken, at its worst',
            'number',
            shown,
            'moment by moment along the commanded motion',
          ),
        ),
    };
  },
};
