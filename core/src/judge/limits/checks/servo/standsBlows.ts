import type { ServoPart } from '../../../../plan/document/part.js';
import type { ServoPath } from '../../../../path/powerpath/servoPath.js';
import type { CheckRule } from '../../check.js';

/** What a blow at the horn strips or hammers out of round first. */
function weakTo({ gears, bearing }: ServoPart): readonly string[] {
  return [
    ...(gears === 'plastic' ? ['plastic gears strip at it'] : []),
    ...(bearing === 'bush' || bearing === 'metal bush' ? [`a ${bearing} is hammered out of round`] : []),
  ];
}

/** Repeated blows, a landing or a wall, ask for metal or reinforced gears and for ball bearings behind the horn. */
export const standsBlows: CheckRule<ServoPath> = {
  id: 'stands-blows',
  name: 'gears and bearing stand blows',
  link: 'motor',
  needs: [],
  run: false,
  levers: [],
  applies: ({ job }) => job.blows === true,
  answer: ({ servo: { part } }) => {
    const weak = weakTo(part);
    const silent = [...(part.gears ? [] : ['gears']), ...(part.bearing ? [] : ['bearing'])];
    const known = weak.length > 0 || silent.length === 0;
    return {
      outcome: known ? { holds: weak.length === 0 } : { note: true },
      asked: 'repeated blows',
      there: weak.length > 0 ? 'too weak' : known ? `${part.gears}, ${part.bearing}` : 'not known',
      sentence:
        weak.length > 0
          ? `The job brings repeated blows: ${weak.join(', and ')}.`
          : known
            ? `Gears of ${part.gears} and ${part.bearing === 'one ball bearing' ? 'a ball bearing' : 'ball bearings'} stand repeated blows; metal wears to play with them.`
            : `The job brings repeated blows; of what ${silent.join(' and ')} ${silent.length === 1 && silent[0] === 'bearing' ? 'is' : 'are'}, the sheet says.`,
      hint: 'Metal or reinforced gears and two ball bearings; a spring or a rubber link that takes the blow before the horn; spare gears.',
    };
  },
};
