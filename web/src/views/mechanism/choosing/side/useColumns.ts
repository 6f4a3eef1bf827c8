import {
  evaluateMechanism,
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

/** Each choice has a dash and a letter of its own, so that no meaning hangs on colour. */
export const LETTERS = ['A', 'B', 'C', 'D'] as const;
export const DASHES = ['solid', [8, 3], [2, 2], [8, 3, 2, 3]] as const;
