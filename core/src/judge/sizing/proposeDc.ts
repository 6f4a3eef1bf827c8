import { freshId } from '../../plan/document/freshId.js';
import { digits } from '../../plan/words/show.js';
import { freeSpeedAt, peakPower } from '../../models/motor/peaks.js';
import { fullVoltsOf, nominalVoltsOf } from '../../models/pack/cells.js';
import type { ControllerPart, MotorPart } from '../../plan/document/part.js';
import type { Mechanism, Plan } from '../../plan/document/plan.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import type { WishPlan } from '../../path/job/wish.js';
import { constantsOf } from './constantsOf.js';
import { copyOf, newBranch, packOf, type Proposal, type Shelved, type Wish } from './proposal.js';

/** Share of a motor's peak power that a sound design works at. */
const WORKING_SHARE = 0.4;
const TRAIN_EFFICIENCY = 0.8;
/** Share of its free speed a motor is happy at while working. */
const HAPPY_SPEED = 0.65;

/**
 * Plain motors for a wish: the smallest of the shelf that has the power, a controller and a breaker to suit,
 * one stage for the speed. Brushless ones where no brushed one stands the pack. Throws where the shelf has neither.
 */
export function proposeDc(plan: Plan, wish: Wish, wished: WishPlan, shelf: readonly Shelved[]): Proposal {
  const pack = packOf(plan);
  const volts = nominalVoltsOf(pack);
  const { motors } = wished;
  const power = wished.power / TRAIN_EFFICIENCY / motors;
  const { motor, controller } = pickPair(shelf, { volts, full: fullVoltsOf(pack) }, power);
  const total = Number(
    ((HAPPY_SPEED * freeSpeedAt(constantsOf(motor.part)!, volts)) / wished.shaftSpeed).toPrecision(2),
  );
  const id = freshId(plan, wish.kind);
  const branch = newBranch(plan, wish.kind, controller.part.supplyLimit?.si ?? 20, shelf);
  const parts = {
    motor: freshId(plan, 'motor'),
    controller: freshId(plan, 'controller'),
  };
  const mechanism: Mechanism = {
    id,
    name: wish.name,
    kind: wish.kind,
    jobs: wished.jobs,
    current: 'a',
    choices: [
      {
        id: 'a',
        name: 'first idea',
        drive: { kind: 'dc', motor: parts.motor, motors, controller: parts.controller, node: branch.node },
        stages: [
          { id: 's1', kind: 'ratio', ratio: quantityOf(total, `${digits(total)}:1`, 'typical') },
          ...wished.behind,
        ],
        tuning: 's1',
        output: wished.output,
      },
    ],
  };
  return {
    id,
    changes: [
      { at: ['parts', parts.motor], to: copyOf(motor) },
      { at: ['parts', parts.controller], to: copyOf(controller) },
      ...branch.changes,
      { at: ['mechanisms', plan.mechanisms.length], to: mechanism },
    ],
  };
}

interface Pair {
  readonly motor: Shelved & { readonly part: MotorPart };
  readonly controller: Shelved & { readonly part: ControllerPart };
}

/** A pack's volts as its label says them, and fresh off the charger. */
interface Volts {
  readonly volts: number;
  readonly full: number;
}

/** The smallest motor with the power that has a controller for this pack; the strongest where none has the power. */
function pickPair(shelf: readonly Shelved[], pack: Volts, power: number): Pair {
  for (const type of ['brushed', 'brushless'] as const) {
    const able = motorsFor(shelf, type, pack).flatMap(({ motor, gives }) => {
      const controller = pickController(shelf, motor.part, pack.full);
      return controller ? [{ motor, controller, gives }] : [];
    });
    const chosen = able.find(({ gives }) => gives >= power) ?? able.at(-1);
    if (chosen) return chosen;
  }
  throw new Error(
    `no motor of the shelf stands ${digits(pack.full)} V together with a controller: put one on the shelf, or choose another machine`,
  );
}

/** A motor is near the volts of its sheet; a brushless one that has a Kv in their place stands what it says, or any. */
function standsPack(part: MotorPart, { volts, full }: Volts): boolean {
  const rated = part.data.form === 'sheet' ? part.data.ratedVoltage?.si : undefined;
  if (rated === undefined) return part.type === 'brushless' && (part.highestVoltage?.si ?? Infinity) >= full;
  return volts / rated > 0.7 && volts / rated < 1.6;
}

/** Motors of the shelf that stand a pack, with the power each works at in a sound design, the weakest first. */
function motorsFor(shelf: readonly Shelved[], type: MotorPart['type'], pack: Volts) {
  return shelf
    .filter(
      (item): item is Pair['motor'] =>
        item.part.kind === 'motor' && item.part.type === type && standsPack(item.part, pack),
    )
    .flatMap((motor) => {
      const constants = constantsOf(motor.part);
      return constants ? [{ motor, gives: WORKING_SHARE * peakPower(constants, pack.volts) }] : [];
    })
    .sort((a, b) => a.gives - b.gives);
}

/** The smallest controller that drives a motor on a pack; `undefined` where there is none. */
function pickController(shelf: readonly Shelved[], motor: MotorPart, full: number): Pair['controller'] | undefined {
  const stall = motor.data.form === 'sheet' ? (motor.data.stallCurrent?.si ?? 0) : 0;
  const able = shelf
    .filter(
      (item): item is Pair['controller'] =>
        item.part.kind === 'controller' &&
        item.part.drives.includes(motor.type) &&
        item.part.supplyLimit !== undefined &&
        (item.part.highestVoltage?.si ?? 0) >= full &&
        (item.part.lowestVoltage?.si ?? Infinity) < 0.7 * full,
    )
    .sort((a, b) => a.part.supplyLimit!.si - b.part.supplyLimit!.si);
  return able.find((item) => item.part.supplyLimit!.si >= stall / 3) ?? able.at(-1);
}
