import type { FigureName } from '../figures/table.js';
import { currentChoice, partIdsOf, type Mechanism, type Plan, type SpreadPlan } from '../plan/plan.js';
import type { Quantity } from '../plan/quantity.js';
import type { Adjust } from '../resolve/resolvePath.js';

/** What differs from build to build. */
export const SPREAD_FACTORS = ['constants', 'friction', 'mass', 'charge', 'efficiency'] as const;
export type SpreadFactor = (typeof SPREAD_FACTORS)[number];

/** How a factor is named, and how to know it better. */
export const SPREAD_WORDS: Readonly<Record<SpreadFactor, { readonly name: string; readonly measure: string }>> = {
  constants: { name: 'motor constants', measure: 'a free run: volts, speed and amperes' },
  friction: { name: 'friction', measure: 'a free run and a coast-down of the whole mechanism' },
  mass: { name: 'masses', measure: 'a scale under the load' },
  charge: { name: 'charge of the pack', measure: 'the pack’s rest voltage before each match' },
  efficiency: { name: 'losses of the train', measure: 'amperes while lifting a known weight steadily' },
};

/** The figures a factor moves, and which way: constants are stiffer where torque is greater and speed lower. */
const MASSES: readonly FigureName[] = [
  'job.mass',
  'job.payload',
  'job.pieceMass',
  'job.conveyMass',
  'job.gripMass',
  'output.mass',
  'output.armMass',
  'output.flywheelInertia',
  'output.tableInertia',
  'job.legMass',
];
const FRICTIONS: readonly FigureName[] = [
  'motor.freeCurrent',
  'motor.referenceFreeCurrent',
  'job.friction',
  'output.armFriction',
  'output.flywheelFriction',
  'output.tableFriction',
  'output.rollingResistance',
  'stage.friction',
];
const MORE_TORQUE: readonly FigureName[] = [
  'motor.stallTorque',
  'stepper.holdingTorque',
  'stepServo.ratedTorque',
  'stepServo.peakTorque',
  'servo.stallTorque',
  'servo.stallForce',
];
const LESS_SPEED: readonly FigureName[] = [
  'motor.freeSpeed',
  'motor.kv',
  'motor.referenceKv',
  'servo.speed',
  'servo.velocity',
];
const LOSSES: readonly FigureName[] = ['stage.efficiency', 'output.efficiency'];

type Way = 'mass' | 'friction' | 'torque' | 'speed' | 'loss' | 'charge';
const all = (names: readonly FigureName[], way: Way) => names.map((name): [FigureName, Way] => [name, way]);
const MOVES: ReadonlyMap<FigureName, Way> = new Map([
  ...all(MASSES, 'mass'),
  ...all(FRICTIONS, 'friction'),
  ...all(MORE_TORQUE, 'torque'),
  ...all(LESS_SPEED, 'speed'),
  ...all(LOSSES, 'loss'),
  ...all(['pack.charge'], 'charge'),
]);

/** How far each factor goes: ± of the middle; charge between two states. */
export interface SpreadAmounts {
  readonly constants: number;
  readonly friction: number;
  readonly mass: number;
  readonly leastCharge: number;
  readonly mostCharge: number;
  readonly efficiency: number;
}

/** What real builds vary by, where nothing else is chosen. */
export const TYPICAL_SPREAD: SpreadAmounts = {
  constants: 0.07,
  friction: 0.3,
  mass: 0.05,
  leastCharge: 0.7,
  mostCharge: 1,
  efficiency: 0.04,
};

/**
 * The amounts a plan chooses, typical where it does not.
 *
 * @example spreadAmounts({}).constants //=> 0.07
 */
export function spreadAmounts({ spread = {} }: Pick<Plan, 'spread'>): SpreadAmounts {
  const read = (key: keyof SpreadPlan): number => (spread[key] as Quantity | undefined)?.si ?? TYPICAL_SPREAD[key];
  return {
    constants: read('constants'),
    friction: read('friction'),
    mass: read('mass'),
    leastCharge: Math.min(read('leastCharge'), read('mostCharge')),
    mostCharge: Math.max(read('leastCharge'), read('mostCharge')),
    efficiency: read('efficiency'),
  };
}

/** A second-hand part's magnets may be weak and its friction grown: so many times as far from the sheet, typical. */
export const SECOND_HAND_SPREAD = 2;
/** A rotor wound by hand is not the next one: so many times as far, typical. */
export const HAND_WOUND_SPREAD = 1.5;

/**
 * The amounts for one mechanism: wider where what turns it is second-hand or wound by hand.
 *
 * @example spreadAmountsFor(plan, mast).constants //=> 0.07
 */
export function spreadAmountsFor(plan: Plan, mechanism: Mechanism): SpreadAmounts {
  const amounts = spreadAmounts(plan);
  const [first] = partIdsOf(currentChoice(mechanism).drive);
  const part = plan.parts[first ?? '']?.part;
  const byHand = part?.kind === 'motor' && part.winding === 'hand' ? HAND_WOUND_SPREAD : 1;
  const used = part?.secondHand ? SECOND_HAND_SPREAD : 1;
  return {
    ...amounts,
    constants: Math.min(MOST_APART, amounts.constants * byHand * used),
    friction: Math.min(MOST_APART, amounts.friction * used),
  };
}

/** Beyond this a motor is none any more. */
const MOST_APART = 0.6;

/** One build: where in its range each factor lies, −1…1. */
export type Build = Readonly<Record<SpreadFactor, number>>;

/**
 * What a build does to each figure. `stages` is how many share the train's losses.
 *
 * @example adjustFor({ constants: 1, friction: 0, mass: 0, charge: 0, efficiency: 0 }, spreadAmounts({}), 2)('motor.stallTorque', 2) //=> 2.14
 */
export function adjustFor(build: Build, amounts: SpreadAmounts, stages: number): Adjust {
  const scaled = (factor: 'constants' | 'friction' | 'mass') => 1 + build[factor] * amounts[factor];
  const [torque, friction, mass] = [scaled('constants'), scaled('friction'), scaled('mass')];
  const points = (build.efficiency * amounts.efficiency) / Math.max(1, stages);
  const charge = amounts.leastCharge + ((build.charge + 1) / 2) * (amounts.mostCharge - amounts.leastCharge);
  return (name, value) => {
    switch (MOVES.get(name)) {
      case undefined:
        return value;
      case 'mass':
        return value * mass;
      case 'friction':
        return value * friction;
      case 'torque':
        return value * torque;
      case 'speed':
        return value / torque;
      case 'loss':
        return Math.min(1, Math.max(0.02, value + points));
      case 'charge':
        return charge;
    }
  };
}
