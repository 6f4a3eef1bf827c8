import type { PackPart } from './part.js';
import type { Plan } from './plan.js';

/**
 * The part the robot's pack is; `undefined` where the plan has no pack.
 *
 * @example packPartOf(plan).name //=> 'sealed lead 12 V, 18 Ah'
 */
export function packPartOf({ supply, parts }: Pick<Plan, 'supply' | 'parts'>): PackPart | undefined {
  const node = supply.find(({ kind }) => kind === 'pack');
  const part = node?.kind === 'pack' ? parts[node.part]?.part : undefined;
  return part?.kind === 'pack' ? part : undefined;
}
