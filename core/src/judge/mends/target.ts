import { runOf } from '../evaluate/mechanism.js';
import type { Mechanism, Plan } from '../../plan/document/plan.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import type { CheckId } from '../limits/check.js';
import { checkOf } from '../evaluate/check.js';
import { checkRule, limitOf } from '../machine/table.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import { idleBecause, rungOf } from '../evaluate/ladder.js';
import { SITUATION_NEEDS, situationOf } from '../limits/situation.js';
import { lacksOf } from '../../path/powerpath/path.js';
import type { LimitId } from '../limits/limit.js';
import type { SituationId } from '../limits/situation.js';
import type { LeverId } from '../limits/leverId.js';

/** What a mend should lift to its wanted margin: a rung in a situation, or a check. */
export type Target =
  | { readonly jobId: string; readonly rung: LimitId; readonly situation: SituationId }
  | { readonly jobId: string; readonly check: CheckId };

/** How far a target is from what is wanted, 1 and over is met. */
export function metBy(plan: Plan, mechanism: Mechanism, target: Target): number {
  const path = resolvePath(plan, mechanism, target.jobId);
  if ('check' in target) {
    const rule = checkRule(path, target.check);
    // A change may do away with the question itself: with a ramp nothing starts at once.
    if (!rule.applies(path)) return Infinity;
    const check = checkOf(rule, path, rule.run ? runOf(path) : undefined);
    return check.multiple !== undefined ? check.multiple / (check.wants ?? 1) : check.verdict === 'enough' ? 1 : 0;
  }
  if (lacksOf(path, SITUATION_NEEDS[target.situation]).length > 0) return Infinity;
  const situation = situationOf(path, target.situation);
  if (idleBecause(path, situation)) return Infinity;
  const limit = limitOf(path, target.rung);
  // A change may do away with what gave: no chain, no skipping.
  if (!limit.applies(path)) return Infinity;
  const { multiple, wants } = rungOf(path, limit, situation);
  return multiple === undefined ? 0 : multiple / wants;
}

export function leversOf(path: AnyPath, target: Target): readonly LeverId[] {
  return 'check' in target ? checkRule(path, target.check).levers : limitOf(path, target.rung).levers;
}

/** The stage a target speaks of: of its limit the one that gives first, of a check its own. */
export function stageOf(path: AnyPath, target: Target): string | undefined {
  if ('check' in target) return checkRule(path, target.check).stage?.(path);
  return limitOf(path, target.rung).stage?.(path, target.situation)?.id;
}
