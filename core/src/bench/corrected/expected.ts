import { DRAG_AT, type Expected } from '../trials/found.js';
import type { TrialSubject } from '../trials/trial.js';
import { START_SHARE } from '../../models/controller/leastSpeed.js';
import { runOf } from '../../judge/evaluate/mechanism.js';
import { reachOf } from '../../judge/evaluate/reach.js';
import { GRAVITY } from '../../models/load/gravity.js';
import { meanSupplyCurrent } from '../../judge/motion/meanSupplyCurrent.js';
import { FigureCollector } from '../../plan/figures/collector.js';
import { packResistance, packRestVoltage } from '../../models/pack/pack.js';
import type { Part } from '../../plan/document/part.js';
import type { DcPath } from '../../path/powerpath/path.js';
import type { Plan } from '../../plan/document/plan.js';
import { readPackFigures } from '../../path/resolve/packFigures.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import { constantsOf } from '../../judge/sizing/constantsOf.js';
import { pullFor } from './pull.js';

const finite = (value: number | undefined): number | undefined =>
  value !== undefined && Number.isFinite(value) ? value : undefined;

/**
 * What a part's figures say of what a trial would find.
 *
 * @example expectedOfPart(plan.parts['motor-1'].part).freeCurrent //=> 2.2
 */
export function expectedOfPart(part: Part): Expected {
  if (part.kind === 'motor') {
    const constants = constantsOf(part);
    if (!constants) return {};
    const { resistance, torqueConstant, backEmfConstant, freeCurrent, freeCurrentPerSpeed, brushDrop } = constants;
    return {
      resistance,
      torqueConstant,
      backEmfConstant,
      kv: 1 / backEmfConstant,
      freeCurrent,
      freeCurrentPerSpeed: freeCurrentPerSpeed > 0 ? freeCurrentPerSpeed : undefined,
      brushDrop,
      frictionTorque: torqueConstant * freeCurrent,
      viscousDrag: freeCurrentPerSpeed > 0 ? torqueConstant * freeCurrentPerSpeed * DRAG_AT : undefined,
    };
  }
  if (part.kind === 'pack') {
    const { figures } = readPackFigures(part, [], new FigureCollector());
    return {
      restVoltage: finite(packRestVoltage(figures, 1)),
      packResistance: finite(packResistance(figures)),
    };
  }
  if (part.kind === 'servo')
    return {
      idleCurrent: part.idleCurrent?.si,
      runningCurrent: part.runningCurrent?.si,
      stallCurrent: part.points.at(-1)?.stallCurrent?.si,
      travel: part.travel?.si,
      play: part.slop?.si,
    };
  return {};
}

/**
 * What the program says of a mechanism where a trial would measure it: its pull, its run, its least speed.
 *
 * @example expectedOfMechanism(plan, { name: 'Mast lift', mechanismId: 'lift' }).goTime //=> 1.509
 */
export function expectedOfMechanism(plan: Plan, { mechanismId, jobId }: TrialSubject): Expected {
  const mechanism = plan.mechanisms.find(({ id }) => id === mechanismId);
  const job = mechanism?.jobs.find(({ id }) => id === jobId) ?? mechanism?.jobs[0];
  if (!mechanism || !job) return {};
  const path = resolvePath(plan, mechanism, job.id);
  const run = runOf(path);
  const pull = pullFor(path);
  const arrived = run?.outcome === 'arrived' ? run : undefined;
  const toMotor = path.train.total / path.radius;
  const drive = path.machine === 'dc' ? path : undefined;
  return {
    pullPerAmpere: finite(pull?.perAmpere),
    lostCurrent: finite(pull?.lost),
    goTime: finite(arrived?.time),
    topSpeed: run && finite(run.topSpeed * toMotor),
    restVoltage: finite(path.restVoltage),
    run: run?.samples.map(({ time, speed, supplyCurrent, packVoltage }) => ({
      time,
      speed: speed * toMotor,
      current: supplyCurrent,
      voltage: packVoltage,
    })),
    peakCurrent: finite(run?.peakSupplyCurrent),
    meanCurrent: arrived && finite(meanSupplyCurrent(arrived)),
    leastVolts: finite(run?.leastPackVoltage),
    leastErpm: finite(drive?.controller.leastErpm) || undefined,
    // What it takes to turn idle is what drags.
    dragOffset: finite(drive?.drive.motor.freeCurrent),
    steepest: drive && finite(steepestOf(drive)),
  };
}

/** Slope that a robot on wheels starts on: what it pulls standing, as its controller starts, against its weight. */
function steepestOf(path: DcPath): number | undefined {
  const mass = path.figures['output.mass']?.value;
  const pull = reachOf(path)?.points[0]?.force;
  if (mass === undefined || pull === undefined || path.mechanismKind !== 'drive-base') return undefined;
  return Math.asin(Math.min(1, (pull * START_SHARE[path.controller.startStyle]) / (mass * GRAVITY)));
}

/**
 * What is said of a trial's subject in a plan.
 *
 * @example expectedOf(plan, { name: 'lift motor', partKey: 'motor-1' }).freeCurrent //=> 2.2
 */
export function expectedOf(plan: Plan, subject: TrialSubject): Expected {
  if (subject.partKey !== undefined) {
    const part = plan.parts[subject.partKey]?.part;
    return part ? expectedOfPart(part) : {};
  }
  return subject.mechanismId === undefined ? {} : expectedOfMechanism(plan, subject);
}
