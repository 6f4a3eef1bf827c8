import type { EventCheck } from '../judge/ledger/eventRungs.js';
import { rungText, type RobotRung } from '../judge/ledger/robotRung.js';
import { headlineSentence, headlineText } from '../judge/evaluate/sentence.js';
import type { MechanismResult } from '../judge/evaluate/mechanism.js';
import { worstVerdict, type Verdict } from '../judge/evaluate/verdict.js';
import type { JudgedDay } from '../match/robot/day.js';
import { matchRest, type JudgedMatch } from '../match/robot/judge.js';
import { say, type Words } from '../plan/words/phrase.js';
import { showMultiple } from '../plan/words/show.js';
import type { HarnessCheck } from '../workshop/harness/checks.js';

/** What a finding is about: a mechanism alone, a match, a day of them, a limit of the event, a wire. */
export type FindingOf = 'mechanism' | 'match' | 'day' | 'event' | 'wires';

/** One thing that was found of a whole robot, and counts for its verdict. */
export interface RobotFinding {
  readonly of: FindingOf;
  readonly verdict: Verdict;
  /** The mechanism, the script, the limit or the wire, by name. */
  readonly name: string;
  /** What makes it so, in a few words. */
  readonly what: string;
  readonly sentence: Words;
  /** What there is over what is asked, and the multiple wanted; absent of a plain yes or no. */
  readonly multiple?: number;
  readonly wants?: number;
  /** The mechanism that it is about, by id, where it is about one. */
  readonly mechanism?: string;
  /** So many figures are missing that its verdict does without. */
  readonly notKnown: number;
}

/**
 * A mechanism alone: the worst over its jobs.
 *
 * @example mechanismFinding(evaluateMechanism(plan, mast)).what //=> 'pack-side limit 1.20×, Raise a crate, working'
 */
export function mechanismFinding({
  id,
  name,
  headline,
  jobs,
}: Pick<MechanismResult, 'id' | 'name' | 'headline' | 'jobs'>): RobotFinding {
  const { verdict, multiple, rung, check, jobId, situation } = headline;
  const job = jobs.find((one) => one.jobId === jobId);
  const of = situation === undefined ? job?.checks : job?.ladders[situation].rungs;
  const wants = of?.find((one) => one.id === (situation === undefined ? check : rung))?.wants;
  return {
    of: 'mechanism',
    verdict,
    name,
    what: headlineText(headline),
    sentence: headlineSentence(headline, jobs).rest,
    multiple: verdict === 'not known' ? undefined : multiple,
    wants,
    mechanism: id,
    // What leads is told by name; only what stands beside it is counted.
    notKnown: verdict === 'not known' ? 0 : headline.notKnown,
  };
}

/** What the limit of a match that gives first says; nothing where nothing moves. */
const ofFirst = (first: RobotRung | undefined) => ({
  what: first ? rungText(first) : 'nothing moves',
  sentence: matchRest(first ? [first] : []),
  multiple: first?.multiple || undefined,
  wants: first?.wants,
  mechanism: first?.mechanism,
  notKnown: 0,
});

/** A match by itself: what the event allows is a finding of its own. */
export function matchFinding({ script, rungs: all }: Pick<JudgedMatch, 'script' | 'rungs'>): RobotFinding {
  const rungs = all.filter(({ id }) => id !== 'event');
  const verdict = worstVerdict(rungs.map((rung) => rung.verdict));
  return { of: 'match', name: script.name, verdict, ...ofFirst(rungs[0]) };
}

/** A day: the match of it that is the worst. */
export function dayFinding({ matches, verdict }: JudgedDay): RobotFinding {
  const at = matches.findIndex((one) => one.verdict === verdict);
  const name = `match ${at + 1} of ${matches.length} in a day`;
  return { of: 'day', name, verdict, ...ofFirst(matches[at]?.first) };
}

/** A limit of the event. One that cannot be told for want of a figure makes nothing of it worse: it is counted. */
export const eventFinding = ({ name, verdict, multiple, sentence }: EventCheck): RobotFinding => ({
  of: 'event',
  verdict: verdict === 'not known' ? 'enough' : verdict,
  name: 'event sheet',
  what: multiple === undefined || multiple === Infinity ? name : `${name} ${showMultiple(multiple)}`,
  sentence,
  // What has no end of room says nothing by its number.
  multiple: multiple === Infinity ? undefined : multiple,
  wants: 1,
  notKnown: verdict === 'not known' ? 1 : 0,
});

/** What is wrong with a wire. One that nobody has measured yet is counted. */
export const wireFinding = ({ verdict, where, sentence }: HarnessCheck): RobotFinding => ({
  of: 'wires',
  verdict: verdict === 'not known' ? 'enough' : verdict,
  name: 'wires',
  what: where,
  sentence: say`${where}. ${sentence}`,
  notKnown: verdict === 'not known' ? 1 : 0,
});
