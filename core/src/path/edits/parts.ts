import { applyChanges, type Change } from '../../plan/document/change.js';
import { freshId } from '../../plan/document/freshId.js';
import type { Part, PartCopy } from '../../plan/document/part.js';
import type { Place } from '../../plan/document/place.js';
import { valueAt } from '../../plan/document/valueAt.js';
import type { MachineDrive, Plan } from '../../plan/document/plan.js';
import { withoutUnused } from './unused.js';

/**
 * Another part where `at` names one: the plan gets a copy of its own, so that whatever else uses the old one keeps it;
 * where nothing does, the old one goes. What was set or measured of the old one, and is not true of the new, goes too.
 */
export function putPart(plan: Plan, at: Place, copy: PartCopy): readonly Change[] {
  const id = freshId(plan, copy.part.kind);
  const changes: readonly Change[] = [
    { at: ['parts', id], to: copy },
    { at, to: id },
    ...ofTheOldOne(plan, at, copy.part),
  ];
  return [...changes, ...withoutUnused(plan, applyChanges(plan, changes))];
}

/** Frees what stands in a drive for the part that was there: a servo's measured angles, a driver's switches and current. */
function ofTheOldOne(plan: Plan, at: Place, part: Part): readonly Change[] {
  if (at.at(-2) !== 'drive') return [];
  const driveAt = at.slice(0, -1);
  const drive = valueAt(plan, driveAt) as MachineDrive;
  const free = (key: string): Change => ({ at: [...driveAt, key], to: undefined });
  if (drive.kind === 'servo') return drive.calibration ? [free('calibration')] : [];
  if (drive.kind !== 'step') return [];
  const old = plan.parts[drive.driver]?.part;
  const another =
    part.kind === 'driver'
      ? part.drives !== (old?.kind === 'driver' ? old.drives : part.drives)
      : kindOf(plan, drive.motor) !== part.kind;
  const unswitched =
    part.kind === 'driver' &&
    part.stepSwitches.length > 0 &&
    !part.freeSteps &&
    !part.stepSwitches.some(({ value }) => value === drive.steps);
  return [
    ...(drive.steps !== undefined && (another || unswitched) ? [free('steps')] : []),
    ...(drive.setCurrent !== undefined && another ? [free('setCurrent')] : []),
  ];
}

const kindOf = (plan: Plan, id: string): Part['kind'] | undefined => plan.parts[id]?.part.kind;
