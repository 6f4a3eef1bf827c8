import { FLOW_NEEDS } from '../motion/needs.js';
import { SITUATION_NEEDS } from '../limits/situation.js';
import { workingFlow } from '../limits/workingFlow.js';
import { lacksOf } from '../../path/powerpath/path.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';

/**
 * Volts the branch's wire drops while working, and the heat it gives off, W; `undefined` where a figure is missing.
 *
 * @example wireLossOf(path) //=> { drop: 0.1926, heat: 5.934 }
 */
export function wireLossOf(path: AnyPath): { readonly drop: number; readonly heat: number } | undefined {
  if (lacksOf(path, [...SITUATION_NEEDS.working, ...FLOW_NEEDS]).length > 0) return undefined;
  const { supplyCurrent } = workingFlow(path);
  if (supplyCurrent === undefined) return undefined;
  const { wireResistance, together } = path.branch;
  const through = (together ? path.motors : 1) * supplyCurrent;
  return { drop: through * wireResistance, heat: through ** 2 * wireResistance };
}
