import { amount, say } from '../../../../plan/words/phrase.js';
import type { ServoPath } from '../../../../path/powerpath/servoPath.js';
import { leversToTip, tipErrorLikely, tipErrorWorst } from '../../../../models/servo/precision.js';
import { div, found, named } from '../../../../path/worked/expression.js';
import { figureOf } from '../../../../path/terms/pathTerms.js';
import type { CheckRule } from '../../check.js';

/** Error of the tip of a chain of joints, worst and likely. */
export function tipErrors({ chain }: ServoPath): { readonly worst: number; readonly likely: number } {
  const levers = leversToTip(chain);
  const joints = chain.map(({ error }, i) => ({ lever: levers[i]!, error }));
  return { worst: tipErrorWorst(joints), likely: tipErrorLikely(joints) };
}

/** Does the tip come back within the window? */
export const tip: CheckRule<ServoPath> = {
  id: 'tip',
  name: 'tip comes back',
  link: 'output',
  needs: ['precision', 'travel'],
  run: false,
  levers: [],
  applies: ({ chain, tipWindow }) => chain.length > 0 && tipWindow !== undefined,
  answer: (path) => {
    const { worst, likely } = tipErrors(path);
    const window = path.tipWindow!;
    return {
      outcome: { multiple: window / Math.max(worst, 1e-12) },
      asked: { value: window, dimension: 'length' },
      there: { value: worst, dimension: 'length' },
      sentence: say`Deadband and play of its joints leave the tip within ${amount(likely, 'length')} as a rule and ${amount(worst, 'length')} at worst; ${amount(window, 'length')} are allowed.`,
      hint: 'Digital servos of a smaller deadband, less travel per servo, shorter parts, or a spring that takes up the play.',
      working: () =>
        named(
          'x',
          'allowed over the worst',
          'number',
          div(
            figureOf(path, 'drive.tipWindow'),
            found(
              'e',
              'error of the tip, worst',
              'length',
              worst,
              'each joint’s error times its distance to the tip, added',
            ),
          ),
        ),
    };
  },
};
