import { crawlingShare, pullOut as pullOutAt } from '../../../models/stepper/pullOut.js';
import type { StepPath } from '../../../path/powerpath/stepPath.js';
import { mul, named, num } from '../../../path/worked/expression.js';
import { leverOf, askedSpeedOf } from '../../../path/terms/pathTerms.js';
import { pullOutOf } from '../../../path/terms/stepTerms.js';
import type { Situation } from '../situation.js';
import { stepLimit } from './stepLimit.js';

/** Crawling off, full and half steps carry less than the whole torque. */
const share = ({ step }: StepPath, situation: Situation): number =>
  situation.id === 'starting' ? crawlingShare(step.microsteps) : 1;

/** Beyond pull-out the rotor falls out of step. */
export const pullOut = stepLimit({
  id: 'pull-out',
  name: 'pull-out torque',
  subject: 'The stepper’s pull-out torque',
  slows: true,
  wants: 2,
  goodFirst: false,
  situations: ['starting', 'working'],
  levers: [
    'deeper',
    'shallower',
    'set-current',
    'finer-steps',
    'longer',
    'gentler',
    'lighter',
    'motors',
    'less-push',
    'counterforce',
    'spring',
    'smaller-drum',
  ],
  applies: ({ step }) => step.motor.loop === 'open',
  torque: (path, situation) =>
    path.step.motor.loop === 'open'
      ? share(path, situation) * pullOutAt(path.step.motor.figures, situation.motorSpeed)
      : Infinity,
  torqueWorking: (path, situation) => {
    if (path.step.motor.loop !== 'open') return num(Infinity);
    const speed =
      situation.id === 'working'
        ? named('\\omega', 'motor speed', 'speed', mul(askedSpeedOf(path), leverOf(path)))
        : num(0);
    const torque = pullOutOf(path, speed, path.step.motor.figures, situation.motorSpeed);
    const carries = share(path, situation);
    return carries === 1 ? torque : mul(num(carries, 'share that coarse steps carry'), torque);
  },
});
