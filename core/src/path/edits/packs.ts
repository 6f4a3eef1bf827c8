import type { Change } from '../../plan/document/change.js';
import type { PartCopy } from '../../plan/document/part.js';
import type { Plan } from '../../plan/document/plan.js';

/** The robot's pack replaced, for all its mechanisms. Nothing where the plan has no pack. */
export function changePack({ supply }: Plan, copy: PartCopy): readonly Change[] {
  const node = supply.find(({ kind }) => kind === 'pack');
  return node?.kind === 'pack' ? [{ at: ['parts', node.part], to: copy }] : [];
}
