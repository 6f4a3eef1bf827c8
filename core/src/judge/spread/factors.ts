import type { Figure } from '../../plan/figures/figure.js';
import type { FigureName } from '../../plan/figures/table.js';
import { currentChoice, partIdsOf, type Mechanism, type Plan, type SpreadPlan } from '../../plan/document/plan.js';
import type { Quantity } from '../../plan/document/quantity.js';
import type { Adjust } from '../../path/resolve/resolvePath.js';

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

/** The figures a factor moves (causes of a go that was not as predicted move them too), and which way: constants are stiffer where torque is greater and speed lower. */
export const MASSES: readonly FigureName[] = [
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
export const FRICTIONS: readonly FigureName[] = [
  'motor.freeCurrent',
  'motor.referenceFreeCurrent',
  'job.friction',
  'output.armFriction',
  'output.flywheelFriction',
  'output.tableFriction',
  'output.rollingResistance',
  'stage.friction',
];
export const MORE_TORQUE: readonly FigureName[] = [
  'motor.stallTorque',
  'stepper.holdingTorque',
  'stepServo.ratedTorque',
  'stepServo.peakTorque',
  'servo.stallTorque',
  'servo.stallForce',
];
export const LESS_SPEED: readonly FigureName[] = [
  'motor.freeSpeed',
  'motor.kv',
  'motor.referenceKv',
  'servo.speed',
  'servo.velocity',
];
export const LOSSES: readonly FigureName[] = ['stage.efficiency', 'output.efficiency'];

type Way = 'mass' | 'friction' | 'torque' | 'speed' | 'loss' | 'charge';
const FACTOR_OF = {
  mass: 'mass',
  friction: 'friction',
  torque: 'constants',
  speed: 'constants',
  loss: 'efficiency',
} as const satisfies Readonly<Record<Exclude<Way, 'charge'>, SpreadFactor>>;
/** A stiffer motor is slower. */
const SIDE = { mass: 1, friction: 1, torque: 1, speed: -1, loss: 1 } as const;
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

/** Half widths of what was measured, by figure: SI. */
export type MeasuredSpread = ReadonlyMap<FigureName, number>;

/** Builds lie evenly within their range: as wide as this many standard deviations either way, it scatters as much. */
const EVEN_TO_SIGMA = Math.sqrt(3);

/**
 * Figures of a path that were measured with their errors: they vary by these instead of by what is typical.
 *
 * @example measuredSpread({ 'motor.kv': { key: 'motor.kv', value: 50, error: 1 } }).get('motor.kv') //=> 1.732
 */
export function measuredSpread(
  figures: Readonly<Record<string, Pick<Figure, 'key' | 'error' | 'value'>>>,
): MeasuredSpread {
  const found = new Map<FigureName, number>();
  const wide = (error: number, value: number) => Math.min(EVEN_TO_SIGMA * error, MOST_APART * Math.abs(value));
  for (const { key, error, value } of Object.values(figures))
    if (error !== undefined && value !== undefined && MOVES.has(key as FigureName))
      found.set(key as FigureName, wide(error, value));
  // A train is measured as a whole: its stages share the error, and move together.
  const stages = Object.values(figures).filter(({ key }) => STAGE_EFFICIENCY.test(key));
  if (stages.length > 0 && stages.every(({ error, value }) => error !== undefined && value !== undefined)) {
    const errors = stages.map((stage) => wide(stage.error!, stage.value!));
    found.set('stage.efficiency', errors.reduce((sum, one) => sum + one, 0) / errors.length);
  }
  return found;
}

const STAGE_EFFICIENCY = /^stage.*\.efficiency$/;

/** Beyond this a motor is none any more. */
const MOST_APART = 0.6;

/** One build: where in its range each factor lies, −1…1. */
export type Build = Readonly<Record<SpreadFactor, number>>;

/**
 * What a build does to each figure. `stages` is how many share the train's losses.
 *
 * @example adjustFor({ constants: 1, friction: 0, mass: 0, charge: 0, efficiency: 0 }, spreadAmounts({}), 2)('motor.stallTorque', 2) //=> 2.14
 */
export function adjustFor(
  build: Build,
  amounts: SpreadAmounts,
  stages: number,
  measured: MeasuredSpread = new Map(),
): Adjust {
  const scaled = (factor: 'constants' | 'friction' | 'mass') => 1 + build[factor] * amounts[factor];
  const [torque, friction, mass] = [scaled('constants'), scaled('friction'), scaled('mass')];
  const points = (build.efficiency * amounts.efficiency) / Math.max(1, stages);
  const charge = amounts.leastCharge + ((build.charge + 1) / 2) * (amounts.mostCharge - amounts.leastCharge);
  return (name, value) => {
    const way = MOVES.get(name);
    const own = measured.get(name);
    // Measured ones go as far as their own errors say, on the side of the factor they belong to.
    if (own !== undefined && way !== undefined && way !== 'charge')
      return value + build[FACTOR_OF[way]] * own * SIDE[way];
    switch (way) {
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
