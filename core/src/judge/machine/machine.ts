import type { CheckRule } from '../limits/check.js';
import type { Limit, LimitId } from '../limits/limit.js';
import type { Need } from '../../plan/figures/figure.js';
import type { Run } from '../motion/run.js';
import type { PowerPath } from '../../path/powerpath/path.js';

/** One kind of machine: its limits and checks, and how it moves. */
export interface Machine<P extends PowerPath> {
  readonly limits: readonly Limit<P>[];
  readonly checks: readonly CheckRule<P>[];
  /** Limits without which nothing can be said of a situation. */
  readonly leading: readonly LimitId[];
  /** The limit beyond which electric ones are out of reach, and what that reads like. */
  readonly ceiling?: { readonly limit: LimitId; readonly says: string };
  readonly runNeeds: readonly Need[];
  /** Its lacks must have been looked at. */
  run(path: P): Run;
}
