import { applyChanges, type Change } from '../../plan/document/change.js';
import { freshId } from '../../plan/document/freshId.js';
import type { PartCopy } from '../../plan/document/part.js';
import type { Place } from '../../plan/document/place.js';
import type { Plan } from '../../plan/document/plan.js';
import { withoutUnused } from './unused.js';

/**
 * Another part where `at` names one: the plan gets a copy of its own, so that whatever else uses the old one keeps it;
 * where nothing does, the old one goes.
 */
export function putPart(plan: Plan, at: Place, copy: PartCopy): readonly Change[] {
  const id = freshId(plan, copy.part.kind);
  const changes: readonly Change[] = [
    { at: ['parts', id], to: copy },
    { at, to: id },
  ];
  return [...changes, ...withoutUnused(plan, applyChanges(plan, changes))];
}
