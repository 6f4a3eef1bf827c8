import type { Figures, WantId } from '../../plan/document/want.js';
import { amount, type Words, worded, type Amount } from '../../plan/words/phrase.js';
import { digits, showMultiple, inMetric } from '../../plan/words/show.js';
import { currentChoice, type Claim, type Mechanism, type Plan, type Reason } from '../../plan/document/plan.js';
import { withChoice } from '../../plan/document/withChoice.js';
import { measure } from '../../judge/evaluate/measure.js';
import { costOf, WANTS } from '../wants/wants.js';

/** What a line of the log is written from. */
export interface Decision {
  readonly id: string;
  /** ISO 8601; the core has no clock. */
  readonly writtenAt: string;
  readonly mechanism: string;
  readonly job: string;
  readonly choice: string;
  /** What was chosen and over what, in words and figures. */
  readonly chosen: { readonly words: string; readonly figures: Figures };
  readonly over: { readonly words: string; readonly figures: Figures };
  readonly why?: string;
}

/** Figures this near are the same, and no reason. */
const SAME = 0.005;
/** Marks of the shelf are not in the plan: nothing can be claimed of them later. */
const CLAIMED: readonly WantId[] = ['time', 'mass', 'price', 'current', 'margin', 'slow', 'bought'];

/**
 * Writes the line: a claim for everything it is better in, bounded by the other's figure; that it holds at all, where its
 * margin is known; and in words what it is worse in, its values as `show` writes them.
 */
export function writeReason(
  { chosen, over, why, ...rest }: Decision,
  show: (amount: Amount) => string = inMetric,
): Reason {
  const text = (want: WantId, value: number): string => worded(wantText(want, value), show);
  /** Negative where it is better, positive where it is worse; 0 where they are alike, or one is not known. */
  const against = (want: WantId): number => {
    const [mine, other] = [costOf(want, chosen.figures), costOf(want, over.figures)];
    if (!Number.isFinite(mine) || !Number.isFinite(other)) return 0;
    // What reads the same is the same to whoever reads it.
    const alike =
      Math.abs(mine - other) <= SAME * Math.abs(other) ||
      text(want, chosen.figures[want]!) === text(want, over.figures[want]!);
    return alike ? 0 : mine - other;
  };
  const claims = CLAIMED.filter((want) => against(want) < 0).map((want): Claim => ({
    want,
    then: chosen.figures[want]!,
    bound: over.figures[want]!,
  }));
  const { margin } = chosen.figures;
  const holds =
    margin !== undefined && margin >= 1 && !claims.some(({ want, bound }) => want === 'margin' && bound >= 1);
  const kept = holds ? claims.filter(({ want }) => want !== 'margin') : claims;
  const worse = CLAIMED.filter((want) => against(want) > 0);
  const gaveUp = worse
    .map((want) => `${WANTS[want].worse}, ${text(want, chosen.figures[want]!)} for ${text(want, over.figures[want]!)}`)
    .join('; ');
  return {
    ...rest,
    chosen: chosen.words.slice(0, 300),
    over: over.words.slice(0, 300),
    claims: holds ? [...kept, { want: 'margin', then: margin, bound: 1 }] : kept,
    gaveUp: gaveUp ? gaveUp.slice(0, 300) : undefined,
    why: why?.trim() ? why.trim().slice(0, 500) : undefined,
  };
}

/**
 * A figure of a want as a sentence has it.
 *
 * @example wantText('time', 1.5) //=> [{ value: 1.5, dimension: 'time' }]
 */
export function wantText(want: WantId, value: number): Words {
  const { dimension } = WANTS[want];
  if (want === 'margin') return showMultiple(value);
  return dimension ? [amount(value, dimension)] : digits(value, 4);
}

/** A claim today. */
export interface ClaimNow extends Claim {
  /** Absent where it cannot be told any more. */
  readonly now?: number;
  readonly true: boolean;
}

/** A line of the log today. */
export interface ReasonNow {
  readonly reason: Reason;
  readonly mechanismName: string;
  /** The choice is the one in force; another one is; it was chosen anew later; or it is gone. */
  readonly state: 'in force' | 'another choice' | 'chosen anew' | 'gone';
  readonly claims: readonly ClaimNow[];
  /** Some claim of what is in force is no longer true. */
  readonly untrue: boolean;
}

/**
 * Looks at every line of the log again, by the plan as it is now.
 *
 * @example reviewReasons(plan).length //=> 0
 */
export function reviewReasons(plan: Plan): readonly ReasonNow[] {
  return (plan.reasons ?? []).map((reason) => reviewReason(plan, reason));
}

function reviewReason(plan: Plan, reason: Reason): ReasonNow {
  const mechanism = plan.mechanisms.find(({ id }) => id === reason.mechanism);
  const there = mechanism?.choices.some(({ id }) => id === reason.choice);
  const job = mechanism?.jobs.find(({ id }) => id === reason.job) ?? mechanism?.jobs[0];
  if (!mechanism || !there || !job) {
    const claims = reason.claims.map((claim): ClaimNow => ({ ...claim, true: false }));
    return { reason, mechanismName: mechanism?.name ?? reason.mechanism, state: 'gone', claims, untrue: false };
  }
  const { figures } = measureChoice(plan, mechanism, reason.choice, job.id);
  const claims = reason.claims.map((claim): ClaimNow => {
    const now = figures[claim.want];
    return { ...claim, now, true: now !== undefined && keeps(claim, now) };
  });
  const state = stateOf(plan, mechanism, reason);
  return {
    reason,
    mechanismName: mechanism.name,
    state,
    claims,
    untrue: state === 'in force' && claims.some((claim) => !claim.true),
  };
}

function stateOf({ reasons = [] }: Plan, mechanism: Mechanism, reason: Reason): ReasonNow['state'] {
  const later = reasons.slice(reasons.indexOf(reason) + 1);
  if (later.some(({ mechanism: of, choice }) => of === reason.mechanism && choice === reason.choice))
    return 'chosen anew';
  return currentChoice(mechanism).id === reason.choice ? 'in force' : 'another choice';
}

/** Whether a figure is still on its side of the bound. */
function keeps({ want, bound }: Claim, now: number): boolean {
  return WANTS[want].better === 'less' ? now <= bound : now >= bound;
}

/** Measures one of a mechanism's choices, in force or not. */
export function measureChoice(plan: Plan, mechanism: Mechanism, choice: string, jobId: string) {
  const there = withChoice(plan, mechanism, choice);
  return measure(there.plan, there.mechanism, jobId);
}
