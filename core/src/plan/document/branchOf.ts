import type { Plan } from './plan.js';
import type { ProtectedNode, SupplyNode } from './supply.js';

/** The branch a supply node hangs on, itself or further up; `undefined` where it is straight on the pack. */
export function branchOf({ supply }: Pick<Plan, 'supply'>, nodeId: string): ProtectedNode | undefined {
  let id: string | undefined = nodeId;
  for (let steps = 0; id !== undefined && steps <= supply.length; steps++) {
    const node: SupplyNode | undefined = supply.find((candidate) => candidate.id === id);
    if (node?.kind === 'branch') return node;
    id = node === undefined || node.kind === 'pack' ? undefined : node.parent;
  }
  return undefined;
}
