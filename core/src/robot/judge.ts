import { LEAD } from '../evaluate/sentence.js';
import { worstVerdict, type Verdict } from '../evaluate/verdict.js';
import { marchMatch, type MatchOptions } from '../match/march.js';
import { robotOnPack, type RobotOnPack } from '../match/onPack.js';
import type { MatchResult } from '../match/result.js';
import type { Plan } from '../plan/plan.js';
import type { MatchScript } from '../plan/script.js';
import { capitalised, say, type Words } from '../words/phrase.js';
import { showMultiple } from '../words/show.js';
import { matchRungs, type RobotRung } from './matchRungs.js';

/** One script gone through and judged. */
export interface JudgedMatch {
  readonly script: MatchScript;
  readonly result: MatchResult;
  readonly rungs: readonly RobotRung[];
  readonly verdict: Verdict;
  /** Lanes that stood still in it for want of a figure, by name. */
  readonly leftOut: readonly string[];
}

/**
 * Goes through a script and judges the robot by it; `undefined` where its pack is not known. Yields the share done.
 */
export function* judgeMatch(
  plan: Plan,
  script: MatchScript,
  options: MatchOptions = {},
): Generator<number, JudgedMatch | undefined> {
  const robot = robotOnPack(plan, script);
  if (!robot) return undefined;
  const result = yield* marchMatch(robot, script, options);
  return judged(robot, script, result);
}

export function judged(robot: RobotOnPack, script: MatchScript, result: MatchResult): JudgedMatch {
  const rungs = matchRungs(robot, result);
  return {
    script,
    result,
    rungs,
    verdict: worstVerdict(rungs.map(({ verdict }) => verdict)),
    leftOut: robot.lanes.filter(({ lacking }) => lacking !== undefined).map(({ name }) => name),
  };
}

/** The one answer for a robot in a match: the verdict first, then what gives first and why. */
export function matchSentence({ rungs, verdict }: Pick<JudgedMatch, 'rungs' | 'verdict'>): {
  readonly lead: string;
  readonly rest: Words;
} {
  const [first] = rungs;
  if (!first) return { lead: LEAD[verdict], rest: 'Nothing moves in this match.' };
  return {
    lead: LEAD[verdict],
    rest: say`${capitalised(first.name)} gives first, at ${showMultiple(first.multiple)}. ${first.sentence}`,
  };
}
