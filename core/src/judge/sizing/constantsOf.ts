import { FigureCollector } from '../../plan/figures/collector.js';
import type { MotorConstants } from '../../models/motor/constants.js';
import type { Part } from '../../plan/document/part.js';
import { resolveMotor } from '../../path/resolve/resolveMotor.js';

/**
 * Constants of a motor part; `undefined` where a figure of them is missing, or it is no motor.
 *
 * @example constantsOf(plan.parts['motor-1'].part).freeCurrent //=> 2.2
 */
export function constantsOf(part: Part): MotorConstants | undefined {
  if (part.kind !== 'motor') return undefined;
  const collect = new FigureCollector();
  const { constants } = resolveMotor(part, [], collect);
  return collect.lacks().motor ? undefined : constants;
}

/**
 * Inertia of a motor's rotor: its own, or what mass and can come to; `undefined` where neither is known.
 *
 * @example rotorInertiaOf(plan.parts['motor-1'].part) > 0 //=> true
 */
export function rotorInertiaOf(part: Part): number | undefined {
  if (part.kind !== 'motor') return undefined;
  const { rotorInertia } = resolveMotor(part, [], new FigureCollector());
  return Number.isFinite(rotorInertia) ? rotorInertia : undefined;
}
