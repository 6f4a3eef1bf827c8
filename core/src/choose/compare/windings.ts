import { digits } from '../../plan/words/show.js';
import { rewound } from '../../models/motor/rewound.js';
import type { MotorConstants } from '../../models/motor/constants.js';
import { motorConstant } from '../../models/motor/constants.js';
import type { MotorPart } from '../../plan/document/part.js';
import { dcDriveOf, type Plan } from '../../plan/document/plan.js';
import { constantsOf } from '../../judge/sizing/constantsOf.js';
import type { Shelved } from '../../judge/sizing/propose.js';
import { designOf, type Design } from './place.js';
import { motorChanges } from './motorChanges.js';
import { rewoundPart } from './rewoundPart.js';
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
 * The same can in other windings, and bigger cans of the shelf: each with the reduction as it is, or geared anew as suits it
 * over all jobs.
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
  const gear = regear ? ('over all jobs' as const) : undefined;
  const same = TURNS.map((turns): Variant => {
    const kv = kvText(rewound(constants, turns));
    if (turns === 1) return { id: 'turns-1', label: `as it is, ${kv}`, changes: [] };
    const label = `${turns} × the turns, ${kv}`;
    return {
      id: `turns-${turns}`,
      label,
      changes: motorChanges(design, rewoundPart(part, constants, turns, label)),
      gear,
    };
  });
  const rejoined = part.joined ? [rejoinedVariant(design, part, part.joined, constants, gear)] : [];
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
    .map(({ other }): Variant => ({
      id: `can-${other.name}`,
      label: `bigger can: ${other.name}`,
      changes: motorChanges(design, other),
      gear,
    }));
  return [...same, ...rejoined, ...bigger];
}

const kvText = ({ backEmfConstant }: MotorConstants): string =>
  `${digits((1 / backEmfConstant) * (30 / Math.PI))} rpm/V`;

/**
 * The three phases of the same coils joined the other way: in delta each sees all the volts, as if it had 1/√3 of the turns.
 * Only a winding whose six ends come out can be joined again.
 */
function rejoinedVariant(
  design: Design,
  part: MotorPart,
  joined: 'star' | 'delta',
  constants: MotorConstants,
  gear: Variant['gear'],
): Variant {
  const other = joined === 'star' ? 'delta' : 'star';
  const turns = joined === 'star' ? 1 / Math.sqrt(3) : Math.sqrt(3);
  const label = `joined in ${other}, ${kvText(rewound(constants, turns))}`;
  const motor: MotorPart = { ...rewoundPart(part, constants, turns, `in ${other}`), joined: other };
  return { id: `joined-${other}`, label, changes: motorChanges(design, motor), gear };
}
