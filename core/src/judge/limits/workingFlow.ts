import type { AnyPath } from '../../path/powerpath/anyPath.js';
import { oncePer } from '../../path/powerpath/memory.js';
import { operatingAt, type Operating } from '../../path/powerpath/operating.js';
import { situationOf } from './situation.js';

/**
 * What flows along a path while it works. Worked out once for a path: breakers, plugs, wires and links ask.
 *
 * @example workingFlow(path).supplyCurrent //=> 30.82
 */
export const workingFlow = oncePer((path: AnyPath): Operating => {
  const { demand, speed } = situationOf(path, 'working');
  return operatingAt(path, demand, speed);
});
