import type { PackPart } from './part.js';
import type { Plan } from './plan.js';

/**
 * The id of the part the robot's pack is; `undefined` where the plan has no pack.
 *
 * @example packIdOf(plan) //=> 'pack-1'
 */
export function packIdOf({ supply }: Pick<Plan, 'supply'>): string | undefined {
  const node = supply.find(({ kind }) => kind === 'pack');
  return node?.kind === 'pack' ? node.part : undefined;
}

/**
 * The part the robot's pack is; `undefined` where the plan has no pack.
 *
 * @example packPartOf(plan).name //=> 'sealed lead 12 V, 18 Ah'
 */
export function packPartOf(plan: Pick<Plan, 'supply' | 'parts'>): PackPart | undefined {
  const part = plan.parts[packIdOf(plan) ?? '']?.part;
  return part?.kind === 'pack' ? part : undefined;
}
