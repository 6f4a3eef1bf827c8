import type { Mechanism, Plan } from '../../plan/document/plan.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import { headlineOf, judge, type Headline, type Judgement } from './mechanism.js';

/** A mechanism judged over all its jobs, as its own screen does, and one of them to take numbers from. */
export interface JudgedOver {
  readonly headline: Headline;
  readonly path: AnyPath;
  readonly result: Judgement;
  /** Of every job. */
  readonly all: readonly Judgement[];
}

/** Throws where the mechanism has no such job. */
export function judgedOver(plan: Plan, mechanism: Mechanism, jobId: string): JudgedOver {
  const judged = mechanism.jobs.map((job) => {
    const path = resolvePath(plan, mechanism, job.id);
    return { path, result: judge(path) };
  });
  const asked = judged.find(({ path }) => path.job.id === jobId);
  if (!asked) throw new Error(`mechanism ${mechanism.name} has no job ${jobId}`);
  const all = judged.map(({ result }) => result);
  return { headline: headlineOf(all), path: asked.path, result: asked.result, all };
}
