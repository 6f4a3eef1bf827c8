import type { Mechanism, Plan } from '../../plan/document/plan.js';
import type { DcPath } from '../powerpath/path.js';
import { beginPath, type Adjust } from './beginPath.js';
import { resolveDc } from './resolveDc.js';
import { resolveServo } from './resolveServo.js';
import { resolveStep } from './resolveStep.js';
import type { AnyPath } from '../powerpath/anyPath.js';

export type { Adjust } from './beginPath.js';

/**
 * The paths of the plans asked last, newest at the end: a keystroke or a mend makes a plan that is soon forgotten, and
 * the page asks for its own again and again.
 */
const resolved = new Map<Plan, Map<string, AnyPath>>();
const MOST_PLANS = 8;

let newest: { readonly plan: Plan; readonly paths: Map<string, AnyPath> } | undefined;

function pathsOf(plan: Plan): Map<string, AnyPath> {
  if (newest?.plan === plan) return newest.paths;
  const paths = resolved.get(plan) ?? new Map<string, AnyPath>();
  resolved.delete(plan);
  resolved.set(plan, paths);
  if (resolved.size > MOST_PLANS) {
    const [oldest] = resolved.keys();
    resolved.delete(oldest!);
  }
  newest = { plan, paths };
  return paths;
}

/**
 * Puts one job of a mechanism's current choice together, whatever turns it: once for a plan, so that result, fields,
 * charts and mends speak of the same path. `adjust` moves single figures: the figures shown stay the plan's.
 *
 * @example resolvePath(plan, mast, 'raise').train.total //=> 9
 */
export function resolvePath(plan: Plan, mechanism: Mechanism, jobId: string, adjust?: Adjust): AnyPath {
  if (adjust || !plan.mechanisms.includes(mechanism)) return putTogether(plan, mechanism, jobId, adjust);
  const of = pathsOf(plan);
  const key = `${mechanism.id}\n${jobId}`;
  let path = of.get(key);
  if (!path) of.set(key, (path = putTogether(plan, mechanism, jobId)));
  return path;
}

function putTogether(plan: Plan, mechanism: Mechanism, jobId: string, adjust?: Adjust): AnyPath {
  const begun = beginPath(plan, mechanism, jobId, adjust);
  const { drive } = begun.choice;
  switch (drive.kind) {
    case 'dc':
      return resolveDc(begun, drive);
    case 'step':
      return resolveStep(begun, drive);
    case 'servo':
      return resolveServo(begun, drive);
  }
}

/**
 * The same where only plain motors are asked about. Throws for any other machine: who asks must have looked.
 *
 * @example resolveDcPath(plan, mast, 'raise').drive.supplyLimit //=> 40
 */
export function resolveDcPath(plan: Plan, mechanism: Mechanism, jobId: string): DcPath {
  const path = resolvePath(plan, mechanism, jobId);
  if (path.machine !== 'dc')
    throw new Error(`${mechanism.name} is turned by a ${path.machine} drive, not by plain motors`);
  return path;
}
