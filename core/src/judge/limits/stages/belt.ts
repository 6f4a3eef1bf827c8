import { amount, say } from '../../../plan/words/phrase.js';
import { digits } from '../../../plan/words/show.js';
import type { BeltParts, StageParts } from '../../../path/powerpath/stageParts.js';
import { meshDerating, teethInMesh } from '../../../models/reduction/beltRun.js';
import { wrapOnSmall } from '../../../models/reduction/runLength.js';
import { stageLimit } from './stageLimit.js';

const isBelt = (parts: StageParts): parts is BeltParts => parts.kind === 'belt';

/** A wheel on the back of the slack strand, beside the small wheel, wraps it by this much more, typical. */
const IDLER_WRAP = Math.PI / 6;

/** Teeth of the small wheel that carry. */
export function beltMesh({ pitch, driver, driven, centre, idler }: BeltParts): number {
  const small = Math.min(driver, driven);
  const wrap = wrapOnSmall(pitch, small, Math.max(driver, driven), centre);
  return teethInMesh(small, wrap + (idler ? IDLER_WRAP : 0));
}

/** Pull at which the slack strand has gone slack and the belt climbs its teeth: twice a strand's pull at rest. */
export const beltSkipPull = (parts: BeltParts): number => 2 * parts.tension * meshDerating(beltMesh(parts));

/** Pull that the teeth in mesh carry. */
export const beltShearPull = (parts: BeltParts): number => parts.ratedPull * meshDerating(beltMesh(parts));

/** Pull at which the tight strand breaks, what it carries at rest taken off. */
export const beltSnapPull = ({ strength, tension }: BeltParts): number => Math.max(0, 2 * (strength - tension));

/** A belt without enough tension jumps its teeth long before it wears. */
export const beltSkip = stageLimit<BeltParts>({
  id: 'belt-skip',
  name: 'belt skips',
  subject: 'The belt’s hold on its teeth',
  wants: 1.5,
  need: 'belt',
  levers: ['tensioner', 'more-teeth', 'wider', 'lighter', 'longer'],
  has: isBelt,
  torque: (parts) => beltSkipPull(parts) * parts.driverRadius,
  how: (parts) =>
    say`twice the ${amount(parts.tension, 'force')} of a strand at rest, × ${digits(meshDerating(beltMesh(parts)))} for ${beltMesh(parts)} teeth in mesh, × z·p/2π`,
});

/** The teeth in mesh shear off. */
export const beltShear = stageLimit<BeltParts>({
  id: 'belt-shear',
  name: 'belt teeth shear',
  subject: 'The belt’s teeth',
  wants: 1.5,
  need: 'belt',
  levers: ['more-teeth', 'wider', 'larger-pitch', 'lighter', 'longer'],
  has: isBelt,
  torque: (parts) => beltShearPull(parts) * parts.driverRadius,
  how: (parts) =>
    say`typical pull ${amount(parts.ratedPull, 'force')} of ${amount(parts.width * parts.belts, 'length')}, × ${digits(meshDerating(beltMesh(parts)))} for ${beltMesh(parts)} teeth in mesh, × z·p/2π`,
});

/** The cords break. */
export const beltSnap = stageLimit<BeltParts>({
  id: 'belt-snap',
  name: 'belt breaks',
  subject: 'The belt’s cords',
  wants: 2,
  need: 'belt',
  levers: ['more-teeth', 'wider', 'larger-pitch', 'lighter', 'longer'],
  has: isBelt,
  torque: (parts) => beltSnapPull(parts) * parts.driverRadius,
  how: ({ strength, tension }) =>
    say`twice what is left of ${amount(strength, 'force')} over the ${amount(tension, 'force')} at rest, × z·p/2π`,
});
