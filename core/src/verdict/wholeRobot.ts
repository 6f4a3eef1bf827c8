import { evaluate } from '../judge/evaluate/plan.js';
import { eventChecks } from '../judge/ledger/eventRungs.js';
import { judgeDay, type JudgedDay } from '../match/robot/day.js';
import { judgeRobot, scriptsThatCount, type JudgedMatch } from '../match/robot/judge.js';
import type { MechanismResult } from '../judge/evaluate/mechanism.js';
import type { Plan } from '../plan/document/plan.js';
import { harnessChecks } from '../workshop/harness/checks.js';
import { harnessOf } from '../workshop/harness/harness.js';
import { dayFinding, eventFinding, matchFinding, mechanismFinding, wireFinding, type RobotFinding } from './finding.js';
import { rollUp, type RobotVerdict } from './rollUp.js';

/** What is found of a robot beside its mechanisms alone, and the matches that it rests on. */
export interface RobotTogether {
  readonly matches: readonly JudgedMatch[];
  readonly findings: readonly RobotFinding[];
}

/** Nothing is known of a match while a figure of the pack is missing. */
const NO_PACK: RobotFinding = {
  of: 'match',
  verdict: 'not known',
  name: 'match',
  what: 'a figure of the pack is missing',
  sentence: 'A figure of the pack is missing.',
  notKnown: 0,
};

/**
 * Goes through every script that counts, the day where the team has said how it goes, the event sheet and the wires. A day
 * is gone through in the match that gives first, and not at all where that gives way with a full pack already: then the day
 * says no more. Yields now and then, so that others get their turn.
 */
export function* judgeTogether(plan: Plan): Generator<unknown, RobotTogether> {
  const { matches } = yield* judgeRobot(plan);
  const found = matches.map(matchFinding);
  // By the matches themselves: what the event allows is the same in each.
  const worst = matches[found.indexOf(rollUp(found).findings[0]!)];
  const findings: RobotFinding[] = [...found];
  if (scriptsThatCount(plan).length > 0 && matches.length === 0 && plan.mechanisms.length > 0) findings.push(NO_PACK);
  if (plan.day && worst && found.every(({ verdict }) => verdict !== 'gives way')) {
    const day: JudgedDay | undefined = yield* judgeDay(plan, worst.script, plan.day);
    if (day && day.matches.length > 0) findings.push(dayFinding(day));
  }
  findings.push(...eventChecks(plan).map(eventFinding));
  findings.push(...harnessChecks(plan, harnessOf(plan)).map(wireFinding));
  return { matches, findings };
}

/** The verdict from mechanisms that are judged already and what was found beside them; without a mechanism there is none. */
export const wholeOf = (
  mechanisms: readonly MechanismResult[],
  { findings }: Pick<RobotTogether, 'findings'>,
): RobotVerdict => rollUp(mechanisms.length === 0 ? [] : [...mechanisms.map(mechanismFinding), ...findings]);

/**
 * Judges a whole robot: its mechanisms, which may be judged already, and all together. Yields now and then.
 *
 * @example atOnce(judgeWholeRobot(plan)).verdict //=> 'gives way'
 */
export function* judgeWholeRobot(
  plan: Plan,
  mechanisms: readonly MechanismResult[] = evaluate(plan).mechanisms,
): Generator<unknown, RobotVerdict> {
  return wholeOf(mechanisms, yield* judgeTogether(plan));
}
