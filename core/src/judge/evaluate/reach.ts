import { bisect } from '../../models/numbers/bisect.js';
import { fullCommandAt } from './fullEffortAt.js';
import type { HeldBy } from '../../models/controller/drive.js';
import { voltsAgainst } from '../../models/motor/constants.js';
import { FLOW_NEEDS } from '../motion/needs.js';
import { lacksOf, motorSpeed, worstWorkingPlace, type DcPath } from '../../path/powerpath/path.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import { worstHornPlace, type ServoPath } from '../../path/powerpath/servoPath.js';
import type { StepPath } from '../../path/powerpath/stepPath.js';
import { cornerSpeed, lastSpeed } from '../../models/stepper/pullOut.js';
import { mostTorqueAt } from '../../models/stepper/torque.js';

/** Output force against speed, and which limit holds it there. On q. */
export interface ReachPoint {
  readonly speed: number;
  readonly force: number;
  readonly heldBy: HeldBy;
}

export interface Reach {
  readonly points: readonly ReachPoint[];
  /** What resists while moving. */
  readonly load: number;
  /** Speed the job needs. */
  readonly wanted: number;
  /** Where full effort meets the load; absent where it cannot move it. */
  readonly settles?: number;
  /** What the tyres carry. */
  readonly traction?: number;
}

/** Output force at a speed of q, and the speed at which nothing is left. */
interface Envelope {
  at(speed: number): ReachPoint;
  readonly fastest: number;
}

/**
 * The envelope of a path at full effort; `undefined` where a figure is missing.
 *
 * @example reachOf(path).points.length //=> 85
 */
export function reachOf(path: AnyPath, count = 80): Reach | undefined {
  const envelope = envelopeOf(path);
  if (!envelope) return undefined;
  const { load, asked } = path;
  const { at: forceAt, fastest } = envelope;
  const points: ReachPoint[] = [];
  for (let i = 0; i <= count; i++) {
    const next = forceAt((fastest * i) / count);
    const before = points.at(-1);
    // The corner itself, once for each of the two limits that meet there.
    if (before && before.heldBy !== next.heldBy) {
      const corner = cornerBetween(forceAt, before, next);
      points.push({ ...corner, heldBy: before.heldBy }, { ...corner, heldBy: next.heldBy });
    }
    points.push(next);
  }
  const resists = load.force(worstWorkingPlace(path), asked.speed) + (asked.recovery ?? 0);
  const settles = path.machine === 'step' ? undefined : settlesAt(forceAt, resists, fastest);
  return {
    points,
    load: resists,
    wanted: asked.speed,
    settles,
    traction: load.traction,
  };
}

/**
 * The force alone at one speed after the other, nothing beyond the fastest; `undefined` where a figure is missing.
 *
 * @example forceReach(path)(0.8) //=> 257.6
 */
export function forceReach(path: AnyPath): ((speed: number) => number) | undefined {
  const envelope = envelopeOf(path);
  return envelope && ((speed) => (speed > envelope.fastest ? 0 : Math.max(0, envelope.at(speed).force)));
}

const REACH_NEEDS = [...FLOW_NEEDS, 'traction'] as const;

function envelopeOf(path: AnyPath): Envelope | undefined {
  if (lacksOf(path, REACH_NEEDS).length > 0) return undefined;
  // A linkage that does not get to the end of the way has no envelope along it.
  if (path.machine === 'servo' && (path.linked === undefined || path.linked.short)) return undefined;
  switch (path.machine) {
    case 'dc':
      return dcEnvelope(path);
    case 'step':
      return stepEnvelope(path);
    case 'servo':
      return servoEnvelope(path);
  }
}

function dcEnvelope(path: DcPath): Envelope {
  const { drive, train, radius } = path;
  const spare = drive.greatestDuty * drive.restVoltage;
  const perSpeed = drive.motor.backEmfConstant * (train.total / radius);
  const lost = drive.motor.freeCurrent * (drive.motor.resistance + drive.controllerResistance + drive.supplyResistance);
  return {
    fastest: Math.max(0, spare - lost - voltsAgainst(drive.motor, 0)) / perSpeed,
    at: (speed) => {
      const { point, force } = fullCommandAt(path, drive, speed);
      // What the tyres do not carry pulls nothing.
      return { speed, force: Math.min(force, path.load.traction ?? Infinity), heldBy: point.heldBy };
    },
  };
}

/** Pull-out torque, or a step-driven servo's peak, at the output. */
function stepEnvelope(path: StepPath): Envelope {
  const { step, train, radius, motors } = path;
  const { motor } = step;
  const [corner, last] =
    motor.loop === 'open'
      ? [cornerSpeed(motor.figures), lastSpeed(motor.figures)]
      : [
          Math.min(1, motor.figures.voltageShare) * motor.figures.ratedSpeed,
          Math.min(1, motor.figures.voltageShare) * motor.figures.topSpeed,
        ];
  return {
    fastest: (last * radius) / train.total,
    at: (speed) => {
      const omega = motorSpeed(path, speed);
      return {
        speed,
        force: (motors * mostTorqueAt(motor, omega) * train.efficiency * train.total) / radius,
        heldBy: omega > corner ? 'voltage' : 'stator',
      };
    },
  };
}

/** Ts·(1 − ω/ω0) through the linkage where the job is hardest. */
function servoEnvelope(path: ServoPath): Envelope {
  const { servo, linked, train, motors, asked } = path;
  const place = worstHornPlace(path, (q) => path.load.force(q, asked.speed));
  const ratio = linked?.ratioAt(place) ?? NaN;
  return {
    fastest: Math.min(servo.rating.freeSpeed, path.speedCap ?? Infinity) * ratio,
    at: (speed) => ({
      speed,
      force:
        (motors *
          train.efficiency *
          servo.rating.stallTorque *
          Math.max(0, 1 - speed / (servo.rating.freeSpeed * ratio))) /
        ratio,
      heldBy: 'voltage',
    }),
  };
}

function cornerBetween(forceAt: (speed: number) => ReachPoint, before: ReachPoint, after: ReachPoint): ReachPoint {
  const [, changed] = bisect(before.speed, after.speed, (speed) => forceAt(speed).heldBy === before.heldBy, 40);
  return forceAt(changed);
}

function settlesAt(forceAt: (speed: number) => ReachPoint, resists: number, fastest: number): number | undefined {
  if (forceAt(0).force < resists) return undefined;
  return bisect(0, fastest, (speed) => forceAt(speed).force >= resists, 50)[0];
}
