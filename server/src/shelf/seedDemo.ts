import type { PlanStore } from '../plans/store.js';
import type { TrialStore } from '../trials/store.js';
import { readDemo, readDemoBook } from './data.js';

/** Makes the demo robots, and puts the trials of their bench book beside them: each names the robot it was done on. */
export async function seedDemo(plans: PlanStore, trials: TrialStore): Promise<void> {
  const ids = new Map<string, string>();
  for (const plan of readDemo()) ids.set(plan.name, (await plans.create(plan)).id);
  await trials.bring(
    readDemoBook().map(({ id, trial }) => {
      const planId = ids.get(trial.subject.robot ?? '');
      return { id, trial: { ...trial, subject: { ...trial.subject, ...(planId ? { planId } : {}) } }, takings: [] };
    }),
  );
}
