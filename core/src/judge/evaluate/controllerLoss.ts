import { controllerHeat } from '../../models/controller/heat.js';
import { FLOW_NEEDS } from '../motion/needs.js';
import { SITUATION_NEEDS } from '../limits/situation.js';
import { workingFlow } from '../limits/workingFlow.js';
import { lacksOf, type DcPath } from '../../path/powerpath/path.js';

/**
 * Heat of one controller while the job is done, W: conduction and switching; `undefined` where a figure is missing.
 *
 * @example controllerLossOf(path) //=> { current: 34.58, conduction: 4.783, switching: 1.27 }
 */
export function controllerLossOf(
  path: DcPath,
): { readonly current: number; readonly conduction: number; readonly switching: number } | undefined {
  if (lacksOf(path, [...SITUATION_NEEDS.working, ...FLOW_NEEDS]).length > 0) return undefined;
  const { motorCurrent } = workingFlow(path);
  const { resistance, switching } = path.controller;
  return {
    current: motorCurrent,
    conduction: controllerHeat({ resistance, switching: 0 }, path.restVoltage, motorCurrent),
    switching: controllerHeat({ resistance: 0, switching }, path.restVoltage, motorCurrent),
  };
}
