import { besideChanges } from '../../path/edits/choices.js';
import { constantsOf } from '../../judge/sizing/constantsOf.js';
import type { Shelved } from '../../judge/sizing/proposal.js';
import { rewound } from '../../models/motor/rewound.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import { MOST } from '../../plan/document/most.js';
import { mechanismById } from '../../plan/document/place.js';
import { countOf, dcDriveOf, type Plan } from '../../plan/document/plan.js';
import type { Stage } from '../../plan/document/stage.js';
import { foundWords } from '../shortlist/adopt.js';
import { anotherMachine } from './anotherMachine.js';
import { motorCounts } from './counts.js';
import { withGear } from './gearOverJobs.js';
import { designOf, type Design } from './place.js';
import { candidatesFor, rankScores, scoreCard, WEIGHT_SETS } from './scoreCard.js';
import { stageWays } from './stageSchools.js';
import type { Variant } from './variant.js';
import { windingVariants } from './windings.js';

/** A comparison people keep asking for: what would be put beside the choice in force. */
export interface ReadyMade {
  readonly id: string;
  /** The question. */
  readonly asks: string;
}

/** Every ready comparison that makes sense here; none once as many choices are kept as there may be. */
export const readyComparisons = (plan: Plan, mechanismId: string, jobId: string): readonly ReadyMade[] =>
  questionsOn(plan, mechanismId, jobId, []).map(({ id, asks }) => ({ id, asks }));

/**
 * The changes that put the other side of a comparison beside the choice in force; `undefined` where there is nothing to compare
 * with. Yields between what it measures.
 *
 * @throws where the shelf has none of the kind
 */
export function* readyMade(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  shelf: readonly Shelved[],
  id: string,
): Generator<unknown, readonly Change[] | undefined> {
  const question = questionsOn(plan, mechanismId, jobId, shelf).find((one) => one.id === id);
  const other = question && (yield* question.other());
  return other && besideChanges(plan, mechanismId, other.changes, other.name);
}

/** The other side: what it is called, and what makes it of the choice in force. */
interface Other {
  readonly name: string;
  readonly changes: readonly Change[];
}

interface Question extends ReadyMade {
  readonly other: () => Generator<unknown, Other | undefined>;
}

function questionsOn(plan: Plan, mechanismId: string, jobId: string, shelf: readonly Shelved[]): readonly Question[] {
  const design = designOf(plan, mechanismId);
  if (design.mechanism.choices.length >= MOST.choices) return [];
  return [
    ...dcQuestions(plan, design, jobId, shelf),
    ...stepQuestions(plan, design, shelf),
    ...stageQuestions(plan, design, jobId),
  ];
}

function dcQuestions(plan: Plan, design: Design, jobId: string, shelf: readonly Shelved[]): readonly Question[] {
  if (design.choice.drive.kind !== 'dc') return [];
  const { motors, motor: motorId } = dcDriveOf(design.choice);
  const motor = plan.parts[motorId]?.part;
  const type = motor?.kind === 'motor' && motor.type === 'brushed' ? ('brushless' as const) : ('brushed' as const);
  const constants = motor && constantsOf(motor);
  const winding: Question = {
    id: 'winding',
    asks: 'Slow winding direct, or fast winding geared?',
    other: () => fasterWinding(plan, design, shelf),
  };
  return [
    {
      id: 'count',
      asks: motors === 1 ? 'One or two motors?' : `${motors} motors or one?`,
      other: () => anotherCount(plan, design, motors === 1 ? 2 : 1),
    },
    { id: 'type', asks: 'Brushed or brushless?', other: () => bestOfType(plan, design, jobId, shelf, type) },
    ...(constants && rewound(constants, 0.5).resistance > 0 ? [winding] : []),
  ];
}

/** Geared anew, so that both sides are as good as they get. */
function* anotherCount(plan: Plan, { mechanism }: Design, count: number): Generator<unknown, Other | undefined> {
  const counted = motorCounts(plan, mechanism.id, false, false).find(({ id }) => id === `count-${count}`);
  yield;
  return counted && { name: count === 1 ? 'one motor' : 'two motors', changes: geared(plan, mechanism.id, counted) };
}

const geared = (plan: Plan, mechanismId: string, { changes }: Pick<Variant, 'changes'>): readonly Change[] =>
  withGear(plan, mechanismId, { changes, gear: 'over all jobs' }).changes;

/** The best pair of the other type by the first school's weights. */
function* bestOfType(
  plan: Plan,
  { mechanism, choice }: Design,
  jobId: string,
  shelf: readonly Shelved[],
  type: 'brushed' | 'brushless',
): Generator<unknown, Other | undefined> {
  const candidates = candidatesFor(plan, mechanism.id, jobId, shelf);
  const scores = yield* scoreCard(plan, mechanism.id, jobId, candidates);
  const best = rankScores(scores, WEIGHT_SETS[0]!.weights).find((one) => one.type === type && one.id !== 'own');
  const { motors } = dcDriveOf(choice);
  return best && { name: foundWords({ motors, motor: best.motor, total: best.total }), changes: best.changes };
}

/** The same can with half the turns, geared as suits it. */
function* fasterWinding(
  plan: Plan,
  { mechanism }: Design,
  shelf: readonly Shelved[],
): Generator<unknown, Other | undefined> {
  const variant = windingVariants(plan, mechanism.id, shelf, true).find(({ id }) => id === 'turns-0.5');
  yield;
  return variant && { name: 'fast winding, geared down', changes: geared(plan, mechanism.id, variant) };
}

function stepQuestions(plan: Plan, { mechanism, choice }: Design, shelf: readonly Shelved[]): readonly Question[] {
  const { drive } = choice;
  if (drive.kind !== 'step') return [];
  const kind = plan.parts[drive.motor]?.part.kind;
  const other = kind === 'stepper' ? ('step-servo' as const) : ('step' as const);
  const asks = 'Stepper direct, or step servo geared down?';
  return [{ id: 'step', asks, other: () => otherStep(plan, mechanism.id, other, shelf) }];
}

/** The other kind of what takes pulses, as it is proposed where it does the jobs. */
function* otherStep(
  plan: Plan,
  mechanismId: string,
  machine: 'step' | 'step-servo',
  shelf: readonly Shelved[],
): Generator<unknown, Other | undefined> {
  const { changes, name } = yield* anotherMachine(plan, mechanismId, machine, shelf);
  const beside = mechanismById(applyChanges(plan, changes), mechanismId).choices.at(-1)!;
  const { choice, choiceAt } = designOf(plan, mechanismId);
  const inItsPlace: Change = { at: choiceAt, to: { ...beside, id: choice.id } };
  return { name, changes: [...changes.filter(({ at }) => at[0] !== 'mechanisms'), inItsPlace] };
}

/** The last chain or belt of the train as the other of the two, the smallest that holds. */
function stageQuestions(plan: Plan, { mechanism, choice, choiceAt }: Design, jobId: string): readonly Question[] {
  const index = choice.stages.findLastIndex(({ kind }) => kind === 'chain' || kind === 'belt');
  const stage = choice.stages[index];
  if (!stage || countOf(choice.drive) === 0) return [];
  const wanted: Stage['kind'] = stage.kind === 'chain' ? 'belt' : 'chain';
  return [{ id: 'chain-or-belt', asks: 'Chain, or a wide belt?', other }];

  function* other(): Generator<unknown, Other | undefined> {
    const ways = stageWays(plan, mechanism.id, jobId, stage!.id).filter(({ stage: { kind } }) => kind === wanted);
    yield;
    const way = ways.find(({ margin }) => margin >= 1) ?? ways.at(-1);
    return way && { name: way.name, changes: [{ at: [...choiceAt, 'stages', index], to: way.stage }] };
  }
}
