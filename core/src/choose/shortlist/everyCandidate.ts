import { mechanismById } from '../../plan/document/place.js';
import type { Plan } from '../../plan/document/plan.js';
import type { Shelved } from '../../judge/sizing/proposal.js';
import { commonOn, usedElsewhere } from '../../plan/document/stockOf.js';
import { judgeAt, type Found } from './found.js';
import { drivesOf } from './drives.js';
import { costsOf, Front } from './front.js';
import { eventFor } from './overEvent.js';
import { overCeiling, type ShortlistQuery } from './query.js';
import { trialOf } from './trial.js';

/** The front by judging every drive at every given total in full, for proof only: slow. */
export function everyCandidate(
  plan: Plan,
  query: ShortlistQuery,
  shelf: readonly Shelved[],
  totalsOf: (driveKey: string) => readonly number[],
): { readonly front: readonly Found[]; readonly held: number; readonly tried: number } {
  const mechanism = mechanismById(plan, query.mechanismId);
  const common = commonOn(shelf);
  const used = usedElsewhere(plan, mechanism.id);
  const front = new Front<Found>();
  let [held, tried] = [0, 0];
  const event = eventFor(plan);
  for (const option of drivesOf(plan, mechanism, query, shelf)) {
    const over = event(option).passed.length > 0;
    const trial = trialOf(plan, mechanism, query, option);
    for (const total of trial.open ? totalsOf(option.key) : [trial.jobs[0]!.path.train.total]) {
      tried++;
      if (over) continue;
      const answer = judgeAt(trial, total, query.jobId, common, used);
      if ('fell' in answer) continue;
      if (overCeiling(answer.holds.figures, query) !== undefined) continue;
      held++;
      front.offer(answer.holds, costsOf(query.wants, answer.holds.figures), answer.holds.group);
    }
  }
  return { front: front.items(), held, tried };
}
