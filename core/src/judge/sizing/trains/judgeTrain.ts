import { mechanismById, choiceAt } from '../../../plan/document/place.js';
import { evaluateMechanism } from '../../evaluate/mechanism.js';
import type { Verdict } from '../../evaluate/verdict.js';
import { applyChanges, type Change } from '../../../plan/document/change.js';
import { type Mechanism, type Plan } from '../../../plan/document/plan.js';
import type { TrainFound } from './search.js';
import { stagesOfTrain } from './stagesOf.js';

/** What a train off the shelf would make of the whole mechanism. */
export interface TrainJudged {
  readonly verdict: Verdict;
  /** What gives first, and at how many times the job. */
  readonly name: string;
  readonly multiple?: number;
}

/** The changes that put a found train into the mechanism's choice: its slowest stage goes on the ruler. */
export function adoptTrain(plan: Plan, mechanism: Mechanism, train: TrainFound): readonly Change[] {
  const at = choiceAt(plan, mechanism);
  const stages = stagesOfTrain(train);
  return [
    { at: [...at, 'stages'], to: stages },
    { at: [...at, 'tuning'], to: stages.at(-1)!.id },
  ];
}

/** The mechanism with this train, judged as the screen would. */
export function judgeTrain(plan: Plan, mechanismId: string, train: TrainFound): TrainJudged {
  const mechanism = mechanismById(plan, mechanismId);
  const changed = applyChanges(plan, adoptTrain(plan, mechanism, train));
  const { headline } = evaluateMechanism(changed, mechanismById(changed, mechanismId));
  const { verdict, name, multiple } = headline;
  return { verdict, name, multiple };
}
