import { headlineOf, judge, type Headline, type Judgement } from '../evaluate/mechanism.js';
import { mechanismById } from '../plan/place.js';
import type { Mechanism, Plan } from '../plan/plan.js';
import type { AnyPath } from '../powerpath/anyPath.js';
import { resolvePath } from '../resolve/resolvePath.js';

/** A mechanism judged over all its jobs, as its own screen does, and one of them to take numbers from. */
export interface JudgedOver {
  readonly mechanism: Mechanism;
  readonly headline: Headline;
  readonly path: AnyPath;
  readonly result: Judgement;
}

/** Throws where the plan has no such mechanism, or it no such job. */
export function judgedOver(plan: Plan, mechanismId: string, jobId: string): JudgedOver {
  const mechanism = mechanismById(plan, mechanismId);
  const judged = mechanism.jobs.map((job) => {
    const path = resolvePath(plan, mechanism, job.id);
    return { path, result: judge(path) };
  });
  const asked = judged.find(({ path }) => path.job.id === jobId);
  if (!asked) throw new Error(`mechanism ${mechanism.name} has no job ${jobId}`);
  return { mechanism, headline: headlineOf(judged.map(({ result }) => result)), ...asked };
}
