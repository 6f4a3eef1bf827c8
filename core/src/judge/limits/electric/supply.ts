import { figureOf } from '../../../path/terms/pathTerms.js';
import { SITUATIONS } from '../situation.js';
import { supplySideLimit } from './electricLimit.js';

/** The controller takes no more than this from the pack. */
export const supply = supplySideLimit({
  id: 'supply',
  name: 'pack-side limit',
  subject: 'The controller’s pack-side limit',
  link: 'controller',
  wants: 1.5,
  goodFirst: true,
  slows: true,
  situations: SITUATIONS,
  levers: [
    'supply-limit',
    'deeper',
    'motors',
    'lighter',
    'longer',
    'less-push',
    'counterforce',
    'spring',
    'smaller-drum',
  ],
  applies: (path) => path.drive.supplyLimit !== undefined,
  supplyCurrent: (path) => path.drive.supplyLimit ?? Infinity,
  supplyWorking: (path) => figureOf(path, 'controller.supplyLimit'),
});
