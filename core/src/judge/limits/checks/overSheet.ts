import type { DcPath } from '../../../path/powerpath/path.js';
import { amount, joined, say } from '../../../plan/words/phrase.js';
import type { CheckRule } from '../check.js';

/** A limit set for a mechanism above what its controller's sheet says it gives: asked about, since the sheet may speak of a shorter time. */
export const overSheet: CheckRule<DcPath> = {
  id: 'over-sheet',
  name: 'limits within the controller’s sheet',
  link: 'controller',
  needs: [],
  run: false,
  levers: [],
  applies: ({ controller }) => controller.overSheet.length > 0,
  answer: ({ controller: { overSheet: over } }) => ({
    outcome: { note: true },
    asked: say`at most ${amount(over[0]!.sheet, 'current')}`,
    there: say`${amount(over[0]!.set, 'current')} set`,
    sentence: say`${joined(
      over.map(
        ({ limit, set, sheet }) =>
          say`Is the ${limit} of ${amount(set, 'current')} right? The controller’s sheet says ${amount(sheet, 'current')}.`,
      ),
      ' ',
    )} It is taken as set.`,
    hint: 'Set what the sheet says, or type the greater figure into the controller where its sheet gives one.',
  }),
};
