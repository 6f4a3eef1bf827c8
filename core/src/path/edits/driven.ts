import { applyChanges, type Change } from '../../plan/document/change.js';
import { choiceAt, mechanismById } from '../../plan/document/place.js';
import { apartOf, currentChoice, type Plan } from '../../plan/document/plan.js';
import { drivenWheels } from '../job/wheels.js';

/**
 * Changes to a drive or its wheels, and with them the share of the weight that drives: one that was typed while other wheels
 * were driven is not true any more, so it goes, and is counted from the wheels again.
 *
 * @example withDrivenShare(plan, 'drive', [{ at: ['mechanisms', 0, 'choices', 0, 'output', 'driven'], to: 2 }]).length //=> 2
 */
export function withDrivenShare(plan: Plan, mechanismId: string, changes: readonly Change[]): readonly Change[] {
  const mechanism = mechanismById(plan, mechanismId);
  const before = currentChoice(mechanism);
  const after = currentChoice(mechanismById(applyChanges(plan, changes), mechanismId));
  if (before.output.kind !== 'wheels' || after.output.kind !== 'wheels' || !after.output.drivenShare) return changes;
  const [was, is] = [before, after].map(({ output, drive }) =>
    output.kind === 'wheels' ? drivenWheels(output, apartOf(drive)) : undefined,
  );
  const share = (of: typeof was) => (of ? of.driven / of.wheels : 1);
  if (share(was) === share(is)) return changes;
  return [...changes, { at: [...choiceAt(plan, mechanism), 'output', 'drivenShare'], to: undefined }];
}
