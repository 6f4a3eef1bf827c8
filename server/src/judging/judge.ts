import { problemText, readPlanText, type PlanSummary } from '@rough-gear/contract';
import { evaluate, type Verdict } from '@rough-gear/core';

/** What a list says of a plan, whatever its row says. */
export type Judged = Pick<PlanSummary, 'mechanisms' | 'unreadable' | 'unjudged'> & {
  /** The worst verdict of any mechanism as a number: the larger the more there is to do. */
  readonly worst: number;
};

const WORST: Readonly<Record<Verdict, number>> = { enough: 1, 'not known': 2, tight: 3, 'gives way': 4 };
const UNREADABLE = 5;

/** Judges a stored document: the verdict on each mechanism; or why it cannot be read. Takes seconds for a large plan. */
export function judge(text: string): Judged {
  const read = readPlanText(text);
  if (!read.ok) return { mechanisms: [], unreadable: problemText(read.problems).split('\n')[0], worst: UNREADABLE };
  try {
    const { mechanisms } = evaluate(read.plan);
    return {
      mechanisms: mechanisms.map(({ id, name, kind, headline }) => ({ id, name, kind, headline })),
      worst: Math.max(0, ...mechanisms.map(({ headline }) => WORST[headline.verdict])),
    };
  } catch (problem) {
    // One odd document must not take the list down with it, whatever is odd about it.
    return unjudged((problem as Error).message);
  }
}

/** A plan that opens as any other, and whose verdicts a list does not know. */
export const unjudged = (why: string): Judged => ({ mechanisms: [], unjudged: why, worst: 0 });
