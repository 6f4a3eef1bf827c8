import { freshId } from '../../plan/document/freshId.js';
import { digits } from '../../plan/words/show.js';
import { freeSpeedAt, peakPower } from '../../models/motor/peaks.js';
import { CELLS, cellsOf } from '../../models/pack/cells.js';
import type { ControllerPart, MotorPart, Part } from '../../plan/document/part.js';
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
 * one stage for the speed. Throws where the shelf has no motor at all for this pack.
 */
export function proposeDc(plan: Plan, wish: Wish, wished: WishPlan, shelf: readonly Shelved[]): Proposal {
  const pack = packOf(plan);
  const volts = cellsOf(pack) * CELLS[pack.chemistry].nominal;
  const full = cellsOf(pack) * CELLS[pack.chemistry].full;
  const { motors } = wished;

  const motor = pickMotor(shelf, volts, wished.power / TRAIN_EFFICIENCY / motors);
  const controller = pickController(shelf, motor.part, full);
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

const ratedFor = (part: MotorPart, volts: number): boolean => {
  const rated = part.data.form === 'sheet' ? part.data.ratedVoltage?.si : undefined;
  return rated !== undefined && volts / rated > 0.7 && volts / rated < 1.6;
};

function pickMotor(shelf: readonly Shelved[], volts: number, power: number): Shelved & { part: MotorPart } {
  const able = shelf
    .filter(
      (item): item is Shelved & { part: MotorPart } =>
        item.part.kind === 'motor' && item.part.type === 'brushed' && ratedFor(item.part, volts),
    )
    .flatMap((item) => {
      const constants = constantsOf(item.part);
      return constants ? [{ item, power: WORKING_SHARE * peakPower(constants, volts) }] : [];
    })
    .sort((a, b) => a.power - b.power);
  const chosen = able.find((candidate) => candidate.power >= power) ?? able.at(-1);
  if (!chosen) throw new Error(`the shelf has no brushed motor rated near ${digits(volts)} V`);
  return chosen.item;
}

function pickController(shelf: readonly Shelved[], motor: Part, full: number): Shelved & { part: ControllerPart } {
  const stall = motor.kind === 'motor' && motor.data.form === 'sheet' ? (motor.data.stallCurrent?.si ?? 0) : 0;
  const able = shelf
    .filter(
      (item): item is Shelved & { part: ControllerPart } =>
        item.part.kind === 'controller' &&
        item.part.drives.includes('brushed') &&
        item.part.supplyLimit !== undefined &&
        (item.part.highestVoltage?.si ?? 0) >= full &&
        (item.part.lowestVoltage?.si ?? Infinity) < 0.7 * full,
    )
    .sort((a, b) => a.part.supplyLimit!.si - b.part.supplyLimit!.si);
  const chosen = able.find((item) => item.part.supplyLimit!.si >= stall / 3) ?? able.at(-1);
  if (!chosen) throw new Error(`the shelf has no controller for ${digits(full)} V`);
  return chosen;
}
