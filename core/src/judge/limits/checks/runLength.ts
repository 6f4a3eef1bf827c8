import { amount, say } from '../../../plan/words/phrase.js';
import { counted } from '../../../plan/words/show.js';
import type { PowerPath } from '../../../path/powerpath/path.js';
import type { BeltParts, ChainParts, StageParts } from '../../../path/powerpath/stageParts.js';
import { isUneven, lengthFit } from '../../../path/powerpath/lengthFit.js';
import { OFFSET_LINK_SHARE } from '../../../models/reduction/chainRun.js';
import { div, named, num } from '../../../path/worked/expression.js';
import type { CheckRule } from '../check.js';

const isRun = (parts: StageParts): parts is ChainParts | BeltParts =>
  (parts.kind === 'chain' && !Number.isNaN(parts.length)) || (parts.kind === 'belt' && parts.chosen);

/** A chain with a link of half its strength would be no chain. */
const HALF = 0.5;

/** The stage whose chain or belt fits worst. */
function worstRun(path: PowerPath): ChainParts | BeltParts | undefined {
  const runs = path.stageParts.filter(isRun);
  return runs.find((parts) => !lengthFit(parts).fits) ?? runs.find(isUneven) ?? runs[0];
}

/** Whole links and belts that are sold, on shafts that are where they are. */
export const runLength: CheckRule = {
  id: 'run-length',
  name: 'chain and belt lengths',
  link: 'stage',
  needs: ['chain', 'belt'],
  run: false,
  levers: ['even-links'],
  applies: (path) => path.stageParts.some(isRun),
  stage: (path) => worstRun(path)?.id,
  answer: (path) => {
    const parts = worstRun(path)!;
    const { fits, sentence } = lengthFit(parts);
    const weak = fits && isUneven(parts);
    return {
      // An offset link works, but it is the weakest of the chain: tight, not broken.
      outcome: weak ? { multiple: OFFSET_LINK_SHARE / HALF, wants: 1 / HALF } : { holds: fits },
      asked: say`${amount(parts.centre, 'length', 5)} apart`,
      there:
        parts.kind === 'chain' ? counted(parts.length, 'link') : `${counted(parts.length, 'tooth', 'teeth')} of belt`,
      sentence: say`Stage ${parts.index + 1}: ${sentence}`,
      working: weak
        ? () =>
            named(
              'x',
              'what its weakest link carries, over half a plain one',
              'number',
              div(num(OFFSET_LINK_SHARE), num(HALF)),
            )
        : undefined,
      hint: 'Set the shafts at the exact distance of a whole length, or let one of them slide.',
    };
  },
};
