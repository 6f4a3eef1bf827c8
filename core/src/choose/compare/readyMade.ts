import { rewound } from '../../models/motor/rewound.js';
import type { Change } from '../../plan/document/change.js';
import { countOf, dcDriveOf, type Plan } from '../../plan/document/plan.js';
import type { Stage } from '../../plan/document/stage.js';
import { constantsOf } from '../../judge/sizing/constantsOf.js';
import { proposeBeside } from '../../judge/sizing/proposeChoice.js';
import type { Shelved } from '../../judge/sizing/proposal.js';
import { besideChanges } from '../../path/edits/choices.js';
import { MOST } from '../../plan/document/most.js';
import { motorCounts } from './counts.js';
import { designOf, type Design } from './place.js';
import { candidatesFor, scoreCard, WEIGHT_SETS, type CandidateScore } from './scoreCard.js';
import { stageWays } from './stageSchools.js';
import { windingVariants } from './windings.js';

/** A comparison people keep asking for: what would be put beside the choice in force. */
export interface ReadyMade {
  readonly id: string;
  /** The question. */
  readonly asks: string;
  /** The changes that put the other side beside it. */
  readonly changes: readonly Change[];
}

/** Every ready comparison that makes sense here; none once as many choices are kept as there may be. */
export function readyComparisons(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  shelf: readonly Shelved[],
): readonly ReadyMade[] {
  const design = designOf(plan, mechanismId);
  if (design.mechanism.choices.length >= MOST.choices) return [];
  const made = [
    ...dcQuestions(plan, design, jobId, shelf),
    ...stepQuestions(plan, design, shelf),
    ...stageQuestions(plan, design, jobId),
  ];
  return made.flatMap(({ id, asks, name, changes }) =>
    changes
      ? [{ id, asks, changes: name === undefined ? changes : besideChanges(plan, mechanismId, changes, name) }]
      : [],
  );
}

interface Question {
  readonly id: string;
  readonly asks: string;
  /** Of the choice put beside; absent where the changes do that themselves. */
  readonly name?: string;
  /** Absent where there is nothing to compare with. */
  readonly changes: readonly Change[] | undefined;
}

function dcQuestions(plan: Plan, design: Design, jobId: string, shelf: readonly Shelved[]): readonly Question[] {
  if (design.choice.drive.kind !== 'dc') return [];
  const drive = dcDriveOf(design.choice);
  const other = drive.motors === 1 ? 2 : 1;
  const counted = motorCounts(plan, design.mechanism.id, false, false)[other - 1];
  const motor = plan.parts[drive.motor]?.part;
  const type = motor?.kind === 'motor' && motor.type === 'brushed' ? ('brushless' as const) : ('brushed' as const);
  const twin = bestOfType(plan, design, jobId, shelf, type);
  const faster = fasterWinding(plan, design, shelf);
  return [
    {
      id: 'count',
      asks: drive.motors === 1 ? 'One or two motors?' : `${drive.motors} motors or one?`,
      name: other === 1 ? 'one motor' : 'two motors',
      changes: counted?.changes,
    },
    { id: 'type', asks: 'Brushed or brushless?', name: twin?.name ?? type, changes: twin?.changes },
    {
      id: 'winding',
      asks: 'Slow winding direct, or fast winding geared?',
      name: 'fast winding, geared down',
      changes: faster,
    },
  ];
}

/** The best pair of the other type by the first school's weights. */
function bestOfType(
  plan: Plan,
  { mechanism }: Design,
  jobId: string,
  shelf: readonly Shelved[],
  type: 'brushed' | 'brushless',
): CandidateScore | undefined {
  const { weights } = WEIGHT_SETS[0]!;
  const scored = scoreCard(plan, mechanism.id, jobId, candidatesFor(plan, mechanism.id, jobId, shelf));
  const value = ({ scores }: CandidateScore) =>
    Object.entries(scores).reduce(
      (sum, [factor, score]) => sum + score * (weights[factor as keyof typeof weights] ?? 0),
      0,
    );
  return scored.filter((one) => one.type === type && one.changes.length > 0).sort((a, b) => value(b) - value(a))[0];
}

/** The same can with half the turns, geared so that it comes to the same share of its speed. */
function fasterWinding(plan: Plan, design: Design, shelf: readonly Shelved[]): readonly Change[] | undefined {
  const part = plan.parts[dcDriveOf(design.choice).motor]?.part;
  const constants = part && constantsOf(part);
  if (!constants || !(rewound(constants, 0.5).resistance > 0)) return undefined;
  const variant = windingVariants(plan, design.mechanism.id, shelf, true).find(({ id }) => id === 'turns-0.5');
  return variant && variant.changes.length > 0 ? variant.changes : undefined;
}

function stepQuestions(plan: Plan, { mechanism, choice }: Design, shelf: readonly Shelved[]): readonly Question[] {
  const { drive } = choice;
  if (drive.kind !== 'step') return [];
  const kind = plan.parts[drive.motor]?.part.kind;
  const other = kind === 'stepper' ? ('step-servo' as const) : ('step' as const);
  const asks = 'Stepper direct, or step servo geared down?';
  try {
    return [{ id: 'step', asks, changes: proposeBeside(plan, mechanism.id, other, shelf) }];
  } catch {
    // The shelf has none: there is nothing to compare with.
    return [];
  }
}

/** The last chain or belt of the train as the other of the two, the smallest that holds. */
function stageQuestions(plan: Plan, { mechanism, choice, choiceAt }: Design, jobId: string): readonly Question[] {
  const index = choice.stages.findLastIndex(({ kind }) => kind === 'chain' || kind === 'belt');
  const stage = choice.stages[index];
  if (!stage || countOf(choice.drive) === 0) return [];
  const wanted: Stage['kind'] = stage.kind === 'chain' ? 'belt' : 'chain';
  const ways = stageWays(plan, mechanism.id, jobId, stage.id).filter(({ stage: { kind } }) => kind === wanted);
  const way = ways.find(({ margin }) => margin >= 1) ?? ways.at(-1);
  return [
    {
      id: 'chain-or-belt',
      asks: 'Chain, or a wide belt?',
      name: way?.name ?? wanted,
      changes: way && [{ at: [...choiceAt, 'stages', index], to: way.stage }],
    },
  ];
}
