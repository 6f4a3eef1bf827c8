import {
  evaluateMechanism,
  lacksOf,
  resolvePath,
  packLasts,
  topSpeedOf,
  withChoice,
  type Choice,
  type JobResult,
  type Mechanism,
  type Plan,
} from '@rough-gear/core';

/** A choice's answer on one job, in force or not. */
export function jobOf(plan: Plan, mechanism: Mechanism, choice: Choice, jobId: string): JobResult {
  const there = withChoice(plan, mechanism, choice.id);
  return evaluateMechanism(there.plan, there.mechanism).jobs.find((job) => job.jobId === jobId)!;
}

/** How long the pack keeps the open job of a choice going, over and over and alone on it, s. */
export function runTimeFor(plan: Plan, mechanism: Mechanism, choice: Choice, jobId: string): number | undefined {
  const there = withChoice(plan, mechanism, choice.id);
  const path = resolvePath(there.plan, there.mechanism, jobId);
  const { run } = jobOf(plan, mechanism, choice, jobId);
  if (path.machine !== 'dc' || !run || lacksOf(path, ['charge', 'throw']).length > 0) return undefined;
  return packLasts(path, run);
}

/** The fastest the open job of a choice runs under its load, of the load, m/s or rad/s; of plain motors only. */
export function topSpeedFor(plan: Plan, mechanism: Mechanism, choice: Choice, jobId: string): number | undefined {
  const there = withChoice(plan, mechanism, choice.id);
  const path = resolvePath(there.plan, there.mechanism, jobId);
  return path.machine === 'dc' ? topSpeedOf(path) : undefined;
}

/** Each choice has a dash and a letter of its own, so that no meaning hangs on colour. */
export const LETTERS = ['A', 'B', 'C', 'D'] as const;
export const DASHES = ['solid', [8, 3], [2, 2], [8, 3, 2, 3]] as const;
