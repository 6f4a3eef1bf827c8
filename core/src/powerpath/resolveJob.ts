import type { FigureCollector } from '../figures/collector.js';
import type { Place } from '../figures/figure.js';
import { driveBase } from '../load/driveBase.js';
import { GRAVITY } from '../load/gravity.js';
import { lift } from '../load/lift.js';
import type { Asked, Load } from '../load/load.js';
import type { Job, PushJob, RaiseJob, SprintJob } from '../plan/job.js';
import type { DrumOutput, Output, WheelsOutput } from '../plan/plan.js';

/** The load side of a path: how the output turns into q, what resists, and what is asked. */
export interface ResolvedJob {
  readonly radius: number;
  /** What the output itself leaves of the force, 0…1. */
  readonly outputEfficiency: number;
  readonly load: Load;
  readonly asked: Asked;
  readonly rope?: { readonly strength: number; readonly knotted: boolean };
}

interface Places {
  readonly job: Place;
  readonly output: Place;
}

const LEVEL = 0;
const STRAIGHT_UP = Math.PI / 2;
const FRICTION_SHARE = 0.05;

/** One reader a kind of job; a new kind is one more line here. */
const READERS: {
  readonly [K in Job['kind']]: (
    job: Extract<Job, { kind: K }>,
    output: Output,
    at: Places,
    collect: FigureCollector,
  ) => ResolvedJob;
} = {
  sprint: (job, output, at, collect) => readSprint(job, expectOutput(output, 'wheels'), at, collect),
  push: (job, output, at, collect) => readPush(job, expectOutput(output, 'wheels'), at, collect),
  raise: (job, output, at, collect) => readRaise(job, expectOutput(output, 'drum'), at, collect),
};

/** Reads a job and the output that does it. Throws where the document pairs a job with another kind of output. */
export function resolveJob(job: Job, output: Output, at: Places, collect: FigureCollector): ResolvedJob {
  const read = READERS[job.kind] as (job: Job, output: Output, at: Places, collect: FigureCollector) => ResolvedJob;
  return read(job, output, at, collect);
}

function expectOutput<K extends Output['kind']>(output: Output, kind: K): Extract<Output, { kind: K }> {
  if (output.kind !== kind) throw new Error(`this job needs ${kind} at its output, not ${output.kind}`);
  return output as Extract<Output, { kind: K }>;
}

function readSprint(job: SprintJob, output: WheelsOutput, at: Places, collect: FigureCollector): ResolvedJob {
  const wheels = readWheels(job, output, at, collect);
  const travel = collect.take('job.distance', job.distance, [...at.job, 'distance']);
  return { ...wheels, load: driveBase(wheels.base), asked: readAsked(job, travel, 1, at.job, collect) };
}

function readPush(job: PushJob, output: WheelsOutput, at: Places, collect: FigureCollector): ResolvedJob {
  const wheels = readWheels(job, output, at, collect);
  const push = collect.take('job.push', job.push, [...at.job, 'push']);
  const timing = readTiming(job, at.job, collect);
  const speed = collect.take('job.pushSpeed', job.speed, [...at.job, 'speed']);
  return {
    ...wheels,
    load: driveBase({ ...wheels.base, push }),
    asked: { ...timing, speed, acceleration: 0, perCoordinate: 1 },
  };
}

function readWheels(job: SprintJob | PushJob, output: WheelsOutput, at: Places, collect: FigureCollector) {
  return {
    radius: collect.take('output.wheelRadius', output.radius, [...at.output, 'radius']),
    outputEfficiency: 1,
    base: {
      mass: collect.take('output.mass', output.mass, [...at.output, 'mass']),
      grip: collect.take('output.grip', output.grip, [...at.output, 'grip']),
      drivenShare: collect.take('output.drivenShare', output.drivenShare, [...at.output, 'drivenShare']),
      rollingResistance: collect.take('output.rollingResistance', output.rollingResistance, [
        ...at.output,
        'rollingResistance',
      ]),
      slope: collect.take('job.slope', job.slope, [...at.job, 'slope'], {
        value: LEVEL,
        why: 'level ground',
        source: 'typical',
      }),
    },
  };
}

function readRaise(job: RaiseJob, output: DrumOutput, at: Places, collect: FigureCollector): ResolvedJob {
  const mass = collect.take('job.mass', job.mass, [...at.job, 'mass']);
  const loadPerRope = collect.take('output.loadPerRope', output.loadPerRope, [...at.output, 'loadPerRope']);
  const height = collect.take('job.distance', job.distance, [...at.job, 'distance']);
  const strength = collect.takeOptional('output.ropeStrength', output.ropeStrength, [...at.output, 'ropeStrength']);
  const load = lift({
    mass,
    loadPerRope,
    slope: collect.take('job.slope', job.slope, [...at.job, 'slope'], {
      value: STRAIGHT_UP,
      why: 'straight up',
      source: 'typical',
    }),
    friction: collect.take('job.friction', job.friction, [...at.job, 'friction'], {
      value: Number.isNaN(mass) ? undefined : FRICTION_SHARE * mass * GRAVITY,
      why: '5 % of the load’s weight',
    }),
    counterforce: collect.take('job.counterforce', job.counterforce, [...at.job, 'counterforce']),
  });
  return {
    radius: collect.take('output.drumRadius', output.radius, [...at.output, 'radius']),
    outputEfficiency: collect.take('output.efficiency', output.efficiency, [...at.output, 'efficiency']),
    load,
    asked: readAsked(job, height / loadPerRope, loadPerRope, at.job, collect),
    ...(strength === undefined ? {} : { rope: { strength, knotted: output.knotted ?? false } }),
  };
}

/** Speed and acceleration where they are not typed: the least that can arrive in time. */
function readAsked(
  job: SprintJob | RaiseJob,
  travel: number,
  perCoordinate: number,
  at: Place,
  collect: FigureCollector,
): Asked {
  const timing = readTiming(job, at, collect);
  const speed = collect.takeOptional('job.speed', job.speed, [...at, 'speed']);
  const acceleration = collect.takeOptional('job.acceleration', job.acceleration, [...at, 'acceleration']);
  return {
    ...timing,
    travel,
    perCoordinate,
    speed: speed === undefined ? travel / timing.time : speed / perCoordinate,
    acceleration: acceleration === undefined ? (2 * travel) / timing.time ** 2 : acceleration / perCoordinate,
  };
}

function readTiming(job: Job, at: Place, collect: FigureCollector) {
  const time = collect.take('job.time', job.time, [...at, 'time']);
  const every = collect.take('job.every', job.every, [...at, 'every']);
  return {
    time,
    every,
    held: collect.take('job.held', job.held, [...at, 'held']),
    shock: collect.take('job.shock', job.shock, [...at, 'shock']),
    dutyShare: Math.min(1, time / every),
  };
}
