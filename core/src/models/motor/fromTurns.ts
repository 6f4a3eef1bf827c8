import type { MotorConstants } from './constants.js';
import { motorFromKv } from './fromKv.js';

/** A winding given by its turns, beside one of the same frame that was measured. SI; kv in rad/s per volt. */
export interface MotorTurns {
  readonly turns: number;
  readonly referenceTurns: number;
  readonly referenceKv: number;
  readonly referenceResistance: number;
  readonly referenceFreeCurrent: number;
  /** Length of the can over the reference's, 1 where it is the same. */
  readonly lengthRatio: number;
}

/**
 * Kv goes with 1/(turns·length), R with turns²·length, I0 with Kv: friction's torque grows with the length alone.
 *
 * @example motorFromTurns({ turns: 27, referenceTurns: 35, referenceKv: 94, referenceResistance: 0.16, referenceFreeCurrent: 2, lengthRatio: 1 }) //=> { resistance: 0.09522, torqueConstant: 0.008207, backEmfConstant: 0.008207, freeCurrent: 2.593, freeCurrentPerSpeed: 0 }
 */
export function motorFromTurns(given: MotorTurns): MotorConstants {
  const turns = given.turns / given.referenceTurns;
  const wound = turns * given.lengthRatio;
  return motorFromKv({
    kv: given.referenceKv / wound,
    resistance: given.referenceResistance * turns * turns * given.lengthRatio,
    freeCurrent: given.referenceFreeCurrent / wound,
  });
}
