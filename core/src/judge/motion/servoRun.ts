import { firstReaching } from '../../models/servo/firstReaching.js';
import { motorFromSheet } from '../../models/motor/fromSheet.js';
import { driveOf } from '../../models/controller/drive.js';
import { loadOf, type Load } from '../../models/load/load.js';
import type { ServoPath } from '../../path/powerpath/servoPath.js';
import { fullEffort } from './fullEffort.js';
import { packCurrentOf } from '../../path/powerpath/operating.js';
import type { Run, RunSample } from './run.js';
import { stopThere } from './stopThere.js';
import { movingOf, type MotionSystem } from './system.js';
import { trapezoid } from './trapezoid.js';

/**
 * A servo is a geared direct-current motor: its ratings at the rail's volts are that motor's sheet at the horn. The load
 * is seen from the horn: force and inertia through the linkage's lever where it stands.
 */
export function servoSystem(path: ServoPath): MotionSystem {
  const { servo, linked, asked, train, motors } = path;
  if (!linked) throw new Error('the linkage is not known');
  const { rating, voltage, runningCurrent } = servo;
  const horn = Math.abs(linked.to - linked.from);
  return movingOf({
    drive: driveOf({
      motor: {
        ...motorFromSheet({
          ratedVoltage: voltage,
          freeSpeed: rating.freeSpeed,
          freeCurrent: Math.min(runningCurrent, 0.9 * rating.stallCurrent),
          stallTorque: rating.stallTorque,
          stallCurrent: rating.stallCurrent,
        }),
        freeCurrentPerSpeed: 0,
      },
      motors,
      rotorInertia: servo.rotorAtHorn,
      controllerResistance: 0,
      restVoltage: voltage,
      // The rail's drop while everything on it moves is in the servo's volts already.
      supplyResistance: 0,
      greatestDuty: 1,
      brakeLimit: rating.stallCurrent,
    }),
    // The run is reckoned at the rail, whose drop is in its volts; what that takes from the pack is told afterwards.
    packResistance: 0,
    total: 1,
    efficiency: train.efficiency,
    backEfficiency: train.backEfficiency,
    radius: 1,
    load: loadOf(loadAtHorn(path, linked)),
    until: asked.travel === undefined ? { time: asked.time } : { travel: horn },
    lasts: Math.min(asked.time, asked.every),
  });
}

const TABLE = 120;

/** The load as it is felt at the horn, through the linkage's lever where it stands. */
function loadAtHorn({ load, asked, linkage }: ServoPath, linked: NonNullable<ServoPath['linked']>): Load {
  const way = asked.travel ?? 0;
  // Places on q for places of the horn: tabled once, since the linkage only tells it the other way round.
  const horns = Float64Array.from({ length: TABLE + 1 }, (_, i) => linked.hornAt((way * i) / TABLE));
  const qAt = (angle: number): number => {
    const after = firstReaching(horns, angle);
    if (after === 0) return 0;
    if (after > TABLE) return way;
    const [low, high] = [horns[after - 1]!, horns[after]!];
    return (way / TABLE) * (high === low ? after : after - 1 + (angle - low) / (high - low));
  };
  const direct = linkage.kind === 'direct';
  // Force and inertia are asked for at the same angle, one after the other: it is looked up once.
  let [angle, place, ratio] = [NaN, 0, linked.ratioAt(0)];
  const turnTo = (to: number): void => {
    if (to === angle) return;
    angle = to;
    place = direct ? to * ratio : qAt(to);
    if (!direct) ratio = linked.ratioAt(place);
  };
  return {
    unit: 'rad',
    force: (to, speed) => {
      turnTo(to);
      return load.force(place, speed * ratio) * ratio;
    },
    holdForce: (to) => {
      turnTo(to);
      return load.holdForce(place) * ratio;
    },
    inertia: (to) => {
      turnTo(to);
      return Math.max(load.inertia(place) * ratio ** 2, 1e-12);
    },
    rope: load.rope,
  };
}

/** The move of a servo: as fast as it goes, standing at the end. Places and speeds are those of the output. */
export function servoRun(path: ServoPath): Run {
  const { linked } = path;
  const system = servoSystem(path);
  if (path.asked.travel === undefined) return onOutput(path, fullEffort(system));
  if (linked!.short)
    return { ...onOutput(path, fullEffort(movingOf({ ...system, until: { time: 0.01 } }))), outcome: 'stalled' };
  return onOutput(
    path,
    path.servo.part.motion === 'continuous' && path.asked.profile === 'moving'
      ? fullEffort(system)
      : capped(path, system),
  );
}

/** Its gentlest end is not asked for: it speeds up as hard as it can keep up with. */
const TRIES = 14;

/**
 * A move that stands at its end. Where a speed is programmed, its own controller leads it along: speeding up as hard as it
 * can follow, then at that speed, and down again.
 */
function capped(path: ServoPath, system: MotionSystem): Run {
  const free = stopThere(system);
  const cap = path.speedCap;
  if (cap === undefined || free.topSpeed <= cap) return free;
  let best: Run | undefined;
  let [low, high] = [0, cap ** 2 / (1e-3 * horn(system))];
  for (let i = 0; i < TRIES; i++) {
    const acceleration = i === 0 ? high : (low + high) / 2;
    const run = trapezoid(system, { speed: cap, acceleration });
    const follows = (run.follows?.multiple ?? 0) >= 1;
    if (follows) [low, best] = [acceleration, run];
    else high = acceleration;
  }
  return best ?? free;
}

const horn = ({ until }: MotionSystem): number => ('travel' in until ? until.travel : 1);

/** A run of the horn told as one of the output. */
function onOutput(path: ServoPath, run: Run): Run {
  const { linked, asked } = path;
  const { travel } = asked;
  // What turns on and on has no way along which the linkage was followed.
  const placeOf = (angle: number): number =>
    travel === undefined ? angle * linked!.ratioAt(0) : Math.min(linked!.placeAt(angle), travel);
  const packVoltageAt = (current: number): number => path.restVoltage - path.pack.resistance * current;
  let [topSpeed, packEnergy] = [0, 0];
  const samples: RunSample[] = [];
  for (const sample of run.samples) {
    const place = placeOf(sample.place);
    const speed = sample.speed * linked!.ratioAt(place);
    topSpeed = Math.max(topSpeed, speed);
    const supplyCurrent = packCurrentOf(path, sample.supplyCurrent);
    const packVoltage = packVoltageAt(supplyCurrent);
    const before = samples.at(-1);
    if (before)
      packEnergy +=
        ((sample.time - before.time) * (before.packVoltage * before.supplyCurrent + packVoltage * supplyCurrent)) / 2;
    samples.push({ ...sample, place, speed, supplyCurrent, packVoltage });
  }
  const peakSupplyCurrent = packCurrentOf(path, run.peakSupplyCurrent);
  const place = placeOf(run.place);
  return {
    ...run,
    rail: { energy: run.packEnergy, leastVoltage: path.servo.voltage, peakCurrent: run.peakSupplyCurrent },
    peakSupplyCurrent,
    peakReturned: packCurrentOf(path, run.peakReturned),
    leastPackVoltage: packVoltageAt(peakSupplyCurrent),
    packEnergy,
    place,
    endSpeed: run.endSpeed * linked!.ratioAt(place),
    topSpeed,
    samples,
    brakesAt: run.brakesAt === undefined ? undefined : placeOf(run.brakesAt),
  };
}
