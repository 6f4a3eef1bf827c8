import type { CheckId } from '../limits/check.js';
import { FAILING } from '../limits/checks/failing.js';
import { checkOf, type Check } from './check.js';
import { ladderOf } from './ladder.js';
import type { Ladder } from './rung.js';
import type { LimitId } from '../limits/limit.js';
import { machineOf } from '../machine/table.js';
import { SITUATIONS, type SituationId } from '../limits/situation.js';
import { standingOf, type Shortfall } from './shortfall.js';
import { compareVerdicts, worseOf, type Verdict } from './verdict.js';
import type { Run } from '../motion/run.js';
import type { JobKind, MechanismKind } from '../../plan/document/load.js';
import type { Mechanism, Plan } from '../../plan/document/plan.js';
import { lacksOf } from '../../path/powerpath/path.js';
import { oncePer } from '../../path/powerpath/memory.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import type { Link } from './links/link.js';
import { linksOf } from './links/table.js';

/** One job judged. */
export interface Judgement {
  readonly jobId: string;
  readonly name: string;
  readonly kind: JobKind;
  /** Its output goes along, or turns: forces and m/s, or torques and rad/s. */
  readonly unit: AnyPath['load']['unit'];
  readonly verdict: Verdict;
  readonly ladders: Readonly<Record<SituationId, Ladder>>;
  readonly checks: readonly Check[];
  /** The run by the job's profile; absent where a figure it needs is missing. */
  readonly run?: Run;
}

/** The same with the power path as the strip shows it. */
export interface JobResult extends Judgement {
  readonly links: readonly Link[];
}

/** What a mechanism is known by in a list: the worst over jobs, situations and checks. */
export interface Headline {
  readonly verdict: Verdict;
  readonly jobId: string;
  readonly situation?: SituationId;
  readonly rung?: LimitId;
  readonly check?: CheckId;
  /** The multiple behind the verdict, where it has one, and of what falls short how. */
  readonly multiple?: number;
  readonly shortfall?: Shortfall;
  /** What it is, in a word: the rung's or the check's name, or the figure that is missing. */
  readonly name: string;
  /** Of several jobs which one, and in which situation. */
  readonly where?: string;
  /** Figures that side rungs and checks lack. */
  readonly notKnown: number;
}

export interface MechanismResult {
  readonly id: string;
  readonly name: string;
  readonly kind: MechanismKind;
  readonly headline: Headline;
  readonly jobs: readonly JobResult[];
}

const runs = oncePer((path: AnyPath): Run => machineOf(path).run(path));

/**
 * The run of a path by its profile, made once; `undefined` where a figure is missing.
 *
 * @example runOf(path).time //=> 1.509
 */
export function runOf(path: AnyPath): Run | undefined {
  return lacksOf(path, machineOf(path).runNeeds).length > 0 ? undefined : runs(path);
}

/**
 * Judges one job of a mechanism.
 *
 * @example evaluateJob(plan, mast, 'raise').verdict //=> 'tight'
 */
export function evaluateJob(plan: Plan, mechanism: Mechanism, jobId: string): JobResult {
  const path = resolvePath(plan, mechanism, jobId);
  const judgement = judge(path);
  return Object.assign(judgement, { links: linksOf(path, judgement) });
}

/**
 * Judges a path that is already resolved.
 *
 * @example judge(path).ladders.working.first.multiple //=> 1.208
 */
export function judge(path: AnyPath): Judgement {
  const machine = machineOf(path);
  const run = runOf(path);
  const ladders = {
    starting: ladderOf(path, 'starting'),
    working: ladderOf(path, 'working'),
    holding: ladderOf(path, 'holding'),
  };
  const checks: Check[] = [];
  for (const rule of machine.checks) if (rule.applies(path)) checks.push(checkOf(rule, path, run));
  let verdict: Verdict = 'enough';
  for (const id of SITUATIONS) verdict = worseOf(verdict, ladders[id].verdict);
  for (const check of checks) if (check.verdict !== 'not known') verdict = worseOf(verdict, check.verdict);
  return {
    jobId: path.job.id,
    name: path.job.name,
    kind: path.job.kind,
    unit: path.load.unit,
    verdict,
    ladders,
    checks,
    run,
  };
}

/**
 * The situation of a job to look at first: the worst, and of equals the one that gives at the least multiple.
 *
 * @example worstSituation(judgement) //=> 'working'
 */
export const worstSituation = ({ ladders }: Pick<JobResult, 'ladders'>): SituationId =>
  SITUATIONS.reduce((worst, id) => {
    const [a, b] = [ladders[worst], ladders[id]];
    const by = compareVerdicts(b.verdict, a.verdict);
    const [standsB, standsA] = [b.first && standingOf(b.first), a.first && standingOf(a.first)];
    return by > 0 || (by === 0 && (standsB ?? Infinity) < (standsA ?? Infinity)) ? id : worst;
  });

/**
 * Judges a mechanism over all its jobs.
 *
 * @example evaluateMechanism(plan, mast).headline.name //=> 'pack-side limit'
 */
export function evaluateMechanism(plan: Plan, mechanism: Mechanism): MechanismResult {
  const jobs = mechanism.jobs.map((job) => evaluateJob(plan, mechanism, job.id));
  return { id: mechanism.id, name: mechanism.name, kind: mechanism.kind, jobs, headline: headlineOf(jobs) };
}

type Candidate = Omit<Headline, 'notKnown' | 'where'>;

/**
 * The worst over some jobs of one mechanism, and what makes it so: of what is equally bad the least multiple.
 *
 * @example headlineOf([judgement]).multiple //=> 1.208
 */
export function headlineOf(jobs: readonly Judgement[]): Headline {
  let verdict: Verdict = 'enough';
  const lacking = new Set<string>();
  for (const job of jobs) {
    verdict = worseOf(verdict, job.verdict);
    for (const id of SITUATIONS)
      for (const rung of job.ladders[id].rungs) if (rung.verdict === 'not known') lacking.add(rung.id);
    for (const check of job.checks) if (check.verdict === 'not known') lacking.add(check.id);
  }
  let first: Candidate | undefined;
  const consider = (candidate: Candidate): void => {
    if (!first || (standingOf(candidate) ?? Infinity) < (standingOf(first) ?? Infinity)) first = candidate;
  };
  for (const job of jobs) {
    for (const id of SITUATIONS) if (job.ladders[id].verdict === verdict) consider(fromLadder(job, id));
    for (const check of job.checks)
      if (check.verdict === verdict && verdict !== 'not known') consider(fromCheck(job, check));
  }
  return { ...first!, where: whereOf(first!, jobs), notKnown: lacking.size };
}

function whereOf({ jobId, situation }: Candidate, jobs: readonly Judgement[]): string | undefined {
  const job = jobs.length > 1 ? jobs.find((one) => one.jobId === jobId)!.name : undefined;
  return [job, situation].filter((word) => word !== undefined).join(', ') || undefined;
}

function fromLadder(job: Judgement, situation: SituationId): Candidate {
  const ladder = job.ladders[situation];
  // The rung that made the verdict: the first of that verdict, the first of all where it is the idle or unknown one.
  const rung =
    ladder.rungs.find(
      (candidate) => !candidate.outOfReach && candidate.verdict === ladder.verdict && candidate.multiple !== undefined,
    ) ?? ladder.first;
  const { verdict } = ladder;
  const { jobId } = job;
  if (verdict === 'not known') return { verdict, jobId, situation, name: ladder.lacks[0]?.label ?? 'a figure' };
  if (!rung) return { verdict, jobId, situation, name: ladder.idle ?? 'nothing asked' };
  const { name, multiple, shortfall } = rung;
  return { verdict, jobId, situation, rung: rung.id, name, multiple, shortfall };
}

function fromCheck(job: Judgement, check: Check): Candidate {
  // A check that is well is no multiple of force: it never leads among the ones that hold.
  const multiple = check.verdict === 'gives way' ? check.multiple : undefined;
  const name = check.verdict === 'gives way' ? FAILING[check.id] : check.name;
  return { verdict: check.verdict, jobId: job.jobId, check: check.id, name, multiple };
}
