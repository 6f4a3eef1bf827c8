import type { Conclusion } from '../trials/conclusion.js';
import type { FoundKey } from '../trials/found.js';
import type { CorrectedFigure } from '../trials/trial.js';
import { putPart } from '../../path/edits/parts.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import { choiceAt } from '../../plan/document/place.js';
import { currentChoice, partIdsOf, type Mechanism, type Plan } from '../../plan/document/plan.js';
import { correctMechanism } from './correctMechanism.js';
import { correctPart } from './correctPart.js';
import type { TrialSource } from './correction.js';
import type { KindFigure } from './specimens.js';

/** What taking a trial into a plan does. */
export interface TakenIn {
  readonly changes: readonly Change[];
  readonly figures: readonly CorrectedFigure[];
  readonly after: Plan;
  /** The part whose mechanisms are judged again; absent where it is one mechanism's own. */
  readonly partKey?: string;
  /** The part or mechanism that has it then, by its name. */
  readonly into: string;
}

/**
 * Mechanisms that a part turns, in their choices in force: a specimen may be given to one of them alone.
 *
 * @example turnedBy(plan, 'motor-1').map(({ id }) => id) //=> ['drive', 'lift', 'climb']
 */
export const turnedBy = ({ mechanisms }: Pick<Plan, 'mechanisms'>, partKey: string): readonly Mechanism[] =>
  mechanisms.filter((mechanism) => partIdsOf(currentChoice(mechanism).drive).includes(partKey));

/**
 * A trial taken into the plan it was done on: its part everywhere it is used, or as a part of its own in one mechanism
 * alone; or its mechanism. `undefined` where the plan has neither any more, or the trial finds nothing they have a figure for.
 *
 * @param alone id of the one mechanism that gets this very specimen
 */
export function takeTrial(
  plan: Plan,
  source: TrialSource,
  conclusion: Conclusion,
  alone?: string,
): TakenIn | undefined {
  const { partKey, mechanismId, name } = source.trial.subject;
  if (mechanismId !== undefined) {
    if (!plan.mechanisms.some(({ id }) => id === mechanismId)) return undefined;
    const corrected = correctMechanism(plan, mechanismId, conclusion, source);
    return corrected && { ...corrected, after: applyChanges(plan, corrected.changes), into: name };
  }
  return partKey === undefined ? undefined : takePart(plan, partKey, source, conclusion, alone);
}

function takePart(
  plan: Plan,
  partKey: string,
  source: TrialSource,
  conclusion: Conclusion,
  alone: string | undefined,
): TakenIn | undefined {
  const copy = plan.parts[partKey];
  const corrected = copy && correctPart(copy.part, conclusion, source);
  if (!corrected) return undefined;
  const { part, figures } = corrected;
  const one = turnedBy(plan, partKey).find(({ id }) => id === alone);
  if (!one) {
    const changes = [{ at: ['parts', partKey, 'part'], to: part }];
    return { changes, figures, after: applyChanges(plan, changes), partKey, into: part.name };
  }
  const name = [part.name, source.trial.subject.specimen].filter(Boolean).join(', ');
  const place = currentChoice(one).drive.kind === 'servo' ? 'servo' : 'motor';
  const changes = putPart(plan, [...choiceAt(plan, one), 'drive', place], { part: { ...part, name } });
  return { changes, figures, after: applyChanges(plan, changes), into: name };
}

/**
 * A kind of part by all of its specimens: the means of what they measured, and how far they scatter as the errors.
 *
 * @returns as `takeTrial`; `undefined` too where no figure has two specimens
 */
export function takeKind(
  plan: Plan,
  source: TrialSource,
  conclusion: Conclusion,
  kinds: ReadonlyMap<FoundKey, KindFigure>,
): TakenIn | undefined {
  const { partKey } = source.trial.subject;
  const [first] = kinds.values();
  if (partKey === undefined || !first) return undefined;
  const figures = conclusion.figures.map((figure) => {
    const kind = kinds.get(figure.key);
    return kind ? { ...figure, measured: { value: kind.value, error: kind.error } } : figure;
  });
  const specimen = `mean of ${first.specimens}`;
  const { trial } = source;
  const taken = takePart(
    plan,
    partKey,
    { ...source, trial: { ...trial, subject: { ...trial.subject, specimen } } },
    { ...conclusion, figures },
    undefined,
  );
  return taken && { ...taken, into: `${taken.into}, ${specimen}` };
}
