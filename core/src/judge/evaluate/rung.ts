import type { Lack, LinkKind } from '../../plan/figures/figure.js';
import type { LimitId } from '../limits/limit.js';
import type { SituationId } from '../limits/situation.js';
import type { Shortfall } from './shortfall.js';
import type { Verdict } from './verdict.js';

/** One limit in one situation. */
export interface Rung {
  readonly id: LimitId;
  readonly name: string;
  readonly subject: string;
  readonly link: LinkKind;
  readonly wants: number;
  readonly goodFirst: boolean;
  /** Id of the stage that gives, where each stage has such a limit. */
  readonly stage?: string;
  readonly verdict: Verdict;
  /** C, on q; absent where a figure is missing or it can never be reached. */
  readonly capacity?: number;
  /** C/D, or where it falls short the share of the force or of the speed; absent likewise. */
  readonly multiple?: number;
  /** Of what drives: whether it stalls, or moves too slowly. */
  readonly shortfall?: Shortfall;
  /** Beyond what the volts give: it can never be first. */
  readonly outOfReach: boolean;
  readonly lacks: readonly Lack[];
}

/** Why the motor has nothing to push against in a situation. */
export type Idle =
  | 'no load'
  | 'load drives'
  | 'stays by itself'
  | 'held by friction'
  | 'held by rolling resistance'
  | 'held by brake'
  | 'held by ratchet';

/** All limits of one situation, the first to give in front. */
export interface Ladder {
  readonly situation: SituationId;
  readonly demand?: number;
  readonly speed?: number;
  readonly rungs: readonly Rung[];
  /** The first that gives; absent where nothing is asked, or the machine itself is not known. */
  readonly first?: Rung;
  /** Nothing has to be done by the motor here, and why. */
  readonly idle?: Idle;
  readonly verdict: Verdict;
  readonly lacks: readonly Lack[];
  /** What ends before the rungs that are out of reach. */
  readonly ceiling?: string;
}
