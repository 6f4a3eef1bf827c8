import { compareVerdicts, worstVerdict, type Verdict } from '../judge/evaluate/verdict.js';
import { leadOf } from '../judge/evaluate/sentence.js';
import { capitalised, say, type Words } from '../plan/words/phrase.js';
import { showMultiple } from '../plan/words/show.js';
import type { FindingOf, RobotFinding } from './finding.js';

/** What a whole robot comes to. */
export interface RobotVerdict {
  /** The worst of all findings: no robot is better than its worst mechanism, match, day, event limit or wire. */
  readonly verdict: Verdict;
  /** The worst in front. */
  readonly findings: readonly RobotFinding[];
  /** So many figures are missing that no finding is made worse by. */
  readonly notKnown: number;
}

/** How far a finding is from what is wanted of it; a plain no is further than any number. */
const nearness = ({ verdict, multiple, wants = 1 }: RobotFinding): number =>
  multiple === undefined ? (verdict === 'gives way' ? -1 : Infinity) : multiple / wants;

/**
 * Puts all that was found of a robot into one verdict.
 *
 * @example rollUp([]).verdict //=> 'enough'
 */
export function rollUp(all: readonly RobotFinding[]): RobotVerdict {
  const findings = [...all].sort((a, b) => compareVerdicts(b.verdict, a.verdict) || nearness(a) - nearness(b));
  return {
    verdict: worstVerdict(findings.map(({ verdict }) => verdict)),
    findings,
    notKnown: findings.reduce((sum, { notKnown }) => sum + notKnown, 0),
  };
}

/** What else one wants to know at once: beside a mechanism how the match goes, beside the match the worst mechanism. */
function beside({ findings }: RobotVerdict): string {
  const first = (of: FindingOf): RobotFinding | undefined => findings.find((one) => one.of === of);
  const told = ({ verdict, multiple }: RobotFinding): string =>
    multiple === undefined ? verdict : `${verdict}, ${showMultiple(multiple)}`;
  if (findings[0]?.of === 'match') {
    const alone = first('mechanism');
    return alone ? ` Alone: ${told(alone)} (${alone.name}).` : '';
  }
  const match = first('match');
  return match ? ` In the match: ${told(match)}.` : ' No match is judged.';
}

/**
 * The one answer for a robot, the same wherever it stands: the verdict, what makes it so, and how the match goes beside it.
 */
export function robotSentence(verdict: RobotVerdict): { readonly lead: string; readonly rest: Words } {
  const [first] = verdict.findings;
  const lead = leadOf(verdict);
  if (!first) return { lead: 'Nothing to judge.', rest: 'There is no mechanism yet.' };
  return { lead, rest: capitalised(say`${first.name}: ${first.sentence}${beside(verdict)}`) };
}

/**
 * The same in a few words, for a list.
 *
 * @example robotText({ verdict: 'enough', findings: [], notKnown: 0 }) //=> 'no mechanism yet'
 */
export function robotText({ findings: [first], notKnown, verdict }: RobotVerdict): string {
  if (!first) return 'no mechanism yet';
  const missing = verdict === 'enough' && notKnown > 0 ? `, ${notKnown} not known` : '';
  return `${first.name}: ${first.what}${missing}`;
}
