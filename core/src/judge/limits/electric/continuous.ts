import type { DcPath } from '../../../path/powerpath/path.js';
import { div, mul, named, num, sqrt } from '../../../path/worked/expression.js';
import { dutyShareOf, figureOf } from '../../../path/terms/pathTerms.js';
import type { Situation } from '../situation.js';
import { electricLimit } from './electricLimit.js';

/** A brushless motor at rest heats one phase twice as much as the mean. */
const BRUSHLESS_AT_REST = 0.71;

const atRest = (path: DcPath): number => (path.motor.type === 'brushless' ? BRUSHLESS_AT_REST : 1);

function steady(path: DcPath, situation: Situation): number {
  if (situation.id === 'holding') return path.motor.continuousCurrent * atRest(path);
  return path.motor.continuousCurrent / Math.sqrt(path.asked.dutyShare);
}

/** What the motor carries for ever, over its share of the time at work. */
export const continuous = electricLimit({
  id: 'continuous',
  name: 'steady heat',
  subject: 'The motor’s steady current',
  link: 'motor',
  wants: 1.5,
  goodFirst: false,
  also: ['continuous'],
  situations: ['working', 'holding'],
  levers: [
    'deeper',
    'motors',
    'less-often',
    'lighter',
    'longer',
    'less-push',
    'counterforce',
    'spring',
    'smaller-drum',
    'holder',
  ],
  applies: () => true,
  motorCurrent: steady,
  currentWorking: (path, situation) => {
    const carries = figureOf(path, 'motor.continuousCurrent');
    const of = situation.id === 'holding' ? mul(num(atRest(path)), carries) : div(carries, sqrt(dutyShareOf(path)));
    return named('I', 'motor current', 'current', of);
  },
});
