import { firstReaching } from '../servo/firstReaching.js';
import { motorFromSheet } from '../motor/fromSheet.js';
import type { Load } from '../load/load.js';
import type { ServoPath } from '../powerpath/servoPath.js';
import { fullEffort } from './fullEffort.js';
import type { Run } from './run.js';
import { stopThere } from './stopThere.js';
import type { MotionSystem } from './system.js';

/**
 * A servo is a geared direct-current motor: its ratings at the rail's volts are that motor's sheet at the horn. The load
 * is seen from the horn: force and inertia through the linkage's lever where it stands.
 */
export function servoSystem(path: ServoPath): MotionSystem {
  const { servo, rail, linked, load, asked, train, motors } = path;
  if (!linked) throw new Error('the linkage is not known');
  const { rating, voltage, runningCurrent } = servo;
  const way = asked.travel ?? 0;
  const horn = Math.abs(linked.to - linked.from);
  // Places on q for places of the horn: tabled once, since the linkage only tells it the other way round.
  const table = Array.from({ length: TABLE + 1 }, (_, i) => {
    const q = (way * i) / TABLE;
    return { q, horn: linked.hornAt(q) };
  });
  const qAt = (angle: number): number => {
    const after = firstReaching(table, (entry) => entry.horn >= angle);
    if (after === 0) return 0;
    if (after === table.length) return way;
    const [low, high] = [table[after - 1]!, table[after]!];
    const span = high.horn - low.horn;
    return span === 0 ? high.q : low.q + ((angle - low.horn) / span) * (high.q - low.q);
  };
  const direct = path.linkage.kind === 'direct';
  const ratioAt = (angle: number): number => linked.ratioAt(direct ? 0 : qAt(angle));
  const placeOf = (angle: number): number => (direct ? angle * linked.ratioAt(0) : qAt(angle));
  const onHorn: Load = {
    unit: 'rad',
    force: (angle, speed) => {
      const ratio = ratioAt(angle);
      return load.force(placeOf(angle), speed * ratio) * ratio;
    },
    holdForce: (angle) => load.holdForce(placeOf(angle)) * ratioAt(angle),
    inertia: (angle) => Math.max(load.inertia(placeOf(angle)) * ratioAt(angle) ** 2, 1e-12),
    rope: load.rope,
  };
  return {
    drive: {
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
    },
    packResistance: rail.resistance,
    total: 1,
    efficiency: train.efficiency,
    backEfficiency: train.backEfficiency,
    radius: 1,
    load: onHorn,
    until: asked.travel === undefined ? { time: asked.time } : { travel: horn },
  };
}

const TABLE = 120;

/** The move of a servo: as fast as it goes, standing at the end. Places and speeds are those of the output. */
export function servoRun(path: ServoPath): Run {
  const { linked } = path;
  const system = servoSystem(path);
  if (path.asked.travel === undefined) return onOutput(path, fullEffort(system));
  if (linked!.short) return { ...onOutput(path, fullEffort({ ...system, until: { time: 0.01 } })), outcome: 'stalled' };
  return onOutput(
    path,
    path.servo.part.motion === 'continuous' && path.asked.profile === 'moving' ? fullEffort(system) : stopThere(system),
  );
}

/** A run of the horn told as one of the output. */
function onOutput(path: ServoPath, run: Run): Run {
  const { linked, asked } = path;
  const way = asked.travel ?? 0;
  const horn = Math.abs(linked!.to - linked!.from);
  const direct = path.linkage.kind === 'direct';
  const qOf = (angle: number): number => {
    if (direct || horn === 0) return angle * linked!.ratioAt(0);
    let [low, high] = [0, way];
    for (let i = 0; i < 30; i++) {
      const middle = (low + high) / 2;
      if (linked!.hornAt(middle) < angle) low = middle;
      else high = middle;
    }
    return high;
  };
  const samples = run.samples.map((sample) => {
    const place = qOf(sample.place);
    return { ...sample, place, speed: sample.speed * linked!.ratioAt(place) };
  });
  const place = qOf(run.place);
  return {
    ...run,
    place,
    endSpeed: run.endSpeed * linked!.ratioAt(place),
    topSpeed: Math.max(0, ...samples.map(({ speed }) => speed)),
    samples,
    brakesAt: run.brakesAt === undefined ? undefined : qOf(run.brakesAt),
  };
}
