import { div, mul, named } from '../../../path/worked/expression.js';
import { figureOf } from '../../../path/terms/pathTerms.js';
import { stepLimit } from './stepLimit.js';

/** Standing, the idle current holds: Th·Iidle/Ir. */
export const holdCurrent = stepLimit({
  id: 'hold-current',
  name: 'holding torque',
  subject: 'The stepper’s holding torque',
  wants: 2,
  goodFirst: false,
  situations: ['holding'],
  levers: ['idle-current', 'deeper', 'set-current', 'motors', 'lighter', 'counterforce', 'spring', 'holder'],
  applies: ({ step }) => step.motor.loop === 'open',
  torque: ({ step }) => (step.holdingTorque * step.setCurrent * step.idleShare) / step.ratedCurrent,
  torqueWorking: (path) =>
    named(
      'T_{hold}',
      'holding torque at the idle current',
      'torque',
      div(
        mul(
          figureOf(path, 'stepper.holdingTorque'),
          figureOf(path, 'drive.setCurrent'),
          figureOf(path, 'drive.idleShare'),
        ),
        figureOf(path, 'stepper.ratedCurrent'),
      ),
    ),
});
