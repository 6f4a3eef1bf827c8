import { figureOf } from '../../../path/terms/pathTerms.js';
import { SITUATIONS } from '../situation.js';
import { electricLimit } from './electricLimit.js';

/** The controller lets no more than this through the motor. */
export const stator = electricLimit({
  id: 'stator',
  name: 'motor-side limit',
  subject: 'The controller’s motor-side limit',
  link: 'controller',
  wants: 1.5,
  goodFirst: true,
  slows: true,
  situations: SITUATIONS,
  levers: [
    'stator-limit',
    'deeper',
    'motors',
    'lighter',
    'longer',
    'less-push',
    'counterforce',
    'spring',
    'smaller-drum',
  ],
  applies: (path) => path.drive.statorLimit !== undefined,
  motorCurrent: (path) => path.drive.statorLimit ?? Infinity,
  currentWorking: (path) => figureOf(path, 'controller.statorLimit'),
});
