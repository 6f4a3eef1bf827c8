import type { DcPath } from '../../../path/powerpath/path.js';
import { fullVoltsCheck } from './window.js';

/** The full pack against the controller's highest volts. */
export const voltsFull = fullVoltsCheck<DcPath>({
  word: 'controller',
  figure: 'controller.highestVoltage',
  highest: ({ controller }) => controller.highestVoltage,
});
