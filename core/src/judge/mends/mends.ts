import type { Words } from '../../plan/words/phrase.js';
import { mechanismById } from '../../plan/document/place.js';
import { headlineOf, judge as judgePath, type Judgement } from '../evaluate/mechanism.js';
import { headlineText } from '../evaluate/sentence.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import type { Mechanism, Plan } from '../../plan/document/plan.js';
import { eventChecks, worsened } from '../ledger/eventRungs.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import { SITUATIONS } from '../limits/situation.js';
import type { Lever, LeverContext, LeverSetting } from './lever.js';
import type { LeverId } from '../limits/leverId.js';
import { LEVERS } from './levers.js';
import { leversOf, metBy, stageOf, type Target } from './target.js';

/** A change that helps, with its amount, found by solving, and what it does to the whole mechanism. */
export interface Mend {
  readonly lever: LeverId;
  readonly label: Words;
  readonly changes: readonly Change[];
  /** The first rung of the target's situation (or the check) before and after; absent for yes or no. */
  readonly before?: number;
  readonly after?: number;
  /** What gives first afterwards. */
  readonly firstAfter?: string;
  /** Limits of the event that were passed before, and would be by more. */
  readonly more?: readonly string[];
  /** What of the whole mechanism gives way still, once this is mended. */
  readonly still?: string;
}

const GRID = 16;
const HALVINGS = 14;

/** Yields each mend as it is found, and nothing now and then, so that whoever asks can stop between two tries. */
export function* findMends(plan: Plan, mechanismId: string, target: Target): Generator<Mend | undefined> {
  const mechanism = mechanismById(plan, mechanismId);
  const before = judgementsOf(plan, mechanism);
  const path = resolvePath(plan, mechanism, target.jobId);
  const stage = stageOf(path, target);
  const context: LeverContext = { plan, mechanism, path, stage };
  for (const id of leversOf(context.path, target)) {
    const setting = yield* solve(context, LEVERS[id], target);
    yield setting && judge(plan, mechanismId, target, before, id, setting);
  }
}

/** What a search for mends came to: all of them, or what was found until its time was up. */
export interface MendsFound {
  readonly mends: readonly Mend[];
  readonly finished: boolean;
}

/**
 * The mends that are found within a time, ms by `clock`. Some changes ask for runs that take long: rather than wait, the
 * answer says that it is unfinished.
 *
 * @example mendsWithin(plan, 'lift', target, 3000, Date.now) //=> { mends: [{ lever: 'deeper', … }], finished: true }
 */
export function mendsWithin(
  plan: Plan,
  mechanismId: string,
  target: Target,
  milliseconds: number,
  clock: () => number,
): MendsFound {
  const until = clock() + milliseconds;
  const mends: Mend[] = [];
  for (const mend of findMends(plan, mechanismId, target)) {
    if (mend) mends.push(mend);
    if (clock() > until) return { mends, finished: false };
  }
  return { mends, finished: true };
}

/**
 * All mends, however long it takes. Empty where no single change does it.
 *
 * @example mendsFor(plan, 'lift', { jobId: 'raise', rung: 'supply', situation: 'working' }).length > 0 //=> true
 */
export function mendsFor(plan: Plan, mechanismId: string, target: Target): readonly Mend[] {
  return [...findMends(plan, mechanismId, target)].filter((mend) => mend !== undefined);
}

/** The least setting of a lever that meets the target: a coarse search outwards, then halving. */
function* solve(context: LeverContext, lever: Lever, target: Target): Generator<undefined, LeverSetting | undefined> {
  const span = lever.span(context);
  if (!span || !(span.from > 0) || !(span.to > 0)) return undefined;
  const at = (share: number) => span.from * (span.to / span.from) ** share;
  // Settings are rounded, teeth and motors whole numbers: many shares come to the same, which is judged once.
  const known = new Map<string, boolean>();
  const tried = (share: number): LeverSetting | undefined => {
    const setting = lever.set(context, at(share));
    if (!setting) return undefined;
    const key = JSON.stringify(setting.changes);
    let does = known.get(key);
    if (does === undefined) known.set(key, (does = meets(context, setting, target)));
    return does ? setting : undefined;
  };
  let low = 0;
  let high = 0;
  let best: LeverSetting | undefined;
  for (let i = 1; i <= GRID && !best; i++) {
    [low, high] = [high, i / GRID];
    best = tried(high);
    yield undefined;
  }
  if (!best) return undefined;
  for (let i = 0; i < HALVINGS; i++) {
    const middle: number = (low + high) / 2;
    const setting = tried(middle);
    if (setting) [best, high] = [setting, middle];
    else low = middle;
    yield undefined;
  }
  return best;
}

function meets({ plan, mechanism }: LeverContext, setting: LeverSetting, target: Target): boolean {
  const changed = applyChanges(plan, setting.changes);
  return metBy(changed, mechanismById(changed, mechanism.id), target) >= 1;
}

/** Looks at the whole mechanism afterwards: a mend that makes anything else give way, or passes a limit of the event, is none. */
function judge(
  plan: Plan,
  mechanismId: string,
  target: Target,
  before: readonly Judgement[],
  lever: LeverId,
  setting: LeverSetting,
): Mend | undefined {
  const changed = applyChanges(plan, setting.changes);
  const event = worsened(eventChecks(plan), eventChecks(changed));
  if (event.passed.length > 0) return undefined;
  const there = mechanismById(changed, mechanismId);
  const after: Judgement[] = [];
  for (const [i, job] of there.jobs.entries()) {
    const judgement = judgeJob(changed, there, job.id);
    const gaveWay = givingWay(before[i]!);
    if ([...givingWay(judgement)].some((item) => !gaveWay.has(item))) return undefined;
    after.push(judgement);
  }
  const [was, is] = [before, after].map((jobs) => score(jobs, target));
  // What merely hands the first place to something lower down is no help either.
  if (was?.multiple !== undefined && is?.multiple !== undefined && is.multiple <= was.multiple) return undefined;
  const left = headlineOf(after);
  return {
    lever,
    label: setting.label,
    changes: setting.changes,
    before: was?.multiple,
    after: is?.multiple,
    firstAfter: is?.name,
    more: event.more.length > 0 ? event.more : undefined,
    still: left.verdict === 'gives way' ? headlineText(left) : undefined,
  };
}

const judgementsOf = (plan: Plan, mechanism: Mechanism): readonly Judgement[] =>
  mechanism.jobs.map((job) => judgeJob(plan, mechanism, job.id));

const judgeJob = (plan: Plan, mechanism: Mechanism, jobId: string): Judgement =>
  judgePath(resolvePath(plan, mechanism, jobId));

/** Everything of a job that gives way, by name. */
export function givingWay(job: Judgement): ReadonlySet<string> {
  const rungs = SITUATIONS.flatMap((id) =>
    job.ladders[id].rungs
      .filter((rung) => !rung.outOfReach && rung.verdict === 'gives way')
      .map((rung) => `${id}:${rung.id}`),
  );
  return new Set([...rungs, ...job.checks.filter((check) => check.verdict === 'gives way').map((check) => check.id)]);
}

function score(jobs: readonly Judgement[], target: Target): { multiple?: number; name: string } | undefined {
  const job = jobs.find((candidate) => candidate.jobId === target.jobId)!;
  if ('check' in target) {
    const check = job.checks.find((candidate) => candidate.id === target.check);
    return check && { name: check.name, multiple: check.multiple };
  }
  const { first, idle } = job.ladders[target.situation];
  return first?.multiple === undefined ? { name: idle ?? 'nothing' } : { multiple: first.multiple, name: first.name };
}
