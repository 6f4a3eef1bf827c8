import { mechanismById, choiceAt } from '../../plan/document/place.js';
import { applyChanges } from '../../plan/document/change.js';
import { currentChoice, type Plan } from '../../plan/document/plan.js';
import type { Part } from '../../plan/document/part.js';
import type { Quantity } from '../../plan/document/quantity.js';
import type { Stage } from '../../plan/document/stage.js';
import type { Shelved } from '../../judge/sizing/proposal.js';
import { searchTrains, type TrainFound } from '../../judge/sizing/trains/search.js';
import { stagesOfTrain, trainWords } from '../../judge/sizing/trains/stagesOf.js';
import { torqueToCarry } from '../../judge/sizing/trains/torqueToCarry.js';
import type { PairKind, Stock } from '../../judge/sizing/trains/wheelPair.js';
import { commonOn, usedElsewhere } from '../../plan/document/stockOf.js';
import { Fallen, type FallenGroup } from './fallen.js';
import { judgeChanges, type Found } from './found.js';
import { overCeiling, type ShortlistQuery } from './query.js';

/** What a total is made of, and how near it must come. */
export interface TeethQuery {
  readonly kinds: readonly PairKind[];
  readonly mostStages: 1 | 2 | 3;
  readonly leastTeeth: number;
  /** Share by which the total may be missed. */
  readonly within: number;
  /** Whether the wheel on the motor may be bored out or bushed to its shaft; else only what is sold with that bore. */
  readonly boring: boolean;
}

export interface InTeeth {
  /** The same design with trains off the shelf, those that hold, the nearest to the total first. */
  readonly designs: readonly Found[];
  /** Trains that make the total but would not carry the load, and those that fell out when judged. */
  readonly fallen: readonly FallenGroup[];
  readonly done: boolean;
}

/** So many trains of a design are judged in full. */
const JUDGED = 24;
/** So many that hold are enough to choose among. */
const ENOUGH = 4;

/**
 * Makes a design that was found with an open ratio in teeth that are sold: trains off the shelf near its total, each
 * judged in full as it would stand in the mechanism. Yields between two.
 */
export function* inTeeth(
  plan: Plan,
  query: ShortlistQuery,
  found: Found,
  shelf: readonly Shelved[],
  teeth: TeethQuery,
): Generator<InTeeth, InTeeth> {
  const changed = applyChanges(plan, found.changes);
  const mechanism = mechanismById(changed, query.mechanismId);
  const choice = currentChoice(mechanism);
  const [open, ...kept] = choice.stages;
  const fallen = new Fallen();
  const designs: Found[] = [];
  if (open?.kind !== 'ratio') return { designs, fallen: [], done: true };

  const wanted = open.ratio!.si;
  const stock: readonly Stock[] = shelf.flatMap(({ id, part }) => (part.kind === 'series' ? [{ id, part }] : []));
  const carry = torqueToCarry(changed, mechanism, 1);
  const search = searchTrains(stock, { ...nearTo(wanted, teeth), carry, motors: found.motors });
  let latest = search.next();
  while (!latest.done) {
    yield { designs, fallen: fallen.groups(), done: false };
    latest = search.next();
  }
  if (latest.value.tooWeak > 0) fallen.add('trains too weak for the load', found.key, latest.value.tooWeak);

  const common = commonOn(shelf);
  const used = usedElsewhere(plan, query.mechanismId);
  const at = choiceAt(changed, mechanism);
  const { drive } = choice;
  const shaft = drive.kind === 'servo' ? undefined : shaftOf(changed.parts[drive.motor]?.part);
  for (const train of latest.value.trains) {
    const sold = stagesOfTrain(train);
    const stages = renamed(
      teeth.boring ? boredToShaft(sold, shaft) : sold,
      kept.map(({ id }) => id),
    );
    const changes = [
      { at: [...at, 'stages'], to: [...stages, ...kept] },
      { at: [...at, 'tuning'], to: stages.at(-1)!.id },
    ];
    const option = { ...found, changes: found.changes };
    const total = (found.total / wanted) * train.total;
    const answer = judgeChanges({ plan: changed, mechanism, option }, changes, total, query.jobId, common, used);
    const fell = 'fell' in answer ? answer.fell : overCeiling(answer.holds.figures, query);
    if (fell !== undefined) fallen.add(fell, found.key, 1);
    else if ('holds' in answer) designs.push({ ...answer.holds, key: keyOf(found, train), train: trainWords(train) });
    if (designs.length >= ENOUGH) break;
    yield { designs: [...designs], fallen: fallen.groups(), done: false };
  }
  return { designs, fallen: fallen.groups(), done: true };
}

/** Trains within so much of a total, the nearest first. */
const nearTo = (wanted: number, { within, kinds, mostStages, leastTeeth }: TeethQuery) =>
  ({
    from: wanted * (1 - within),
    to: wanted * (1 + within),
    wanted,
    kinds,
    mostStages,
    leastTeeth,
    sense: 'either',
    by: 'nearest',
    most: JUDGED,
  }) as const;

const keyOf = (found: Found, train: TrainFound): string => `${found.key}\n${trainWords(train)}`;

/** A stage that stays keeps its id: the new ones get others. */
const renamed = <S extends { readonly id: string }>(stages: readonly S[], taken: readonly string[]): readonly S[] =>
  stages.map((stage) => (taken.includes(stage.id) ? { ...stage, id: `${stage.id}-new` } : stage));

const shaftOf = (part: Part | undefined): Quantity | undefined =>
  part && 'shaftDiameter' in part ? part.shaftDiameter : undefined;

/** The first wheel with the bore it takes, and a word on how it comes by it. */
function boredToShaft(stages: readonly Stage[], shaft: Quantity | undefined): readonly Stage[] {
  const [first, ...rest] = stages;
  if (!first?.bore || !shaft || Math.abs(first.bore.si - shaft.si) < 1e-5) return stages;
  const how = first.bore.si < shaft.si ? 'bored out from' : 'bushed from';
  const bore: Quantity = { ...shaft, source: 'estimated', from: `${how} ${first.bore.as}` };
  return [{ ...first, bore }, ...rest];
}
