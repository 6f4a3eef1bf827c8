import { mechanismById } from '../../plan/document/place.js';
import { digits } from '../../plan/words/show.js';
import { rewound } from '../../models/motor/rewound.js';
import type { MotorConstants } from '../../models/motor/constants.js';
import { motorConstant } from '../../models/motor/constants.js';
import type { Change } from '../../plan/document/change.js';
import type { MotorPart } from '../../plan/document/part.js';
import { dcDriveOf, type Plan } from '../../plan/document/plan.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import { constantsOf } from '../../judge/sizing/constantsOf.js';
import { sheetData } from '../../judge/sizing/sheetData.js';
import type { Shelved } from '../../judge/sizing/propose.js';
import { tuneTotal } from '../../judge/sizing/tuneTotal.js';
import { applyChanges } from '../../plan/document/change.js';
import { freshId } from '../../plan/document/freshId.js';
import { designOf, type Design } from './place.js';
import type { Variant } from './variant.js';

/** A winding of a frame beside others: what changes, and what does not. */
export interface Winding {
  readonly turns: number;
  readonly kv: number;
  readonly resistance: number;
  readonly motorConstant: number;
  /** Torque for 50 W of copper loss, N·m: the same for all. */
  readonly torqueAt50W: number;
}

const TURNS = [0.5, 0.71, 1, 1.41, 2] as const;
const LOSS = 50;
const MOST_CANS = 3;
/** What a motor is written down at where it says none. */
const USUAL_VOLTS = 12;

/**
 * All windings of a motor's own frame.
 *
 * @example windingsOf(motor).length //=> 5
 */
export function windingsOf(motor: MotorConstants): readonly Winding[] {
  return TURNS.map((turns) => {
    const wound = rewound(motor, turns);
    return {
      turns,
      kv: 1 / wound.backEmfConstant,
      resistance: wound.resistance,
      motorConstant: motorConstant(wound),
      torqueAt50W: wound.torqueConstant * Math.sqrt(LOSS / wound.resistance),
    };
  });
}

/**
 * The same can in other windings, and bigger cans of the shelf, on this job: each with the reduction as it
 * is, or geared anew so that the motor comes to the same share of its speed.
 */
export function windingVariants(
  plan: Plan,
  mechanismId: string,
  shelf: readonly Shelved[],
  regear: boolean,
): readonly Variant[] {
  const design = designOf(plan, mechanismId);
  const part = plan.parts[dcDriveOf(design.choice).motor]?.part;
  const constants = part && constantsOf(part);
  if (part?.kind !== 'motor' || !constants) return [];
  const same = TURNS.map((turns): Variant => {
    const wound = rewound(constants, turns);
    const kv = digits((1 / wound.backEmfConstant) * (30 / Math.PI));
    const label = turns === 1 ? `as it is, ${kv} rpm/V` : `${turns} × the turns, ${kv} rpm/V`;
    const changes =
      turns === 1 ? [] : motorChanges(design, { ...part, data: sheetOf(wound, part), name: `${part.name}, ${label}` });
    return { id: `turns-${turns}`, label, changes: geared(design, changes, 1 / turns, regear) };
  });
  const rejoined = part.joined ? [rejoinedVariant(design, part, part.joined, constants, regear)] : [];
  const bigger = shelf
    .flatMap(({ part: other }) => {
      const known = other.kind === 'motor' && other.type === part.type ? constantsOf(other) : undefined;
      const heavier = (other.mass?.si ?? 0) > 1.1 * (part.mass?.si ?? Infinity);
      return other.kind === 'motor' && known && heavier && motorConstant(known) > 1.15 * motorConstant(constants)
        ? [{ other, known }]
        : [];
    })
    .sort((a, b) => motorConstant(a.known) - motorConstant(b.known))
    .slice(0, MOST_CANS)
    .map(({ other, known }): Variant => {
      const faster = constants.backEmfConstant / known.backEmfConstant;
      return {
        id: `can-${other.name}`,
        label: `bigger can: ${other.name}`,
        changes: geared(design, motorChanges(design, other), faster, regear),
      };
    });
  return [...same, ...rejoined, ...bigger];
}

/**
 * The three phases of the same coils joined the other way: in delta each sees all the volts, as if it had 1/√3 of the turns.
 * Only a winding whose six ends come out can be joined again.
 */
function rejoinedVariant(
  design: Design,
  part: MotorPart,
  joined: 'star' | 'delta',
  constants: MotorConstants,
  regear: boolean,
): Variant {
  const other = joined === 'star' ? 'delta' : 'star';
  const turns = joined === 'star' ? 1 / Math.sqrt(3) : Math.sqrt(3);
  const wound = rewound(constants, turns);
  const label = `joined in ${other}, ${digits((1 / wound.backEmfConstant) * (30 / Math.PI))} rpm/V`;
  const motor: MotorPart = { ...part, joined: other, data: sheetOf(wound, part), name: `${part.name}, in ${other}` };
  return { id: `joined-${other}`, label, changes: geared(design, motorChanges(design, motor), 1 / turns, regear) };
}

/** Gives this mechanism another motor; whatever else uses the old part keeps it. */
function motorChanges({ plan, choiceAt }: Design, part: MotorPart): readonly Change[] {
  const id = freshId(plan, 'motor');
  return [
    { at: ['parts', id], to: { part } },
    { at: [...choiceAt, 'drive', 'motor'], to: id },
  ];
}

function geared(design: Design, changes: readonly Change[], faster: number, regear: boolean): readonly Change[] {
  if (!regear || faster === 1) return changes;
  const plan = applyChanges(design.plan, changes);
  const mechanism = mechanismById(plan, design.mechanism.id);
  const path = resolvePath(plan, mechanism, mechanism.jobs[0]!.id);
  const change = tuneTotal(plan, mechanism, path, path.train.total * faster);
  return change ? [...changes, change] : changes;
}

/** A winding as the four numbers of a sheet, so that Kt and Ke keep what sets them apart. */
function sheetOf(motor: MotorConstants, { data }: MotorPart): MotorPart['data'] {
  return sheetData(motor, data.form === 'sheet' ? (data.ratedVoltage?.si ?? USUAL_VOLTS) : USUAL_VOLTS);
}
