import { amount, say } from '../../../plan/words/phrase.js';
import type { BoxParts, StageParts } from '../../../path/powerpath/stageParts.js';
import { stageLimit } from './stageLimit.js';

interface RatedBox extends BoxParts {
  readonly ratedTorque: number;
}

const isRated = (parts: StageParts): parts is RatedBox => 'ratedTorque' in parts && parts.ratedTorque !== undefined;

/** What a gearbox bought whole is rated for at its output. */
export const gearbox = stageLimit<RatedBox>({
  id: 'gearbox',
  name: 'gearbox',
  subject: 'The gearbox',
  wants: 1.5,
  need: 'gearbox',
  levers: ['lighter', 'longer'],
  has: isRated,
  torque: ({ ratedTorque, index }, { path, back }) => {
    const { ratio, efficiency, backEfficiency } = path.train.stages[index]!;
    return back ? (ratedTorque * backEfficiency) / ratio : ratedTorque / (ratio * efficiency);
  },
  how: ({ ratedTorque }) => say`its output’s ${amount(ratedTorque, 'torque')}, seen at its input`,
});
