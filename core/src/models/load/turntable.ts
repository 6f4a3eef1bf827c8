import type { Load } from './load.js';

export interface TurntableFigures {
  readonly inertia: number;
  readonly frictionTorque: number;
}

/**
 * On level ground only friction resists: F = T_f, M = J.
 *
 * @example turntable({ inertia: 0.09, frictionTorque: 0.35 }).force(0, 1) //=> 0.35
 */
export function turntable({ inertia, frictionTorque }: TurntableFigures): Load {
  return { unit: 'rad', force: () => frictionTorque, holdForce: () => 0, inertia: () => inertia };
}
