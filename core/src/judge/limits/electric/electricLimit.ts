import { currentAtSupply } from '../../../models/controller/currents.js';
import type { Need } from '../../../plan/figures/figure.js';
import type { DcPath } from '../../../path/powerpath/path.js';
import {
  add,
  div,
  max,
  min,
  mul,
  named,
  num,
  pow,
  sqrt,
  sub,
  type Expression,
} from '../../../path/worked/expression.js';
import {
  askedAccelerationOf,
  backEfficiencyOf,
  efficiencyOf,
  figureOf,
  freeCurrentOf,
  leverOf,
  loopOf,
  motorsOf,
  restVoltageOf,
  supplyResistanceOf,
  torqueConstantOf,
  voltsAgainstOf,
} from '../../../path/terms/pathTerms.js';
import type { Limit } from '../limit.js';
import { speedWorking, type Situation, type SituationId } from '../situation.js';

/** What an electric limit says of itself; capacity and working follow from its motor current. */
interface ElectricSpec extends Omit<Limit<DcPath>, 'electric' | 'needs' | 'capacity' | 'working'> {
  readonly also?: readonly Need[];
  /** Current of one motor at which the limit is reached, A. */
  motorCurrent(path: DcPath, situation: Situation): number;
  currentWorking(path: DcPath, situation: Situation): Expression;
}

const BASE: readonly Need[] = ['motor', 'pack', 'wiring', 'controller', 'train', 'output', 'load'];

/** Starting takes the rotor along; moving ones know their speed from the job. */
const needsWith = (also: readonly Need[]): Readonly<Record<SituationId, readonly Need[]>> => ({
  starting: [...BASE, 'rotor', 'job', ...also],
  working: [...BASE, 'job', ...also],
  holding: [...BASE, ...also],
});

/** Makes a rung of a motor current: §"what gives first", the same force formula for all of them. */
export function electricLimit({ also = [], motorCurrent, currentWorking, ...spec }: ElectricSpec): Limit<DcPath> {
  const needs = needsWith(also);
  return {
    ...spec,
    electric: true,
    needs: (situation) => needs[situation],
    capacity: (path, situation) => forceOf(path, situation, motorCurrent(path, situation)),
    working: (path, situation) => forceWorking(path, situation, currentWorking(path, situation)),
  };
}

/**
 * Output force of a motor current: n·Kt·(I − I0 − I1·ω)·(G/r)·η, less n·Jr·(G/r)²·η·a when starting;
 * where the load pushes back n·Kt·I·(G/r)/ηb, since then the losses help.
 *
 * @example forceOf(path, situationOf(path, 'working'), 40) //=> 243
 */
export function forceOf(path: DcPath, situation: Situation, current: number): number {
  const { drive, train, radius } = path;
  const { motor, motors } = drive;
  const lever = train.total / radius;
  if (situation.back) {
    return train.backEfficiency === 0
      ? Infinity
      : (motors * motor.torqueConstant * current * lever) / train.backEfficiency;
  }
  const net = current - motor.freeCurrent - motor.freeCurrentPerSpeed * situation.motorSpeed;
  const perAmpere = motors * motor.torqueConstant * lever * train.efficiency;
  // At speed the rotor's inertia takes nothing, and may not even be known.
  if (situation.id === 'working') return perAmpere * net;
  const rotors = motors * drive.rotorInertia * lever * lever * train.efficiency * situation.acceleration;
  return perAmpere * Math.max(0, net) - rotors;
}

function forceWorking(path: DcPath, situation: Situation, current: Expression): Expression {
  const force = path.load.unit === 'm' ? 'force' : 'torque';
  if (situation.back) {
    return named(
      'C',
      'what it can hold',
      force,
      div(mul(motorsOf(path), torqueConstantOf(path), current, leverOf(path)), backEfficiencyOf(path)),
    );
  }
  const free = freeCurrentOf(path);
  if (situation.id === 'working') {
    const net = sub(current, free, mul(figureOf(path, 'motor.freeCurrentPerSpeed'), motorSpeedOf(path, situation)));
    return named(
      'C',
      'what it can pull',
      force,
      mul(motorsOf(path), torqueConstantOf(path), net, leverOf(path), efficiencyOf(path)),
    );
  }
  const pull = mul(
    motorsOf(path),
    torqueConstantOf(path),
    max(num(0), sub(current, free)),
    leverOf(path),
    efficiencyOf(path),
  );
  const rotors = mul(
    motorsOf(path),
    figureOf(path, 'motor.rotorInertia'),
    pow(leverOf(path), 2),
    efficiencyOf(path),
    askedAccelerationOf(path),
  );
  return named('C', 'what it can pull', force, sub(pull, rotors));
}

/** ω = v·G/r */
export const motorSpeedOf = (path: DcPath, situation: Situation): Expression =>
  named('\\omega', 'motor speed', 'speed', mul(speedWorking(path, situation.id), leverOf(path)));

/** What a supply-side limit says of itself: the supply current of one motor. */
interface SupplySpec extends Omit<ElectricSpec, 'motorCurrent' | 'currentWorking'> {
  supplyCurrent(path: DcPath, situation: Situation): number;
  supplyWorking(path: DcPath, situation: Situation): Expression;
}

/** Makes a rung of a supply current: R'·I² + Ke·ω·I = (Voc − Rs·Ib)·Ib. */
export function supplySideLimit({ supplyCurrent, supplyWorking, ...spec }: SupplySpec): Limit<DcPath> {
  return electricLimit({
    ...spec,
    motorCurrent: (path, situation) =>
      currentAtSupply(path.drive, situation.motorSpeed, supplyCurrent(path, situation)),
    currentWorking: (path, situation) => {
      const greatestPower = div(restVoltageOf(path), mul(num(2), supplyResistanceOf(path)));
      const ib = named(
        'I_u',
        'supply current, up to the pack’s greatest power',
        'current',
        min(supplyWorking(path, situation), greatestPower),
      );
      const power = named(
        'P',
        'power reaching one controller',
        'power',
        max(num(0), mul(sub(restVoltageOf(path), mul(supplyResistanceOf(path), ib)), ib)),
      );
      const emf = voltsAgainstOf(path, motorSpeedOf(path, situation));
      const root = sqrt(add(pow(emf, 2), mul(num(4), loopOf(path), power)));
      return named('I', 'motor current', 'current', div(sub(root, emf), mul(num(2), loopOf(path))));
    },
  });
}
