import { amount, say } from '../../../plan/words/phrase.js';
import { bucklingLoad } from '../../../models/reduction/screwLoad.js';
import { found } from '../../../path/worked/expression.js';
import type { Limit } from '../limit.js';
import { SITUATIONS } from '../situation.js';

/** A long thin screw bends out sideways: Euler's load. */
export const buckling: Limit = {
  id: 'buckling',
  name: 'screw buckles',
  subject: 'The screw',
  link: 'output',
  wants: 1.5,
  goodFirst: false,
  electric: false,
  situations: SITUATIONS,
  levers: ['thicker-screw', 'lighter', 'longer'],
  needs: () => ['buckling', 'load', 'output'],
  applies: (path) => path.buckling !== undefined,
  capacity: ({ buckling: screw }) => (screw ? bucklingLoad(screw.diameter, screw.length, screw.endFactor) : Infinity),
  working: (path) => {
    const { diameter, length, endFactor } = path.buckling!;
    return found(
      'C',
      'what the screw carries',
      'force',
      bucklingLoad(diameter, length, endFactor),
      say`π²·E·I/(K·l)² of steel, root ⌀ ${amount(diameter, 'length')}, free length ${amount(length, 'length')}, K ${endFactor}`,
    );
  },
};
