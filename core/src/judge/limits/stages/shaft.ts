import { amount, say } from '../../../plan/words/phrase.js';
import type { ShaftParts, StageParts } from '../../../path/powerpath/stageParts.js';
import { torqueOfShaft } from '../../../models/reduction/shaft.js';
import { stageLimit } from './stageLimit.js';

type OnShaft = StageParts & { readonly shaft: ShaftParts };

const hasShaft = (parts: StageParts): parts is OnShaft => parts.shaft !== undefined;

/** The shaft that a stage turns, twisted by all it carries and bent by the wheel's pull. */
export const shaft = stageLimit<OnShaft>({
  id: 'shaft',
  name: 'shaft yields',
  subject: 'The shaft',
  wants: 1.5,
  need: 'shaft strength',
  levers: ['thicker-shaft', 'lighter', 'longer'],
  has: hasShaft,
  torque: ({ shaft: { form, size, allowable, overhang }, drivenRadius, index }, { path, back }) => {
    const pullPerTorque = drivenRadius > 0 ? 1 / drivenRadius : 0;
    const most = torqueOfShaft(form, size, allowable, pullPerTorque, overhang);
    const { ratio, efficiency, backEfficiency } = path.train.stages[index]!;
    return back ? (most * backEfficiency) / ratio : most / (ratio * efficiency);
  },
  how: ({ shaft: { form, size, allowable, overhang } }) =>
    say`${form} ${amount(size, 'length')}, ${amount(allowable, 'stress')}, its wheel ${amount(overhang, 'length')} beyond the bearing, seen at the driving shaft`,
});
