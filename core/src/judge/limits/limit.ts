import type { LinkKind, Need } from '../../plan/figures/figure.js';
import type { PowerPath } from '../../path/powerpath/path.js';
import type { StageParts } from '../../path/powerpath/stageParts.js';
import type { Expression } from '../../path/worked/expression.js';
import type { LeverId } from './leverId.js';
import type { Situation, SituationId } from './situation.js';

/** What gives in a stage. */
export type StageLimitId =
  | 'tooth'
  | 'chain-skip'
  | 'chain-snap'
  | 'sprocket-shear'
  | 'belt-skip'
  | 'belt-shear'
  | 'belt-snap'
  | 'gearbox'
  | 'shaft';

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
  | 'controller-heat'
  | 'slip'
  | 'rope'
  | 'buckling'
  | 'pull-out'
  | 'peak-torque'
  | 'rated-torque'
  | 'hold-current'
  | 'servo'
  | 'servo-hold'
  | 'rail'
  | StageLimitId;

/** One limit that is a force: a rung of the gauge. One file each. */
export interface Limit<P extends PowerPath = PowerPath> {
  readonly id: LimitId;
  readonly name: string;
  /** The limit as the subject of a sentence. */
  readonly subject: string;
  /** The same where it depends on the path which part of it gives. */
  subjectHere?(path: P): string;
  readonly link: LinkKind;
  /** The multiple it should at least have. */
  readonly wants: number;
  /** The same where it is another one at a steady pull, or where the whole robot hangs on it. */
  wantsHere?(path: P, situation: SituationId): number;
  /** Under this multiple it gives way; 1 where absent. */
  floor?(path: P): number;
  /** Of a limit that each stage has for itself: the stage that gives first. */
  stage?(path: P, situation: SituationId): StageParts | undefined;
  /** Giving first here is what a good design does. */
  readonly goodFirst: boolean;
  /** Electric limits beyond what the volts give are out of reach. */
  readonly electric: boolean;
  /** It ends how fast the output moves: where it is passed the output stalls, or moves too slowly. */
  readonly slows?: true;
  /** Volts that are there and the least that are needed, where those are not there even with nothing drawn. */
  off?(path: P): { readonly there: number; readonly least: number } | undefined;
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
