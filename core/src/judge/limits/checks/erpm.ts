import { amount, say } from '../../../plan/words/phrase.js';
import { div, mul, named, num } from '../../../path/worked/expression.js';
import { backEmfConstantOf, figureOf } from '../../../path/terms/pathTerms.js';
import type { DcPath } from '../../../path/powerpath/path.js';
import type { CheckRule } from '../check.js';

/** A brushless controller follows the motor up to an electrical speed: pole pairs × rpm. */
export const erpm: CheckRule<DcPath> = {
  id: 'erpm',
  name: 'electrical speed',
  link: 'controller',
  needs: ['erpm', 'motor', 'pack'],
  run: false,
  levers: [],
  applies: (path) => path.motor.type === 'brushless' && path.motor.polePairs !== undefined,
  answer: (path) => {
    const pairs = path.motor.polePairs!;
    const highest = (pairs * path.pack.full) / path.drive.motor.backEmfConstant;
    const limit = path.controller.erpmLimit;
    return {
      outcome: { multiple: limit / highest },
      asked: { value: highest, dimension: 'speed' },
      there: { value: limit, dimension: 'speed' },
      sentence: say`Unloaded on a full pack the motor reaches ${amount(highest, 'speed')} electrically; the controller follows up to ${amount(limit, 'speed')}.`,
      hint: say`Choose a controller that follows ${amount(highest, 'speed')}, or a motor with a lower Kv or fewer poles.`,
      working: () =>
        named(
          'x',
          'electrical speed limit over the highest reached',
          'number',
          div(
            figureOf(path, 'controller.erpmLimit'),
            mul(num(pairs, 'pole pairs'), div(num(path.pack.full, 'full pack, V'), backEmfConstantOf(path))),
          ),
        ),
    };
  },
};
