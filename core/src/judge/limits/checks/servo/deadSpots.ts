import { amount, say } from '../../../../plan/words/phrase.js';
import type { ServoPath } from '../../../../path/powerpath/servoPath.js';
import type { DeadSpot } from '../../../../models/servo/throughTravel.js';
import type { CheckRule } from '../../check.js';

const WHY: Readonly<Record<DeadSpot['why'], string>> = {
  'no reach': 'its parts do not reach each other',
  locked: 'the rod pushes through the lever’s pivot and turns nothing',
  still: 'the horn is in line with the rod: it turns, and the output hardly moves',
};

/** Is there a place on the way at which the linkage does not work? */
export const deadSpots: CheckRule<ServoPath> = {
  id: 'dead-spots',
  name: 'no dead spot on the way',
  link: 'linkage',
  needs: ['linkage', 'job', 'train', 'output'],
  run: false,
  levers: [],
  applies: ({ linkage }) => linkage.kind !== 'direct',
  answer: ({ linked }) => {
    const dead = linked?.travel.dead ?? [];
    const short = linked?.short ?? true;
    const first = dead[0];
    const sentence = short
      ? 'The horn does not take the output to the end of its way: it turns back, or the parts part, before that.'
      : first
        ? say`From ${amount(first.from, 'angle')} to ${amount(first.to, 'angle')} of the horn ${WHY[first.why]}.`
        : 'From start to end horn, rod and lever push as they should.';
    return {
      outcome: { holds: !short && dead.length === 0 },
      asked: 'moves all the way',
      there: short ? 'ends on the way' : first ? say`dead at ${amount(first.from, 'angle')}` : 'moves',
      sentence,
      hint: 'Start the horn square to the rod in the middle of the way; a longer horn turns the output further.',
    };
  },
};
