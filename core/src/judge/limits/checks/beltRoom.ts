import type { PowerPath } from '../../../path/powerpath/path.js';
import type { BeltParts } from '../../../path/powerpath/stageParts.js';
import { amount, say } from '../../../plan/words/phrase.js';
import type { CheckRule } from '../check.js';

/** Rims that keep belts on, both sides, and between belts that lie side by side, m. */
const RIMS = 0.003;
const BETWEEN = 0.001;

/**
 * Width of the pulleys of a belt stage: its belts, what is between them, and the rims.
 *
 * @example pulleyWidth({ width: 0.015, belts: 2 }) //=> 0.034
 */
export const pulleyWidth = ({ width, belts }: Pick<BeltParts, 'width' | 'belts'>): number =>
  belts * width + (belts - 1) * BETWEEN + RIMS;

/** The belt stage with the least room for its width, of those that say how much there is. */
function tightest({ stageParts }: PowerPath): BeltParts | undefined {
  const said = stageParts.filter((parts): parts is BeltParts => parts.kind === 'belt' && parts.room !== undefined);
  return said.sort((a, b) => a.room! / pulleyWidth(a) - b.room! / pulleyWidth(b))[0];
}

/** A wider belt wants room beside the wheel. */
export const beltRoom: CheckRule = {
  id: 'belt-room',
  name: 'room for the belt',
  link: 'stage',
  needs: ['belt'],
  run: false,
  levers: [],
  applies: (path) => tightest(path) !== undefined,
  stage: (path) => tightest(path)?.id,
  answer: (path) => {
    const belt = tightest(path)!;
    const width = pulleyWidth(belt);
    return {
      outcome: { holds: belt.room! >= width },
      asked: { value: width, dimension: 'length' },
      there: { value: belt.room!, dimension: 'length' },
      sentence: say`${belt.belts === 1 ? 'The belt' : `Its ${belt.belts} belts`} and the rims of its pulleys are ${amount(width, 'length', 3)} wide; there is room for ${amount(belt.room!, 'length', 3)}.`,
      hint: 'A narrower belt with more pitch, a belt of its own for each motor, or wheels further apart.',
    };
  },
};
