import type { MotorConstants } from './constants.js';

/**
 * The same can wound with `turns` times as many turns: Kv goes with 1/turns, R with turns², I0 with Kv.
 * Km = Kt/√R stays: for the same copper loss every winding of a frame gives the same torque.
 *
 * @example rewound(motor, 0.5) //=> { resistance: 0.02542, torqueConstant: 0.009067, backEmfConstant: 0.009694, freeCurrent: 4.4, freeCurrentPerSpeed: 0 }
 */
export function rewound(motor: MotorConstants, turns: number): MotorConstants {
  return {
    resistance: motor.resistance * turns * turns,
    torqueConstant: motor.torqueConstant * turns,
    backEmfConstant: motor.backEmfConstant * turns,
    freeCurrent: motor.freeCurrent / turns,
    // I1·ω at the same speed is the same power of drag, shared by fewer amperes.
    freeCurrentPerSpeed: motor.freeCurrentPerSpeed / turns,
    brushDrop: motor.brushDrop,
  };
}
