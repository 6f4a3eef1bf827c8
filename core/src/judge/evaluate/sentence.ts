import type { Lack } from '../../plan/figures/figure.js';
import { amount, capitalised, say, type Words } from '../../plan/words/phrase.js';
import { showMultiple } from '../../plan/words/show.js';
import type { Headline, Judgement } from './mechanism.js';
import type { Idle, Ladder, Rung } from './rung.js';
import type { Shortfall } from './shortfall.js';
import type { LimitId } from '../limits/limit.js';
import type { Verdict } from './verdict.js';

/** What to think of a limit that gives first although there is enough of it. */
const WHEN_FIRST: Readonly<Record<LimitId, string>> = {
  volts: 'the motor simply has no more, and nothing is harmed',
  stator: 'good to give first',
  supply: 'good to give first',
  slip: 'good to give first, since it spares everything behind it',
  'brown-out': 'a bad one to give first: a current limit set below it would spare the rest of the robot',
  discharge: 'a bad one to give first: a current limit set below it would spare the pack',
  'branch-breaker': 'a bad one to give first: a current limit set below it would keep the mechanism alive',
  'main-breaker': 'a bad one to give first: it takes the whole robot with it',
  continuous: 'go on longer and it overheats',
  heat: 'hold longer and it overheats',
  'controller-heat': 'go on longer and the controller overheats, or turns itself down',
  buckling: 'a bad one to give first: a thicker screw or a shorter free length would spare it',
  'pull-out': 'beyond it steps are lost, and nothing will tell you',
  'peak-torque': 'beyond it the driver alarms with a following error, and nothing is harmed',
  'rated-torque': 'go on longer and it overheats',
  'hold-current': 'beyond it the shaft slips from step to step, and nothing will tell you',
  servo: 'beyond it the servo stalls: hot gears, and a rail pulled down',
  'servo-hold': 'hold longer and it overheats',
  rail: 'a bad one to give first: the rail sags and takes the other servos with it',
  rope: 'a bad one to give first: a current limit set below it would spare it',
  tooth:
    'a bad one to give first: a broken tooth takes its neighbours with it, and a current limit below it would spare it',
  'chain-skip': 'a bad one to give first: it jumps, wears its teeth and jumps again; a tensioner or more teeth mend it',
  'chain-snap': 'a bad one to give first: a chain that breaks whips, and lets go of what it held',
  'sprocket-shear': 'a bad one to give first: more teeth share the pull among more of them',
  'belt-skip': 'it jumps before anything breaks, but loses its place: more tension or more teeth mend it',
  'belt-shear': 'a bad one to give first: a wider belt or more teeth in mesh would spare it',
  'belt-snap': 'a bad one to give first: a wider belt would spare it',
  gearbox: 'a bad one to give first: a current limit set below it would spare its gears',
  shaft: 'a bad one to give first: a thicker shaft costs little beside what hangs on it',
};

/** What happens where such a limit is passed, in place of a bare share. */
const LOSES: Readonly<Partial<Record<LimitId, string>>> = {
  'pull-out': 'it loses steps here, and nothing will tell you',
  'peak-torque': 'alarm: following error',
  'hold-current': 'it slips from step to step, and nothing will tell you',
};

const IDLE: Readonly<Record<Idle, string>> = {
  'no load': 'Nothing pulls here: the motor may rest.',
  'load drives': 'The load drives here: nothing has to pull, and the brakes hold it back.',
  'held by friction': 'Friction holds it, just: the motor may rest until something shakes it.',
  'held by rolling resistance': 'Rolling resistance holds it: the motor may rest until something nudges it.',
  'stays by itself': 'A stage of the train stays by itself: the motor may rest.',
  'held by brake': 'The brake holds it: the motor may rest.',
  'held by ratchet': 'The ratchet holds it: the motor may rest.',
};

/** A verdict, and how many figures are missing beside it. */
interface Said {
  readonly verdict: Verdict;
  readonly notKnown?: number;
}

/**
 * A verdict with what is not known beside it: where figures are missing that do not lead, *enough* is not all there is to say.
 *
 * @example verdictText({ verdict: 'enough', notKnown: 2 }) //=> 'enough, 2 not known'
 */
export const verdictText = ({ verdict, notKnown = 0 }: Said): string =>
  verdict === 'enough' && notKnown > 0 ? `enough, ${notKnown} not known` : verdict;

/**
 * The same as a sentence begins with it.
 *
 * @example leadOf({ verdict: 'enough', notKnown: 2 }) //=> 'Enough, 2 not known.'
 */
export const leadOf = (said: Said): string => `${capitalised(verdictText(said))}.`;

/** The answer of one situation in a sentence or two: the verdict first. */
export function ladderSentence(ladder: Ladder): { readonly lead: string; readonly rest: string } {
  if (ladder.idle) return { lead: leadOf({ verdict: 'enough' }), rest: IDLE[ladder.idle] };
  const { first, verdict } = ladder;
  const lead = leadOf({ verdict, notKnown: ladder.rungs.filter((rung) => rung.verdict === 'not known').length });
  if (ladder.lacks.length > 0 || !first) {
    const names = [...new Set(ladder.lacks.map((lack) => lack.label))];
    const least = ladder.rungs.find(({ outOfReach, multiple }) => !outOfReach && multiple !== undefined);
    const known = least ? ` What is known gives at ${showMultiple(least.multiple!)}: ${least.name}.` : '';
    const missing = names.length === 1 ? `${capitalised(names[0]!)} is missing.` : `Missing: ${names.join(', ')}.`;
    return { lead: leadOf({ verdict }), rest: `${names.length > 0 ? missing : 'No figure to judge by.'}${known}` };
  }
  return {
    lead,
    rest: `${first.subject} gives first${first.shortfall ? '' : `, at ${showMultiple(first.multiple!)} the job`}: ${comment(first)}.${besides(ladder, first)}`,
  };
}

/**
 * The one answer for a mechanism, the verdict first: the sentence of the rung, the check or the missing figure that makes
 * it so, wherever among its jobs and situations that stands.
 */
export function headlineSentence(
  headline: Headline,
  jobs: readonly Judgement[],
): { readonly lead: string; readonly rest: Words } {
  const { jobId, check: id, situation } = headline;
  const job = jobs.find((candidate) => candidate.jobId === jobId)!;
  const lead = leadOf(headline);
  if (situation !== undefined) return { lead, rest: ladderSentence(job.ladders[situation]).rest };
  return { lead, rest: job.checks.find((check) => check.id === id)!.sentence };
}

/**
 * The same in a few words: what it is, its multiple, and of several jobs which one.
 *
 * @example headlineText(evaluateMechanism(plan, mast).headline) //=> 'pack-side limit 1.20×, Raise a crate, working'
 */
export function headlineText({ verdict, name, multiple, shortfall, where }: Headline): string {
  const what = verdict === 'not known' ? `${name} is missing` : name;
  const times = multiple === undefined ? what : `${what} ${timesText({ multiple, shortfall })}`;
  return where === undefined ? times : `${times}, ${where}`;
}

/**
 * A multiple as it is read beside a name; of what falls short what it is a share of.
 *
 * @example timesText({ multiple: 0.634, shortfall: { kind: 'too slow', speed: 0.3 } }) //=> '0.634× the speed'
 */
export const timesText = ({ multiple, shortfall }: Pick<Rung, 'shortfall'> & { readonly multiple: number }): string =>
  `${showMultiple(multiple)}${shortfall ? ` ${SHORT[shortfall.kind].of}` : ''}`;

/** What there is of one limit, what is asked, and the margin. `unit` is that of the load's coordinate. */
export function rungSentence(rung: Rung, { demand = NaN, speed = NaN, ceiling }: Ladder, unit: 'm' | 'rad'): Words {
  const { subject, capacity, wants } = rung;
  if (rung.outOfReach) return `${subject} is not reached: ${ceiling}.`;
  if (capacity === undefined) return `${subject}: not known, ${lackWords(rung.lacks)}.`;
  const dimension = unit === 'm' ? 'force' : 'torque';
  if (rung.shortfall?.kind === 'off') {
    const { volts, least } = rung.shortfall;
    return say`${subject} has ${amount(volts, 'voltage')} with nothing drawn, ${showMultiple(rung.multiple!)} the ${amount(least, 'voltage')} it takes to stay on. Wanted is ${showMultiple(wants)} the ${amount(demand, dimension)} the job takes.`;
  }
  if (rung.shortfall?.kind === 'stalls')
    return say`${subject} gives ${amount(rung.shortfall.atRest, dimension)} at rest, ${showMultiple(rung.multiple!)} the ${amount(rung.shortfall.atRest / rung.multiple!, dimension)} the job takes: nothing moves. Wanted is ${showMultiple(wants)} as it goes.`;
  if (rung.shortfall?.kind === 'starts slowly') {
    const quickening = unit === 'm' ? 'acceleration' : 'angular acceleration';
    return say`${subject} starts it with ${amount(rung.shortfall.acceleration, quickening)}, ${showMultiple(rung.multiple!)} the acceleration wanted: the rest goes into the motor itself. Wanted is ${showMultiple(wants)} the ${amount(demand, dimension)} the job takes.`;
  }
  if (rung.shortfall) {
    const turning = unit === 'm' ? 'velocity' : 'speed';
    return say`${subject} moves it at ${amount(rung.shortfall.speed, turning)}, ${showMultiple(rung.multiple!)} the ${amount(speed, turning)} wanted; at that speed it wants ${showMultiple(wants)} the ${amount(demand, dimension)} the job takes.`;
  }
  return say`${subject} gives at ${amount(capacity, dimension)}, ${showMultiple(capacity / demand)} the ${amount(demand, dimension)} the job takes; wanted is ${showMultiple(wants)}.`;
}

function comment(first: Rung): string {
  const { multiple = 0, wants, goodFirst, shortfall } = first;
  if (multiple < 1 && LOSES[first.id]) return LOSES[first.id]!;
  if (shortfall) return `${SHORT[shortfall.kind].does}: ${percent(multiple)} of ${SHORT[shortfall.kind].of}`;
  if (multiple < 1)
    return multiple === 0
      ? 'it gives nothing here'
      : `it lacks ${Math.ceil((1 - multiple) * 100)} % of what the job takes`;
  if (multiple >= wants) return WHEN_FIRST[first.id];
  return goodFirst ? 'good to give first, a little close' : 'too close: the wanted margin is ' + showMultiple(wants);
}

/** Rounded towards the worse, and never all of it. */
const percent = (share: number): string => `${Math.floor(share * 100 + 1e-9)} %`;

/** What a shortfall looks like, and what its multiple is a share of. */
const SHORT: Readonly<Record<Shortfall['kind'], { readonly does: string; readonly of: string }>> = {
  off: { does: 'it is off even at rest', of: 'the volts' },
  stalls: { does: 'it does not move', of: 'the force' },
  'too slow': { does: 'it moves, but too slowly', of: 'the speed' },
  'starts slowly': { does: 'it starts, but too slowly', of: 'the acceleration' },
};

/** A rung behind the first that is worse off by its own margin. */
function besides(ladder: Ladder, first: Rung): string {
  const other = ladder.rungs.find(
    (rung) => rung !== first && !rung.outOfReach && rung.verdict === ladder.verdict && rung.verdict !== first.verdict,
  );
  return other && other.multiple !== undefined
    ? ` ${capitalised(other.name)} is ${other.verdict} at ${showMultiple(other.multiple)}.`
    : '';
}

/** What is missing, and why nothing stands in for it where there is more to say. */
const lackWords = (lacks: readonly Lack[]): string =>
  `${lacks.map(({ label }) => label).join(', ')} missing${lacks
    .flatMap(({ why }) => (why ? [`: ${why}`] : []))
    .slice(0, 1)
    .join('')}`;
