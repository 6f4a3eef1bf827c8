import { operatingAt, type Operating } from '../powerpath/operating.js';
import { worstWorkingPlace, type DcPath } from '../powerpath/path.js';
import { add, div, found, mul, named, num, pow, sqrt, sub, type Expression } from '../worked/expression.js';
import {
  askedSpeedOf,
  efficiencyOf,
  figureOf,
  freeCurrentOf,
  leverOf,
  loopOf,
  motorsOf,
  packResistanceOf,
  restVoltageOf,
  supplyResistanceOf,
  torqueConstantOf,
  voltsAgainstOf,
  workingOfLoad,
} from './pathTerms.js';

/** What flows while the job is done at the speed it needs, worked back from the load. */

const motorSpeed = (path: DcPath): Expression =>
  named('\\omega', 'motor speed', 'speed', mul(askedSpeedOf(path), leverOf(path)));

const flowing = (path: DcPath): Operating =>
  operatingAt(
    path,
    path.load.force(worstWorkingPlace(path), path.asked.speed) + (path.asked.recovery ?? 0),
    path.asked.speed,
  );
const SHORT = 'all the volts, where they end: the speed asked is out of reach';

/** I = I0 + I1·ω + D/(n·Kt·(G/r)·η), of one motor. */
export function flowingMotorCurrent(path: DcPath): Expression {
  const { reached, motorCurrent } = flowing(path);
  if (reached !== undefined)
    return found('I', 'current of one motor at the speed it reaches', 'current', motorCurrent, SHORT);
  const demand = named(
    'D',
    'demand, working',
    path.load.unit === 'm' ? 'force' : 'torque',
    workingOfLoad(path, worstWorkingPlace(path)),
  );
  const perAmpere = mul(motorsOf(path), torqueConstantOf(path), leverOf(path), efficiencyOf(path));
  const drag = mul(figureOf(path, 'motor.freeCurrentPerSpeed'), motorSpeed(path));
  return named(
    'I',
    'current of one motor while working',
    'current',
    add(freeCurrentOf(path), drag, div(demand, perAmpere)),
  );
}

/** The lower root of Rs·Ib² − Voc·Ib + I·(Ke·ω + I·R') = 0, of one motor. */
export function flowingSupplyCurrent(path: DcPath): Expression {
  const { reached, supplyCurrent = NaN } = flowing(path);
  if (reached !== undefined)
    return found('I_b', 'what one motor takes from the pack at the speed it reaches', 'current', supplyCurrent, SHORT);
  const current = flowingMotorCurrent(path);
  const volts = add(voltsAgainstOf(path, motorSpeed(path)), mul(current, loopOf(path)));
  const power = named('P', 'power one motor takes', 'power', mul(current, volts));
  const rest = restVoltageOf(path);
  const root = sqrt(sub(pow(rest, 2), mul(num(4), supplyResistanceOf(path), power)));
  return named(
    'I_b',
    'what one motor takes from the pack while working',
    'current',
    div(mul(num(2), power), add(rest, root)),
  );
}

/** V = Voc − n·Rp·Ib */
export function flowingPackVoltage(path: DcPath): Expression {
  const drop = mul(motorsOf(path), packResistanceOf(path), flowingSupplyCurrent(path));
  return named('V', 'pack while working', 'voltage', sub(restVoltageOf(path), drop));
}
