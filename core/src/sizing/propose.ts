import { digits } from '../format/show.js';
import { GRAVITY } from '../load/gravity.js';
import { motorFromKv } from '../motor/fromKv.js';
import { motorFromSheet } from '../motor/fromSheet.js';
import { freeSpeedAt, peakPower } from '../motor/peaks.js';
import type { MotorConstants } from '../motor/constants.js';
import { CELLS } from '../pack/cells.js';
import type { Change } from '../plan/change.js';
import type { Job } from '../plan/job.js';
import type { BreakerPart, ControllerPart, MotorPart, PackPart, Part } from '../plan/part.js';
import type { Mechanism, MechanismKind, Output, Plan } from '../plan/plan.js';
import type { Quantity } from '../plan/quantity.js';
import { quantityOf } from '../plan/quantityOf.js';
import { thinnestWire } from '../protection/wire.js';

/** The numbers that decide, as the person gave them. */
export interface Wish {
  readonly kind: MechanismKind;
  readonly name: string;
  readonly mass: Quantity;
  readonly distance: Quantity;
  readonly time: Quantity;
  readonly every?: Quantity;
  /** Drive base: what it must push with. */
  readonly push?: Quantity;
}

export interface Shelved {
  readonly id: string;
  readonly revision: number;
  readonly part: Part;
}

/** Share of a motor's peak power that a sound design works at. */
const WORKING_SHARE = 0.4;
const TRAIN_EFFICIENCY = 0.8;
/** Share of its free speed a motor is happy at while working. */
const HAPPY_SPEED = 0.65;
const HEAVY = 8;

/**
 * A first path for a wish: the smallest motor of the shelf that has the power, a controller and a
 * breaker to suit, one stage for the speed, all marked typical, so that the gauge can answer at once.
 * Throws where the shelf has no motor at all for this pack.
 */
export function proposeMechanism(
  plan: Plan,
  wish: Wish,
  shelf: readonly Shelved[],
): { readonly id: string; readonly changes: readonly Change[] } {
  const pack = packOf(plan);
  const volts = pack.series * CELLS[pack.chemistry].nominal;
  const full = pack.series * CELLS[pack.chemistry].full;
  const wheels = wish.kind === 'drive-base';
  const heavy = wish.mass.si > HEAVY;
  const motors = wheels ? (heavy ? 4 : 2) : 1;
  const radius = wheels ? (heavy ? 0.075 : 0.04) : heavy ? 0.022 : 0.012;
  const speed = wish.distance.si / wish.time.si;
  const topSpeed = wheels ? 1.5 * speed : speed;

  const motor = pickMotor(shelf, volts, powerOf(wish, speed) / TRAIN_EFFICIENCY / motors);
  const controller = pickController(shelf, motor.part, full);
  const total = Number(
    ((HAPPY_SPEED * freeSpeedAt(constantsOf(motor.part)!, volts) * radius) / topSpeed).toPrecision(2),
  );
  const breaker = pickBreaker(shelf, controller.part.supplyLimit?.si ?? 20);

  const id = freshName(
    plan.mechanisms.map((mechanism) => mechanism.id),
    wish.kind,
  );
  const nodeId = `branch-${id}`;
  const parts = {
    motor: freshName(Object.keys(plan.parts), 'motor'),
    controller: freshName(Object.keys(plan.parts), 'controller'),
    breaker: freshName(Object.keys(plan.parts), 'breaker'),
  };
  const parent = plan.supply.find((node) => node.kind === 'main') ?? plan.supply.find((node) => node.kind === 'pack')!;
  const gauge = thinnestWire(breaker.part.rated?.si ?? 0) ?? 12;
  const mechanism: Mechanism = {
    id,
    name: wish.name,
    kind: wish.kind,
    jobs: jobsOf(wish),
    current: 'a',
    choices: [
      {
        id: 'a',
        name: 'first idea',
        drive: { kind: 'dc', motor: parts.motor, motors, controller: parts.controller, node: nodeId },
        stages: [{ id: 's1', kind: 'ratio', ratio: quantityOf(total, `${digits(total)}:1`, 'typical') }],
        tuning: 's1',
        output: outputOf(wish, radius),
      },
    ],
  };
  const copy = ({ id: shelfId, revision, part }: Shelved) => ({ part, shelfId, shelfRevision: revision });
  return {
    id,
    changes: [
      { at: ['parts', parts.motor], to: copy(motor) },
      { at: ['parts', parts.controller], to: copy(controller) },
      { at: ['parts', parts.breaker], to: copy(breaker) },
      {
        at: ['supply', plan.supply.length],
        to: {
          id: nodeId,
          kind: 'branch',
          parent: parent.id,
          breaker: parts.breaker,
          wire: { gauge: quantityOf(gauge, `${gauge} AWG`, 'typical') },
        },
      },
      { at: ['mechanisms', plan.mechanisms.length], to: mechanism },
    ],
  };
}

function packOf(plan: Plan): PackPart {
  const node = plan.supply.find((candidate) => candidate.kind === 'pack');
  const part = node?.kind === 'pack' ? plan.parts[node.part]?.part : undefined;
  if (part?.kind !== 'pack') throw new Error('the plan has no pack');
  return part;
}

/** Shaft power the wish takes at its output, W. */
function powerOf({ kind, mass, distance, time }: Wish, speed: number): number {
  if (kind === 'lift') return mass.si * GRAVITY * speed;
  // Speeding up all the way and rolling: twice the mean speed at the end.
  return mass.si * ((2 * distance.si) / time.si ** 2 + 0.02 * GRAVITY) * speed;
}

function jobsOf(wish: Wish): readonly Job[] {
  const common = { time: wish.time, distance: wish.distance, ...(wish.every ? { every: wish.every } : {}) };
  if (wish.kind === 'lift') return [{ id: 'raise', kind: 'raise', name: 'Raise', mass: wish.mass, ...common }];
  const push = 0.4 * wish.mass.si * GRAVITY;
  const rounded = Number(push.toPrecision(2));
  return [
    { id: 'sprint', kind: 'sprint', name: 'Sprint', ...common },
    {
      id: 'push',
      kind: 'push',
      name: 'Push',
      push: wish.push ?? quantityOf(rounded, `${rounded} N`, 'typical'),
      time: quantityOf(3, '3 s', 'typical'),
      every: quantityOf(40, '40 s', 'typical'),
    },
  ];
}

function outputOf({ kind, mass }: Wish, radius: number): Output {
  const size = quantityOf(radius, `${digits(radius * 1000)} mm`, 'typical');
  return kind === 'lift' ? { kind: 'drum', radius: size, holder: 'nothing' } : { kind: 'wheels', radius: size, mass };
}

/** Constants of a motor part whose figures are all there. */
function constantsOf(part: Part): MotorConstants | undefined {
  if (part.kind !== 'motor') return undefined;
  const { data } = part;
  if (data.form === 'kv') {
    const { kv, resistance, freeCurrent } = data;
    return kv && resistance && freeCurrent
      ? motorFromKv({ kv: kv.si, resistance: resistance.si, freeCurrent: freeCurrent.si })
      : undefined;
  }
  const { ratedVoltage, freeSpeed, freeCurrent, stallTorque, stallCurrent } = data;
  if (!ratedVoltage || !freeSpeed || !freeCurrent || !stallTorque || !stallCurrent) return undefined;
  return motorFromSheet({
    ratedVoltage: ratedVoltage.si,
    freeSpeed: freeSpeed.si,
    freeCurrent: freeCurrent.si,
    stallTorque: stallTorque.si,
    stallCurrent: stallCurrent.si,
  });
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

function pickBreaker(shelf: readonly Shelved[], amperes: number): Shelved & { part: BreakerPart } {
  const able = shelf
    .filter(
      (item): item is Shelved & { part: BreakerPart } =>
        item.part.kind === 'breaker' && item.part.type === 'snap' && item.part.rated !== undefined,
    )
    .sort((a, b) => a.part.rated!.si - b.part.rated!.si);
  const chosen = able.find((item) => item.part.rated!.si >= amperes) ?? able.at(-1);
  if (!chosen) throw new Error('the shelf has no breaker');
  return chosen;
}

function freshName(taken: readonly string[], stem: string): string {
  let i = 1;
  while (taken.includes(`${stem}-${i}`)) i++;
  return `${stem}-${i}`;
}
