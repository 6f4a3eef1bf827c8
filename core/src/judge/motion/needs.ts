import type { Need } from '../../plan/figures/figure.js';

/** What a run of direct-current motors cannot do without. */
export const RUN_NEEDS: readonly Need[] = [
  'motor',
  'rotor',
  'pack',
  'wiring',
  'controller',
  'train',
  'output',
  'load',
  'traction',
  'job',
];

/** What a commanded motion of a motor that takes pulses cannot do without. */
export const STEP_RUN_NEEDS: readonly Need[] = [
  'motor',
  'rotor',
  'driver',
  'pack',
  'wiring',
  'train',
  'output',
  'load',
  'throw',
  'job',
];

/** What a move of a servo cannot do without. */
export const SERVO_RUN_NEEDS: readonly Need[] = [
  'motor',
  'rotor',
  'rail',
  'linkage',
  'pack',
  'train',
  'output',
  'load',
  'throw',
  'job',
];

/** What flows while working cannot be told without these, whatever turns it. */
export const FLOW_NEEDS: readonly Need[] = [
  'motor',
  'pack',
  'wiring',
  'controller',
  'driver',
  'rail',
  'linkage',
  'train',
  'output',
  'load',
  'job',
];
