import { amount, say } from '../../../plan/words/phrase.js';
import { digits } from '../../../plan/words/show.js';
import type { PowerPath } from '../../../path/powerpath/path.js';
import type { ChainParts, StageParts } from '../../../path/powerpath/stageParts.js';
import { OFFSET_LINK_SHARE } from '../../../models/reduction/chainRun.js';
import { firstToothShare, skipPull } from '../../../models/reduction/chainSkip.js';
import { wrapOnSmall } from '../../../models/reduction/runLength.js';
import type { SituationId } from '../situation.js';
import { stageLimit } from './stageLimit.js';

const isChain = (parts: StageParts): parts is ChainParts => parts.kind === 'chain';

/** A tooth is about this much of a pitch thick at its root, typical. */
const TOOTH_SHARE = 0.45;

/** Margins on the breaking strength: shocks are in the starting demand already, wear is in the running one. */
const AT_PEAK = 4;
const RUNNING = 7;

/** A chain that lifts the whole robot: nobody may be hurt by the one link that was weak. */
const liftsRobot = (path: PowerPath): boolean => path.mechanismKind === 'climb';

const wrapOf = ({ pitch, driver, driven, centre }: ChainParts): number =>
  wrapOnSmall(pitch, Math.min(driver, driven), Math.max(driver, driven), centre);

/** Pull at which the chain climbs over the teeth of one of the two. */
export function chainSkipPull(parts: ChainParts): number {
  const { driver, driven, wear, tension } = parts;
  const wrap = wrapOf(parts);
  const [small, large] = [Math.min(driver, driven), Math.max(driver, driven)];
  return Math.min(skipPull(small, wrap, wear, tension), skipPull(large, 2 * Math.PI - wrap, wear, tension));
}

/** What the chain carries: an odd count has an offset link, which is weaker. */
export const chainStrength = ({ strength, length }: ChainParts): number =>
  strength * (length % 2 === 1 ? OFFSET_LINK_SHARE : 1);

/** Pull at which the first tooth of the smaller sprocket shears off. */
export function sprocketShearPull({ driver, driven, wear, plate, pitch, toothAllowable }: ChainParts): number {
  return (plate * TOOTH_SHARE * pitch * toothAllowable) / firstToothShare(Math.min(driver, driven), wear);
}

const chainWants = (path: PowerPath, situation: SituationId): number =>
  situation === 'starting' && !liftsRobot(path) ? AT_PEAK : RUNNING;

/** The chain breaks. The margin is against the breaking strength, so it is wide. */
export const chainSnap = stageLimit<ChainParts>({
  id: 'chain-snap',
  name: 'chain breaks',
  subject: 'The chain',
  wants: AT_PEAK,
  wantsHere: chainWants,
  floor: (path) => (liftsRobot(path) ? AT_PEAK : 1),
  need: 'chain',
  levers: ['more-teeth', 'larger-pitch', 'even-links', 'lighter', 'longer'],
  has: isChain,
  torque: (parts) => chainStrength(parts) * parts.driverRadius,
  how: (parts) =>
    say`breaking strength × z·p/2π of the driver: ${amount(chainStrength(parts), 'force')}${parts.length % 2 === 1 ? ' with its offset link' : ''}, ${parts.driver} teeth`,
});

/** A worn or slack chain climbs over a small sprocket's teeth and jumps. */
export const chainSkip = stageLimit<ChainParts>({
  id: 'chain-skip',
  name: 'chain skips',
  subject: 'The chain’s hold on its teeth',
  wants: 1.5,
  need: 'chain',
  also: 'slack',
  levers: ['tensioner', 'more-teeth', 'lighter', 'longer'],
  has: isChain,
  torque: (parts) => chainSkipPull(parts) * parts.driverRadius,
  how: (parts) =>
    say`what the slack strand’s ${amount(parts.tension, 'force')} holds behind the teeth in mesh of ${Math.min(parts.driver, parts.driven)}, wear ${digits(100 * parts.wear)} %`,
});

/** The first tooth takes the largest share of the pull. */
export const sprocketShear = stageLimit<ChainParts>({
  id: 'sprocket-shear',
  name: 'sprocket tooth shears',
  subject: 'The sprocket’s tooth',
  wants: 1.5,
  need: 'chain',
  levers: ['more-teeth', 'larger-pitch', 'harder', 'lighter', 'longer'],
  has: isChain,
  torque: (parts) => sprocketShearPull(parts) * parts.driverRadius,
  how: ({ plate, pitch, toothAllowable }) =>
    say`plate ${amount(plate, 'length')} × 0.45·${amount(pitch, 'length')} × ${amount(toothAllowable, 'stress')}, over the first tooth’s share`,
});
