import { problemText, readPlanText, type PlanSummary } from '@rough-gear/contract';
import { atOnce, evaluate, judgeWholeRobot, robotSentence, type Verdict } from '@rough-gear/core';

/** What a list says of a plan, whatever its row says. */
export type Judged = Pick<PlanSummary, 'mechanisms' | 'robot' | 'unreadable' | 'unjudged'> & {
  /** The verdict as a number, of the whole robot or until that is known of its worst mechanism: the larger the more to do. */
  readonly worst: number;
};

/** Its mechanisms alone, which takes no time; or the whole robot with its matches, which takes seconds. */
export type Depth = 'alone' | 'whole';

const WORST: Readonly<Record<Verdict, number>> = { enough: 1, 'not known': 2, tight: 3, 'gives way': 4 };
const UNREADABLE = 5;

/**
 * Judges a stored document: the verdict on each mechanism, and on the whole robot where that is asked; or why it cannot be
 * read.
 */
export function judge(text: string, depth: Depth): Judged {
  const read = readPlanText(text);
  if (!read.ok) return { mechanisms: [], unreadable: problemText(read.problems).split('\n')[0], worst: UNREADABLE };
  try {
    const { mechanisms } = evaluate(read.plan);
    const alone = {
      mechanisms: mechanisms.map(({ id, name, kind, headline }) => ({ id, name, kind, headline })),
      worst: Math.max(0, ...mechanisms.map(({ headline }) => WORST[headline.verdict])),
    };
    if (depth === 'alone' || mechanisms.length === 0) return alone;
    const whole = atOnce(judgeWholeRobot(read.plan, mechanisms));
    return { ...alone, robot: { verdict: whole.verdict, ...robotSentence(whole) }, worst: WORST[whole.verdict] };
  } catch (problem) {
    // One odd document must not take the list down with it, whatever is odd about it.
    return unjudged((problem as Error).message);
  }
}

/** A plan that opens as any other, and whose verdicts a list does not know. */
export const unjudged = (why: string): Judged => ({ mechanisms: [], unjudged: why, worst: 0 });
