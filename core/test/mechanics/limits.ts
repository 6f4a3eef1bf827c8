import {
  bendingStress,
  type AnyPath,
  type BeltParts,
  type ChainParts,
  type DcPath,
  type LimitId,
  type ServoPath,
  type SituationId,
  type StepPath,
} from '../../src/index.js';
import { flowsAt, greatest, heatAfter, windingAfter, type Moment } from './electrics.js';

/**
 * Each limit once more, as whoever breaks it would find out: the output is pulled harder until the thing itself gives. The
 * table is complete by its type: a new limit does not compile until its mechanics stand here. `undefined` where a limit has
 * nothing to say in a situation.
 */

/** Whether the thing still bears a force at the output. */
type Bears = (force: number) => boolean;
type Mechanics = (path: AnyPath, situation: SituationId) => Bears | undefined;

const placesOf = ({ asked }: AnyPath): readonly number[] =>
  Array.from({ length: 401 }, (_, i) => ((asked.travel ?? 0) * i) / 400);

const speedIn = ({ asked }: AnyPath, situation: SituationId): number => (situation === 'working' ? asked.speed : 0);
/** The load pushes back through the train: it is held, or drives from its start on. */
const pushesBack = (path: AnyPath, situation: SituationId): boolean =>
  situation === 'holding' ||
  (situation === 'starting' &&
    placesOf(path).every((q) => path.load.force(q, 0) + path.load.inertia(q) * path.asked.acceleration <= 0));
const accelerationIn = (path: AnyPath, situation: SituationId): number =>
  situation === 'starting' && !pushesBack(path, situation) ? path.asked.acceleration : 0;

/** Torque that one motor's shaft must give for a force at the output. */
function motorTorque(path: AnyPath, situation: SituationId, force: number, rotor: number): number {
  const lever = path.train.total / path.radius;
  if (pushesBack(path, situation)) return (force * path.train.backEfficiency) / (path.motors * lever);
  return force / (path.motors * lever * path.train.efficiency) + rotor * lever * accelerationIn(path, situation);
}

const dcOnly =
  (
    bears: (path: DcPath, situation: SituationId, moment: Moment) => boolean,
    where?: readonly SituationId[],
  ): Mechanics =>
  (path, situation) => {
    if (path.machine !== 'dc' || (where && !where.includes(situation))) return undefined;
    const omega = speedIn(path, situation) * (path.train.total / path.radius);
    return (force) => {
      const moment = flowsAt(path, omega, currentFor(path, situation, force));
      // A force that the volts cannot drive has no flows: the thing does not bear it.
      return moment !== undefined && bears(path, situation, moment);
    };
  };

function currentFor(path: DcPath, situation: SituationId, force: number): number {
  const { motor, rotorInertia } = path.drive;
  const torque = motorTorque(path, situation, force, rotorInertia);
  // Friction helps what is held, and is no part of the load.
  if (pushesBack(path, situation)) return torque / motor.torqueConstant;
  const omega = speedIn(path, situation) * (path.train.total / path.radius);
  return torque / motor.torqueConstant + motor.freeCurrent + motor.freeCurrentPerSpeed * omega;
}

/** How long a situation pushes. */
function secondsIn({ asked }: AnyPath, situation: SituationId): number {
  if (situation === 'holding') return asked.held;
  if (situation === 'working') return asked.workingSeconds;
  return asked.acceleration > 0 ? asked.speed / asked.acceleration : asked.time;
}

const breakerIn = (where: 'branch' | 'main'): Mechanics =>
  dcOnly((path, situation, { supplyCurrent }) => {
    const protection = path[where];
    if (!protection?.breaker) return true;
    const { drive, asked, pack, branch } = path;
    const share = where === 'main' || branch.together ? drive.motors : 1;
    const others = where === 'main' ? pack.others : 0;
    const { rated, holdMultiple, timeConstant } = protection.breaker;
    const holds = rated * holdMultiple;
    // The job's own work, over its share of the time, has warmed it before.
    const worst = Math.max(...placesOf(path).map((q) => path.load.force(q, asked.speed))) + (asked.recovery ?? 0);
    const omega = asked.speed * (path.train.total / path.radius);
    const before =
      flowsAt(path, omega, currentFor(path, 'working', Math.max(0, worst)))?.supplyCurrent ??
      drive.restVoltage / (2 * drive.supplyResistance);
    const start = Math.min(1, asked.dutyShare * ((share * before + others) / holds) ** 2);
    return heatAfter(share * supplyCurrent + others, holds, timeConstant, secondsIn(path, situation), start) < 1;
  });

/** Pull-out of a stepper from its phases, written down once more. */
function stepperGives({ step, restVoltage }: StepPath, omega: number): number {
  if (step.motor.loop !== 'open') return 0;
  const { phaseResistance: r, phaseInductance: l, holdingTorque, ratedCurrent, detentTorque } = step.motor.figures;
  const k = holdingTorque / (Math.SQRT2 * ratedCurrent);
  const x = step.polePairs * omega * l;
  const z = Math.hypot(r, x);
  const byVolts = (k * restVoltage) / z - (k * k * omega * r) / (z * z);
  return Math.max(0, Math.min(byVolts, (holdingTorque * step.setCurrent) / ratedCurrent) - detentTorque);
}

/** All of it up to the rated speed, evenly down to nothing at the top; fewer volts, lower speeds. */
function closedShare({ step }: StepPath, omega: number): number {
  if (step.motor.loop !== 'closed') return 0;
  const { ratedSpeed, topSpeed, voltageShare } = step.motor.figures;
  const scale = Math.min(1, voltageShare);
  if (omega <= ratedSpeed * scale) return 1;
  return Math.max(0, (topSpeed * scale - omega) / ((topSpeed - ratedSpeed) * scale));
}

const stepOnly =
  (
    loop: 'open' | 'closed',
    gives: (path: StepPath, situation: SituationId, omega: number) => number,
    where: readonly SituationId[],
  ): Mechanics =>
  (path, situation) => {
    if (path.machine !== 'step' || path.step.motor.loop !== loop || !where.includes(situation)) return undefined;
    const omega = speedIn(path, situation) * (path.train.total / path.radius);
    return (force) => motorTorque(path, situation, force, path.step.rotorInertia) <= gives(path, situation, omega);
  };

/** A servo is asked along its whole way: a linkage's lever changes. `times` of the job's own force. */
const servoOnly =
  (
    there: (path: ServoPath, situation: SituationId, hornSpeed: number) => number,
    where: readonly SituationId[],
  ): Mechanics =>
  (path, situation) => {
    if (path.machine !== 'servo' || !where.includes(situation)) return undefined;
    const { load, asked, linked, motors, train, servo } = path;
    const [v, a] = [speedIn(path, situation), accelerationIn(path, situation)];
    const back = pushesBack(path, situation);
    const askedAt = (q: number) => {
      if (situation === 'holding') return Math.abs(load.holdForce(q));
      return back ? -load.force(q, v) : load.force(q, v) + load.inertia(q) * a;
    };
    const shock = situation === 'starting' ? asked.shock : 1;
    const demand = shock * Math.max(...placesOf(path).map(askedAt));
    return (force) =>
      placesOf(path).every((q) => {
        const ratio = linked!.ratioAt(q);
        const share = (force / demand) * shock * askedAt(q);
        const onHorn = ((back ? share * train.backEfficiency : share / train.efficiency) * ratio) / motors;
        const rotor = situation === 'starting' ? (servo.rotorAtHorn * a) / ratio : 0;
        return onHorn + rotor <= there(path, situation, v / ratio);
      });
  };

const servoGives = ({ servo }: ServoPath, situation: SituationId, hornSpeed: number): number =>
  situation === 'working'
    ? servo.rating.stallTorque * Math.max(0, 1 - hornSpeed / servo.rating.freeSpeed)
    : servo.rating.stallTorque;

/** Torque on the shafts in front of and behind a stage for a force at the output, and how fast the first turns. */
function aroundStage(path: AnyPath, index: number, situation: SituationId, force: number) {
  const { stages } = path.train;
  const back = pushesBack(path, situation);
  const losing = (i: number) => (back ? stages[i]!.backEfficiency : 1 / stages[i]!.efficiency);
  let torque = force * path.radius;
  // What the output itself loses counts as a last stage.
  for (let i = stages.length - 1; i > index; i--) torque *= losing(i) / stages[i]!.ratio;
  const behind = torque;
  const omega = speedIn(path, situation) * (path.train.total / path.radius);
  const speed = stages.slice(0, index).reduce((turning, { ratio }) => turning / ratio, omega);
  return { behind, before: (behind * losing(index)) / stages[index]!.ratio, speed };
}

/** Every stage that has such a thing must bear it. */
const stages =
  (bears: (path: AnyPath, index: number, around: ReturnType<typeof aroundStage>) => boolean | undefined): Mechanics =>
  (path, situation) => {
    const has = path.stageParts.some((_, i) => bears(path, i, aroundStage(path, i, situation, 0)) !== undefined);
    if (!has) return undefined;
    return (force) => path.stageParts.every((_, i) => bears(path, i, aroundStage(path, i, situation, force)) !== false);
  };

const chains = (bears: (parts: ChainParts, pull: number) => boolean): Mechanics =>
  stages((path, i, { before }) => {
    const parts = path.stageParts[i]!;
    return parts.kind === 'chain' ? bears(parts, before / parts.driverRadius) : undefined;
  });
const belts = (bears: (parts: BeltParts, pull: number) => boolean): Mechanics =>
  stages((path, i, { before }) => {
    const parts = path.stageParts[i]!;
    return parts.kind === 'belt' ? bears(parts, before / parts.driverRadius) : undefined;
  });

/** Angle of contact on the smaller wheel. */
const wrap = ({ driverRadius, drivenRadius, centre }: ChainParts | BeltParts): number =>
  Math.PI - 2 * Math.asin(Math.abs(drivenRadius - driverRadius) / centre);
const smaller = ({ driver, driven }: ChainParts | BeltParts): number => Math.min(driver, driven);

/** Angle at which a roller leans on a sprocket's tooth, new and worn by 3 %. */
const pressure = ({ wear }: ChainParts, teeth: number): number =>
  ((17.5 - 64 / teeth + (wear / 0.03) * (17.5 - 56 / teeth)) * Math.PI) / 180;

/** What of a chain's pull is left behind so many teeth. */
function leftBehind(parts: ChainParts, teeth: number): number {
  const z = smaller(parts);
  const angle = pressure(parts, z);
  return (Math.sin(angle) / Math.sin(angle + (2 * Math.PI) / z)) ** teeth;
}

const meshed = (parts: BeltParts): number => {
  const angle = wrap(parts) + (parts.idler ? Math.PI / 6 : 0);
  return Math.floor((smaller(parts) * angle) / (2 * Math.PI));
};
const DERATED: Readonly<Record<number, number>> = { 2: 0.2, 3: 0.4, 4: 0.6, 5: 0.8 };
const derating = (parts: BeltParts): number => (meshed(parts) >= 6 ? 1 : (DERATED[meshed(parts)] ?? 0));

const MECHANICS: Readonly<Record<LimitId, Mechanics>> = {
  volts: dcOnly(() => true),
  stator: dcOnly(({ drive }, _situation, { motorCurrent }) => motorCurrent <= (drive.statorLimit ?? Infinity)),
  supply: dcOnly(({ drive }, _situation, { supplyCurrent }) => supplyCurrent <= (drive.supplyLimit ?? Infinity)),
  'brown-out': dcOnly(({ pack, main, drive, controller }, _situation, { volts, supplyCurrent }) => {
    const drawn = pack.others + drive.motors * supplyCurrent;
    const open = drive.restVoltage + (pack.resistance + (main?.wireResistance ?? 0)) * pack.others;
    const atCells = open - pack.resistance * drawn;
    const atBoards = atCells - (main?.wireResistance ?? 0) * drawn;
    return (
      atCells >= pack.floor &&
      atBoards >= pack.brownOut &&
      (Number.isNaN(controller.lowestVoltage) || volts >= controller.lowestVoltage)
    );
  }),
  discharge: dcOnly(
    ({ drive, pack }, _situation, { supplyCurrent }) =>
      drive.motors * supplyCurrent + pack.others <= pack.dischargeLimit,
  ),
  'branch-breaker': breakerIn('branch'),
  'main-breaker': breakerIn('main'),
  continuous: dcOnly(
    ({ motor, asked }, situation, { motorCurrent }) =>
      motorCurrent <=
      (situation === 'holding'
        ? motor.continuousCurrent * (motor.type === 'brushless' ? 0.71 : 1)
        : motor.continuousCurrent / Math.sqrt(asked.dutyShare)),
    ['working', 'holding'],
  ),
  'controller-heat': dcOnly(
    ({ controller, restVoltage, asked }, situation, { motorCurrent }) => {
      const { resistance, switching, continuousCurrent, highestVoltage } = controller;
      if (continuousCurrent === undefined) return false;
      const watts = (volts: number, current: number) => current * (resistance * current + switching * volts);
      const often = situation === 'working' ? asked.dutyShare : 1;
      return often * watts(restVoltage, motorCurrent) <= watts(highestVoltage, continuousCurrent);
    },
    ['working', 'holding'],
  ),
  heat: dcOnly(
    (path, _situation, { motorCurrent }) =>
      windingAfter(path, motorCurrent, path.asked.held) <= path.motor.thermal.windingLimit,
    ['holding'],
  ),
  slip: ({ load }, situation) => {
    const { traction } = load;
    return traction === undefined || situation === 'holding' ? undefined : (force) => force <= traction;
  },
  rope: ({ rope }) => rope && ((force) => force <= rope.strength / (rope.knotted ? 10 : 5)),
  // Euler: π²·E·I/(K·l)², steel of 205 GPa.
  buckling: ({ buckling }) =>
    buckling &&
    ((force) =>
      force <=
      (Math.PI ** 2 * 205e9 * (Math.PI / 64) * buckling.diameter ** 4) / (buckling.endFactor * buckling.length) ** 2),
  'pull-out': stepOnly(
    'open',
    (path, situation, omega) => {
      const { microsteps } = path.step;
      const coarse = situation === 'starting' ? (microsteps < 2 ? Math.SQRT1_2 : microsteps < 4 ? 0.92 : 1) : 1;
      return coarse * stepperGives(path, omega);
    },
    ['starting', 'working'],
  ),
  'peak-torque': stepOnly(
    'closed',
    (path, _situation, omega) =>
      path.step.motor.loop === 'closed' ? path.step.motor.figures.peakTorque * closedShare(path, omega) : 0,
    ['starting', 'working', 'holding'],
  ),
  'rated-torque': stepOnly(
    'closed',
    (path, situation, omega) => {
      const share = situation === 'working' ? Math.sqrt(path.asked.dutyShare) : 1;
      return path.step.motor.loop === 'closed'
        ? (path.step.motor.figures.ratedTorque * closedShare(path, omega)) / share
        : 0;
    },
    ['working', 'holding'],
  ),
  'hold-current': stepOnly(
    'open',
    ({ step }) => (step.holdingTorque * step.idleShare * step.setCurrent) / step.ratedCurrent,
    ['holding'],
  ),
  servo: servoOnly(servoGives, ['starting', 'working']),
  'servo-hold': servoOnly(servoGives, ['holding']),
  rail: servoOnly(
    ({ servo, rail, motors }, situation) => {
      const left = ((situation === 'starting' ? rail.burst : rail.continuous) - rail.others) / motors;
      const { stallTorque, stallCurrent } = servo.rating;
      return (stallTorque * (left - servo.runningCurrent)) / (stallCurrent - servo.runningCurrent);
    },
    ['starting', 'working', 'holding'],
  ),
  tooth: stages((path, i, { before, speed }) => {
    const parts = path.stageParts[i]!;
    if (parts.kind !== 'teeth' || Math.min(parts.driver, parts.driven) < 12) return undefined;
    // A pinion on the motor carries that motor's torque alone.
    const torque = i === 0 ? before / path.motors : before;
    return [parts.driver, parts.driven].every((teeth) => {
      const wheel = { module: parts.pitch, teeth, face: parts.face };
      const ratio = teeth / parts.driver;
      return bendingStress(wheel, torque * ratio, speed / ratio) <= parts.allowable;
    });
  }),
  'chain-skip': chains((parts, pull) => {
    const teeth = (smaller(parts) * wrap(parts)) / (2 * Math.PI);
    return pull * leftBehind(parts, Math.floor(teeth)) <= parts.tension;
  }),
  'chain-snap': chains((parts, pull) => pull <= parts.strength * (parts.length % 2 === 1 ? 0.65 : 1)),
  'sprocket-shear': chains(
    (parts, pull) => pull * (1 - leftBehind(parts, 1)) <= parts.plate * 0.45 * parts.pitch * parts.toothAllowable,
  ),
  'belt-skip': belts((parts, pull) => pull <= 2 * parts.tension * derating(parts)),
  'belt-shear': belts((parts, pull) => pull <= parts.ratedPull * derating(parts)),
  'belt-snap': belts((parts, pull) => parts.tension + pull / 2 <= parts.strength),
  gearbox: stages((path, i, { behind }) => {
    const parts = path.stageParts[i]!;
    if (!('ratedTorque' in parts) || parts.ratedTorque === undefined) return undefined;
    return (i === 0 ? behind / path.motors : behind) <= parts.ratedTorque;
  }),
  shaft: stages((path, i, { behind }) => {
    const { shaft, drivenRadius } = path.stageParts[i]!;
    if (!shaft) return undefined;
    const parts = path.stageParts[i]!;
    const torque = i === 0 && parts.kind !== 'chain' && parts.kind !== 'belt' ? behind / path.motors : behind;
    const bending = drivenRadius > 0 ? (torque / drivenRadius) * shaft.overhang : 0;
    const round = (16 * Math.hypot(torque, bending)) / (Math.PI * shaft.size ** 3);
    const twisted = torque / (0.188 * shaft.size ** 3);
    return (shaft.form === 'hexagon' ? Math.max(round, twisted) : round) <= shaft.allowable;
  }),
};

/** The force at the output at which a limit gives; `undefined` where it has nothing to say. */
export function givesAt(path: AnyPath, id: LimitId, situation: SituationId, near: number): number | undefined {
  const bears = MECHANICS[id](path, situation);
  return bears && greatest(bears, Math.max(near, 1e-6));
}
