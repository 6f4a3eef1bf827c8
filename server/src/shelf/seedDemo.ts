import type { DiaryStore } from '../diary/store.js';
import { planText } from '../plans/reading.js';
import type { PlanStore } from '../plans/store.js';
import { trialText } from '../trials/reading.js';
import type { TrialStore } from '../trials/store.js';
import { demoDiary } from './demoDiary.js';
import { readDemo, readDemoBook } from './data.js';

/** The robot that goes to its contest. */
const DRIVEN = 'Heron';

/** Makes the demo robots, and puts the trials of their bench book beside them: each names the robot it was done on. */
export async function seedDemo(plans: PlanStore, trials: TrialStore, diaries: DiaryStore): Promise<void> {
  const ids = new Map<string, string>();
  for (const plan of readDemo()) {
    const { id } = await plans.create(planText(plan));
    ids.set(plan.name, id);
    // The small one stands on the table: nobody has bought or played anything with it.
    if (plan.name === DRIVEN) await diaries.add(id, demoDiary(plan));
  }
  await trials.bring(
    readDemoBook().map(({ id, trial }) => {
      const planId = ids.get(trial.subject.robot ?? '');
      const subject = { ...trial.subject, ...(planId ? { planId } : {}) };
      return { id, trial: trialText({ ...trial, subject }), takings: [] };
    }),
  );
}
