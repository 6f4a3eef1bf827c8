import type { Change } from '../../plan/document/change.js';
import type { Plan } from '../../plan/document/plan.js';
import type { Words } from '../../plan/words/phrase.js';

export type RobotLeverId =
  | 'shift'
  | 'rest'
  | 'cap'
  | 'raise'
  | 'ramp'
  | 'deeper'
  | 'shallower'
  | 'branch-wire'
  | 'main-wire'
  | 'motors'
  | 'packs';

/** A lever set to an amount: what it changes, and how that reads. */
export interface RobotSetting {
  readonly changes: readonly Change[];
  readonly label: Words;
}

/** One way in which a robot, or what it does in a match, can be changed. */
export interface RobotLever {
  readonly id: RobotLeverId;
  /** The mechanism it is about; absent where it is about all. */
  readonly mechanism?: string;
  /** Whether more of it is never worse for what gives; else each amount is tried, the least first. */
  readonly steady: boolean;
  /** The amounts it can be set to in a plan, the least first; none where the plan has no such lever. */
  settings(plan: Plan): readonly RobotSetting[];
}
