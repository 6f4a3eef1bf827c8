import type { Need } from '../../../plan/figures/figure.js';
import { servoTorqueAtCurrent } from '../../../models/servo/ratings.js';
import { torqueAtHorn, worstHornPlace, type ServoPath } from '../../../path/powerpath/servoPath.js';
import { div, found, max, mul, named, num, sub, type Expression } from '../../../path/worked/expression.js';
import {
  askedSpeedOf,
  backEfficiencyOf,
  efficiencyOf,
  figureOf,
  leverOf,
  motorsOf,
} from '../../../path/terms/pathTerms.js';
import type { Limit } from '../limit.js';
import { SITUATIONS, type Situation } from '../situation.js';

const NEEDS: readonly Need[] = ['motor', 'rail', 'linkage', 'pack', 'wiring', 'train', 'output', 'load', 'job'];

/** What the situation asks of the output at a place, shock left out. */
const askedAt =
  ({ load }: ServoPath, { id, speed, acceleration, back }: Situation) =>
  (q: number): number => {
    if (id === 'holding') return Math.abs(load.holdForce(q));
    return back ? -load.force(q, speed) : load.force(q, speed) + load.inertia(q) * acceleration;
  };

/** What speeding up its own motor takes of the horn's torque. */
const ownAt = ({ servo, linked }: ServoPath, { id, acceleration }: Situation, q: number): number =>
  id === 'starting' ? (servo.rotorAtHorn * acceleration) / (linked?.ratioAt(q) ?? NaN) : 0;

/** Torque of one servo at its horn in a situation, at a speed of the horn. */
type HornTorque = (path: ServoPath, situation: Situation, hornSpeed: number) => number;

/**
 * Force on q at which servos that give a torque are just at their end, looked for place by place: with a
 * linkage the lever changes along the way.
 */
function servoCapacity(path: ServoPath, situation: Situation, torque: HornTorque): number {
  if (!path.linked || path.linked.short) return 0;
  const asked = askedAt(path, situation);
  const place = worstHornPlace(path, asked);
  const onHorn = torqueAtHorn(path, situation.back ? heldThrough(path, asked(place)) : asked(place), place);
  if (!(onHorn > 0)) return Infinity;
  const hornSpeed = situation.speed / path.linked.ratioAt(place);
  return (
    (situation.demand * (torque(path, situation, hornSpeed) - ownAt(path, situation, place))) /
    (onHorn * shockOf(path, situation))
  );
}

/** The demand has the shock in it already; the places have not. */
const shockOf = ({ asked }: ServoPath, { id }: Situation): number => (id === 'starting' ? asked.shock : 1);

/** Holding, the losses help: η becomes 1/ηb. */
const heldThrough = ({ train }: ServoPath, force: number): number => force * train.efficiency * train.backEfficiency;

const stallWorking = (path: ServoPath): Expression =>
  path.servo.points.length === 1
    ? figureOf(path, path.servo.part.motion === 'linear' ? 'servo.point.0.stallForce' : 'servo.point.0.stallTorque')
    : found(
        'T_s',
        'stall torque on this rail',
        path.servo.part.motion === 'linear' ? 'force' : 'torque',
        path.servo.rating.stallTorque,
        `between its ratings, at ${path.servo.voltage.toFixed(2)} V`,
      );

const ratingWorking = (path: ServoPath): Expression =>
  path.servo.rating.below
    ? found(
        'T_s',
        'stall torque on this rail',
        path.servo.part.motion === 'linear' ? 'force' : 'torque',
        path.servo.rating.stallTorque,
        `scaled down to ${path.servo.voltage.toFixed(2)} V`,
      )
    : stallWorking(path);

function capacityWorking(path: ServoPath, situation: Situation, torque: Expression, value: number): Expression {
  const force = path.load.unit === 'm' ? 'force' : 'torque';
  if (path.linkage.kind !== 'direct')
    return found('C', 'what it can do', force, value, 'place by place along the linkage, where least is left');
  const lever = leverOf(path);
  const words = situation.back ? 'what it can hold' : 'what it can do';
  if (situation.back) return named('C', words, force, div(mul(motorsOf(path), torque, lever), backEfficiencyOf(path)));
  const driving = mul(motorsOf(path), torque, lever, efficiencyOf(path));
  if (situation.id === 'working' || path.servo.rotorAtHorn === 0) return named('C', words, force, driving);
  const own = found(
    'T_J',
    'what its own motor takes for speeding up',
    'torque',
    ownAt(path, situation, 0),
    'rotor inertia through the gears inside',
  );
  return named('C', words, force, mul(motorsOf(path), sub(torque, own), lever, efficiencyOf(path)));
}

interface ServoSpec extends Omit<Limit<ServoPath>, 'needs' | 'capacity' | 'working'> {
  readonly also?: readonly Need[];
  torque: HornTorque;
  torqueWorking(path: ServoPath, situation: Situation): Expression;
}

/** Makes a rung of a torque at the horn. */
function servoLimit({ also = [], torque, torqueWorking, ...spec }: ServoSpec): Limit<ServoPath> {
  return {
    ...spec,
    needs: (situation) => [...NEEDS, ...also, ...(situation === 'starting' ? (['rotor'] as const) : [])],
    capacity: (path, situation) => servoCapacity(path, situation, torque),
    working: (path, situation) =>
      capacityWorking(path, situation, torqueWorking(path, situation), servoCapacity(path, situation, torque)),
  };
}

/** Ts, less what moving at the horn's speed takes of it: Ts·(1 − ω/ω0). */
const atSpeed: HornTorque = ({ servo, speedCap = Infinity }, { id }, hornSpeed) =>
  id === 'working' && hornSpeed > speedCap * (1 + 1e-9)
    ? 0
    : id === 'working'
      ? Math.max(0, servo.rating.stallTorque * (1 - hornSpeed / servo.rating.freeSpeed))
      : servo.rating.stallTorque;

function atSpeedWorking(path: ServoPath, situation: Situation): Expression {
  const stall = ratingWorking(path);
  if (situation.id !== 'working') return stall;
  if (path.speedCap !== undefined && atSpeed(path, situation, situation.speed / (path.linked?.ratioAt(0) ?? NaN)) === 0)
    return found('T', 'torque left at this speed', 'torque', 0, 'faster than it is programmed to go');
  const speed = mul(askedSpeedOf(path), leverOf(path));
  const free = found(
    '\\omega_0',
    'speed without load on this rail',
    path.servo.part.motion === 'linear' ? 'velocity' : 'turning',
    path.servo.rating.freeSpeed,
    `at ${path.servo.voltage.toFixed(2)} V`,
  );
  return named('T', 'torque left at this speed', 'torque', max(num(0), mul(stall, sub(num(1), div(speed, free)))));
}

/** Its torque while it starts and moves: at least twice is wanted. */
export const servoTorque = servoLimit({
  id: 'servo',
  name: 'servo torque',
  subject: 'The servo’s torque',
  link: 'motor',
  wants: 2,
  goodFirst: false,
  electric: false,
  slows: true,
  situations: ['starting', 'working'],
  levers: [
    'lighter',
    'longer',
    'deeper',
    'shorter-horn',
    'motors',
    'rail-volts',
    'spring',
    'counterforce',
    'smaller-drum',
  ],
  applies: () => true,
  torque: atSpeed,
  torqueWorking: atSpeedWorking,
});

/** Holding takes a servo's torque without end: 3.3 times is wanted. */
export const servoHold = servoLimit({
  id: 'servo-hold',
  name: 'servo holding',
  subject: 'The servo’s holding torque',
  link: 'motor',
  wants: 3.3,
  goodFirst: false,
  electric: false,
  situations: ['holding'],
  levers: ['lighter', 'deeper', 'shorter-horn', 'motors', 'rail-volts', 'spring', 'counterforce', 'holder'],
  applies: () => true,
  torque: atSpeed,
  torqueWorking: (path) => ratingWorking(path),
});

/** What the rail has left for one of this mechanism's servos while all others move. */
const shareOfRail = ({ rail, motors }: ServoPath, { id }: Situation): number =>
  Math.max(0, (id === 'starting' ? rail.burst : rail.continuous) - rail.others) / motors;

/** The rail's current: burst while starting, steady while working and holding. */
export const railLimit = servoLimit({
  id: 'rail',
  name: 'servo rail',
  subject: 'The servo rail',
  link: 'rail',
  wants: 1.5,
  goodFirst: false,
  electric: true,
  situations: SITUATIONS,
  levers: ['stronger-rail', 'lighter', 'deeper', 'shorter-horn', 'longer', 'spring', 'counterforce'],
  applies: () => true,
  torque: (path, situation) =>
    Math.max(0, servoTorqueAtCurrent(path.servo.rating, path.servo.runningCurrent, shareOfRail(path, situation))),
  torqueWorking: (path, situation) => {
    const { rating } = path.servo;
    const rail = figureOf(path, situation.id === 'starting' ? 'rail.burst' : 'rail.continuous');
    const others = found(
      'I_{others}',
      'what the others on it draw',
      'current',
      path.rail.others,
      'all moving their loads',
    );
    const share = named('I', 'left for one servo', 'current', div(max(num(0), sub(rail, others)), motorsOf(path)));
    const running = figureOf(path, 'servo.runningCurrent');
    const stall = found(
      'I_s',
      'stall current on this rail',
      'current',
      rating.stallCurrent,
      `at ${path.servo.voltage.toFixed(2)} V`,
    );
    return named(
      'T_{rail}',
      'torque at that current',
      'torque',
      max(num(0), mul(ratingWorking(path), div(sub(share, running), sub(stall, running)))),
    );
  },
});
