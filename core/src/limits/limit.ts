import type { LinkKind, Need } from '../figures/figure.js';
import type { PowerPath } from '../powerpath/path.js';
import type { Expression } from '../worked/expression.js';
import type { LeverId } from './mends/lever.js';
import type { Situation, SituationId } from './situation.js';

export type LimitId =
  | 'volts'
  | 'stator'
  | 'supply'
  | 'brown-out'
  | 'discharge'
  | 'branch-breaker'
  | 'main-breaker'
  | 'continuous'
  | 'heat'
  | 'slip'
  | 'rope'
  | 'buckling'
  | 'pull-out'
  | 'peak-torque'
  | 'rated-torque'
  | 'hold-current'
  | 'servo'
  | 'servo-hold'
  | 'rail';

/** One limit that is a force: a rung of the gauge. One file each. */
export interface Limit<P extends PowerPath = PowerPath> {
  readonly id: LimitId;
  readonly name: string;
  /** The limit as the subject of a sentence. */
  readonly subject: string;
  readonly link: LinkKind;
  /** The multiple it should at least have. */
  readonly wants: number;
  /** Giving first here is what a good design does. */
  readonly goodFirst: boolean;
  /** Electric limits beyond what the volts give are out of reach. */
  readonly electric: boolean;
  readonly situations: readonly SituationId[];
  needs(situation: SituationId): readonly Need[];
  /** Whether the path has such a limit at all. */
  applies(path: P): boolean;
  /** C, the output force (N, or N·m) at which it is just reached. */
  capacity(path: P, situation: Situation): number;
  working(path: P, situation: Situation): Expression;
  /** Changes that can help, the usual first. */
  readonly levers: readonly LeverId[];
}
