import type { FigureCollector } from '../../plan/figures/collector.js';
import type { Place } from '../../plan/document/place.js';
import type { Asked } from '../../models/load/load.js';
import type { Job, Profile } from '../../plan/document/load.js';

/** What every job asks in time. */
export function readTiming(job: Job, at: Place, collect: FigureCollector) {
  const time = collect.take('job.time', job.time, [...at, 'time']);
  const every = collect.take('job.every', job.every, [...at, 'every']);
  return {
    time,
    every,
    held: collect.take('job.held', job.held, [...at, 'held']),
    shock: collect.take('job.shock', job.shock, [...at, 'shock']),
    profile: job.profile ?? ('moving' as Profile),
    workingSeconds: time,
    dutyShare: Math.min(1, time / every),
  };
}

/** Speed and acceleration where they are not typed: the least that can arrive in time. */
export function readAsked(
  job: Job,
  travel: number,
  at: Place,
  collect: FigureCollector,
  { perCoordinate = 1, turning = false }: { perCoordinate?: number; turning?: boolean } = {},
): Asked {
  const timing = readTiming(job, at, collect);
  const read = (name: 'speed' | 'acceleration' | 'creep', turned: 'turnSpeed' | 'turnAcceleration' | 'turnCreep') =>
    collect.takeOptional(turning ? `job.${turned}` : `job.${name}`, job[name], [...at, name]);
  const speed = read('speed', 'turnSpeed');
  const acceleration = read('acceleration', 'turnAcceleration');
  const creep = read('creep', 'turnCreep');
  return Object.assign(timing, {
    travel,
    perCoordinate,
    speed: speed === undefined ? travel / timing.time : speed / perCoordinate,
    acceleration: acceleration === undefined ? (2 * travel) / timing.time ** 2 : acceleration / perCoordinate,
    typedSpeed: speed === undefined ? undefined : speed / perCoordinate,
    typedAcceleration: acceleration === undefined ? undefined : acceleration / perCoordinate,
    creep: creep === undefined ? undefined : creep / perCoordinate,
  });
}
