import type { Change } from '../../plan/document/change.js';
import { freshId } from '../../plan/document/freshId.js';
import type { MotorPart } from '../../plan/document/part.js';
import type { Design } from './place.js';

/** Gives this mechanism another motor; whatever else uses the old part keeps it. */
export function motorChanges({ plan, choiceAt }: Design, part: MotorPart): readonly Change[] {
  const id = freshId(plan, 'motor');
  return [
    { at: ['parts', id], to: { part } },
    { at: [...choiceAt, 'drive', 'motor'], to: id },
  ];
}
