import type { Change } from '../../plan/document/change.js';
import { freshId } from '../../plan/document/freshId.js';
import type { Job, JobKind } from '../../plan/document/load.js';
import { MOST } from '../../plan/document/most.js';
import { mechanismAt, mechanismById } from '../../plan/document/place.js';
import type { Mechanism, Plan } from '../../plan/document/plan.js';
import { MECHANISM_JOBS } from '../job/table.js';
import { withoutGoesOf } from './scripts.js';

/**
 * Another job of a mechanism, begun as a copy of one it has, or of another kind with nothing typed yet.
 *
 * @throws where as many are kept as there may be
 */
export function addJob(
  plan: Plan,
  mechanismId: string,
  like: Job,
  name: string,
  kind: JobKind = like.kind,
): { readonly id: string; readonly changes: readonly Change[] } {
  const { jobs } = mechanismById(plan, mechanismId);
  if (jobs.length >= MOST.jobs) throw new Error(`${MOST.jobs} jobs are kept: remove one first`);
  const id = freshId(plan, 'job');
  const at = [...mechanismAt(plan, mechanismId), 'jobs', jobs.length];
  const to = kind === like.kind ? { ...like, id, name } : ({ id, name, kind } as Job);
  return { id, changes: [{ at, to }] };
}

/**
 * Whether a mechanism cannot do without a job: its only one, or the only one of its kind where it does several kinds.
 *
 * @example jobIsNeeded({ ...mast, jobs: mast.jobs.slice(0, 1) }, mast.jobs[0].id) //=> true
 */
export function jobIsNeeded({ kind, jobs }: Mechanism, jobId: string): boolean {
  const job = jobs.find(({ id }) => id === jobId);
  const alike = jobs.filter((other) => other.kind === job?.kind);
  const { jobs: own } = MECHANISM_JOBS[kind];
  return jobs.length === 1 || (own.length > 1 && job !== undefined && own.includes(job.kind) && alike.length === 1);
}

/**
 * A job taken away, and its goes in every script.
 *
 * @throws where the mechanism cannot do without it
 */
export function removeJob(plan: Plan, mechanismId: string, jobId: string): readonly Change[] {
  const mechanism = mechanismById(plan, mechanismId);
  if (jobIsNeeded(mechanism, jobId)) throw new Error('a mechanism keeps one job of each kind');
  return [
    { at: [...mechanismAt(plan, mechanismId), 'jobs'], to: mechanism.jobs.filter(({ id }) => id !== jobId) },
    ...withoutGoesOf(plan, mechanismId, jobId),
  ];
}
