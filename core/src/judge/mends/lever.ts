import type { Words } from '../../plan/words/phrase.js';
import type { LeverId } from '../limits/leverId.js';
import type { Change } from '../../plan/document/change.js';
import type { Mechanism, Plan } from '../../plan/document/plan.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';

export interface LeverContext {
  readonly plan: Plan;
  readonly mechanism: Mechanism;
  readonly path: AnyPath;
  /** Id of the stage that gives, where the target is a stage's own limit. */
  readonly stage?: string;
}

/** A lever set to a place: what it changes, and what that reads like. */
export interface LeverSetting {
  readonly changes: readonly Change[];
  readonly label: Words;
}

/**
 * One way a design can be changed, as one number that goes from where it is to as far as is sensible.
 * The solver looks for the least change that does it; `set` rounds outwards to what can be built.
 */
export interface Lever {
  readonly id: LeverId;
  /** Where it stands and how far it may go; `undefined` where this mechanism has no such lever. */
  span(context: LeverContext): { readonly from: number; readonly to: number } | undefined;
  set(context: LeverContext, value: number): LeverSetting | undefined;
}
