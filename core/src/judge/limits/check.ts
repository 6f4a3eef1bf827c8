import type { Words } from '../../plan/words/phrase.js';
import type { LinkKind, Need } from '../../plan/figures/figure.js';
import type { Dimension } from '../../plan/words/dimension.js';
import type { Run } from '../motion/run.js';
import type { PowerPath } from '../../path/powerpath/path.js';
import type { Expression } from '../../path/worked/expression.js';
import type { LeverId } from './leverId.js';

export type CheckId =
  | 'in-time'
  | 'recovers'
  | 'follows'
  | 'stays-up'
  | 'held-back'
  | 'creep'
  | 'starts-loaded'
  | 'over-sheet'
  | 'holds-still'
  | 'jam'
  | 'resolves'
  | 'match-heat'
  | 'match-breakers'
  | 'charge'
  | 'motor-kind'
  | 'motor-volts'
  | 'motor-speed'
  | 'brush-wear'
  | 'volts-full'
  | 'volts-least'
  | 'return-volts'
  | 'return-charge'
  | 'branch-wire'
  | 'main-wire'
  | 'branch-plug'
  | 'main-plug'
  | 'erpm'
  | 'fits-together'
  | 'keeps-step'
  | 'pulse-rate'
  | 'timer'
  | 'starts-at-once'
  | 'resonance'
  | 'decay'
  | 'enable-line'
  | 'kick'
  | 'standing-heat'
  | 'signal'
  | 'set-current'
  | 'driver-current'
  | 'draw'
  | 'stands-at-angle'
  | 'servo-fits'
  | 'stands-blows'
  | 'servo-heat'
  | 'servo-board'
  | 'travel'
  | 'dead-spots'
  | 'rail-moving'
  | 'rail-stalled'
  | 'rail-source'
  | 'rail-ground'
  | 'tip'
  | 'undercut'
  | 'ripple'
  | 'run-length'
  | 'clearance'
  | 'belt-room'
  | 'screw-whirls'
  | 'surroundings';

export interface Measured {
  readonly value: number;
  readonly dimension: Dimension;
}

/** What a check answers when every figure it needs is there. */
export interface CheckAnswer {
  /** there against asked, over 1 is well unless more is wanted; a plain yes or no; or a note: worth knowing, no verdict. */
  readonly outcome:
    { readonly multiple: number; readonly wants?: number } | { readonly holds: boolean } | { readonly note: true };
  readonly asked: Measured | Words;
  readonly there: Measured | Words;
  readonly sentence: Words;
  /** What would mend it where no lever of the plan does: a part to choose. */
  readonly hint?: Words;
  /** Absent for plain yes or no, which has nothing to compute. */
  readonly working?: () => Expression;
}

/** A yes or no, or a multiple without a force. One file each. */
export interface CheckRule<P extends PowerPath = PowerPath> {
  readonly id: CheckId;
  readonly name: string;
  readonly link: LinkKind;
  readonly needs: readonly Need[];
  /** Whether it looks at the full-effort run. */
  readonly run: boolean;
  applies(path: P): boolean;
  answer(path: P, run: Run | undefined): CheckAnswer;
  readonly levers: readonly LeverId[];
  /** Of a check on the stages: the one it is about. */
  stage?(path: P): string | undefined;
}
