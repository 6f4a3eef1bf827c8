import { leadOf } from '../../judge/evaluate/sentence.js';
import { worstVerdict, type Verdict } from '../../judge/evaluate/verdict.js';
import { marchMatch, type MatchOptions } from '../lanes/march.js';
import { withPackAs, type PackState } from '../lanes/packState.js';
import { proposeScript } from '../lanes/propose.js';
import { robotOnPack, type RobotOnPack } from '../lanes/onPack.js';
import type { MatchResult } from '../lanes/result.js';
import type { Plan } from '../../plan/document/plan.js';
import type { MatchScript } from '../../plan/document/script.js';
import { capitalised, say, type Words } from '../../plan/words/phrase.js';
import { showMultiple } from '../../plan/words/show.js';
import { eventChecks, eventRungs, type EventCheck } from '../../judge/ledger/eventRungs.js';
import { matchRungs } from './matchRungs.js';
import { firstToGive, type RobotRung } from '../../judge/ledger/robotRung.js';

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
  options: MatchOptions & PackState = {},
): Generator<number, JudgedMatch | undefined> {
  const found = robotOnPack(plan, script);
  if (!found) return undefined;
  const robot = withPackAs(found, options);
  const result = yield* marchMatch(robot, script, options);
  return judged(robot, script, result, eventChecks(plan));
}

/** A match that was gone through, judged; with the robot against its event's limits where these are given. */
export function judged(
  robot: RobotOnPack,
  script: MatchScript,
  result: MatchResult,
  checks: readonly EventCheck[] = [],
): JudgedMatch {
  const rungs = firstToGive([...matchRungs(robot, result), ...eventRungs(checks)]);
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
  return { lead: leadOf({ verdict }), rest: matchRest(rungs) };
}

/** What gives first of some limits that are sorted, and why. */
export function matchRest([first]: readonly RobotRung[]): Words {
  if (!first) return 'Nothing moves in this match.';
  const at = first.multiple > 0 ? `, at ${showMultiple(first.multiple)}` : '';
  return say`${capitalised(first.name)} gives first${at}. ${first.sentence}`;
}

/** The robot over all scripts it is judged by. */
export interface JudgedRobot {
  readonly matches: readonly JudgedMatch[];
  readonly verdict: Verdict;
  /** The match that gives first; absent where nothing is known of the pack. */
  readonly worst?: JudgedMatch;
}

/** The scripts a robot is judged by: those marked, or a calm one that follows from its jobs where none is kept. */
export function scriptsThatCount(plan: Plan): readonly MatchScript[] {
  const kept = plan.scripts ?? [];
  return kept.length > 0 ? kept.filter(({ counts }) => counts) : [proposeScript(plan, 'calm', 'match-1')];
}

/** Judges a robot by the worst of the scripts that count. Yields the share done. */
export function* judgeRobot(plan: Plan, options: MatchOptions & PackState = {}): Generator<number, JudgedRobot> {
  const scripts = scriptsThatCount(plan);
  const matches: JudgedMatch[] = [];
  for (const [i, script] of scripts.entries()) {
    const match = judgeMatch(plan, script, options);
    let next = match.next();
    for (; !next.done; next = match.next()) yield (i + next.value) / scripts.length;
    if (next.value) matches.push(next.value);
  }
  const first = firstToGive(matches.flatMap(({ rungs }) => rungs.slice(0, 1)))[0];
  const worst = matches.find(({ rungs }) => rungs[0] === first) ?? matches[0];
  return {
    matches,
    verdict: matches.length === 0 ? 'not known' : worstVerdict(matches.map(({ verdict }) => verdict)),
    worst,
  };
}
