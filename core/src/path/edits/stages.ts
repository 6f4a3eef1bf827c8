import type { Change } from '../../plan/document/change.js';
import { freshId } from '../../plan/document/freshId.js';
import { MOST } from '../../plan/document/most.js';
import { choiceAt, mechanismById } from '../../plan/document/place.js';
import { currentChoice, type Mechanism, type Plan } from '../../plan/document/plan.js';
import type { Stage, StageKind } from '../../plan/document/stage.js';
import { newStage } from './stageKinds.js';

/** A lead screw turns into metres: whatever the order asked for, nothing turns behind it. */
const screwLast = (stages: readonly Stage[]): readonly Stage[] => [
  ...stages.filter(({ kind }) => kind !== 'screw'),
  ...stages.filter(({ kind }) => kind === 'screw'),
];

/** The kinds of stage a mechanism takes one more of: only a carriage ends in a screw, and in one. */
export function addableStages(mechanism: Mechanism): readonly StageKind[] {
  const { stages, output } = currentChoice(mechanism);
  if (stages.length >= MOST.stages) return [];
  const screw = output.kind === 'carriage' && !stages.some(({ kind }) => kind === 'screw');
  const turning = ['teeth', 'chain', 'belt', 'planetary', 'ratio', 'worm'] as const;
  return screw ? [...turning, 'screw'] : turning;
}

/**
 * One more stage behind the last that turns; a train's first is what the ruler tunes.
 *
 * @throws where as many are kept as there may be
 */
export function addStage(
  plan: Plan,
  mechanismId: string,
  kind: StageKind,
): { readonly id: string; readonly changes: readonly Change[] } {
  const mechanism = mechanismById(plan, mechanismId);
  if (!addableStages(mechanism).includes(kind)) throw new Error(`no stage of this kind can be added: ${kind}`);
  const { stages, tuning } = currentChoice(mechanism);
  const stage = newStage(kind, freshId(plan, 'stage'));
  const tunes = tuning === undefined && kind !== 'worm' && kind !== 'screw';
  return {
    id: stage.id,
    changes: [
      ...orderStages(plan, mechanismId, [...stages, stage]),
      ...(tunes ? [{ at: [...choiceAt(plan, mechanism), 'tuning'], to: stage.id }] : []),
    ],
  };
}

/** A stage taken away. Where it was on the ruler, the last one that can be tuned takes its place there. */
export function removeStage(plan: Plan, mechanismId: string, stageId: string): readonly Change[] {
  const mechanism = mechanismById(plan, mechanismId);
  const { stages, tuning } = currentChoice(mechanism);
  const rest = stages.filter(({ id }) => id !== stageId);
  const tunable = rest.filter(({ kind }) => kind !== 'worm' && kind !== 'screw');
  const next = rest.some(({ id }) => id === tuning) ? tuning : tunable.at(-1)?.id;
  return [{ at: [...choiceAt(plan, mechanism), 'tuning'], to: next }, ...orderStages(plan, mechanismId, rest)];
}

/** All that reduces, taken out: a screw stays, since it makes travel of turning. */
export function takeOutReduction(plan: Plan, mechanismId: string): readonly Change[] {
  const mechanism = mechanismById(plan, mechanismId);
  const screws = currentChoice(mechanism).stages.filter(({ kind }) => kind === 'screw');
  return [{ at: [...choiceAt(plan, mechanism), 'tuning'], to: undefined }, ...orderStages(plan, mechanismId, screws)];
}

/** The stages of the choice in force in another order, a screw always last. */
export const orderStages = (plan: Plan, mechanismId: string, stages: readonly Stage[]): readonly Change[] => [
  { at: [...choiceAt(plan, mechanismById(plan, mechanismId)), 'stages'], to: screwLast(stages) },
];
