import { DRAG_AT, WATTS_TOLD } from '../trials/found.js';
import type { TrialKind } from '../trials/trials.js';
import type { RigTruth } from './truth.js';

/** What the rig plays for a kind of trial: its columns, and what stands in them after so many seconds. SI. */
export interface RigProgramme {
  /** As the header of the line format names them. */
  readonly header: readonly string[];
  /** Seconds it lasts, and between two lines. */
  readonly length: number;
  readonly every: number;
  /** Values at a time; noise comes on top. */
  at(time: number): readonly number[];
  /** Noise of each column, standard deviation as a share of the reading. */
  readonly noise: readonly number[];
  /** The same of what is read off a scale, whatever stands there: SI. */
  readonly scaleNoise?: readonly number[];
  /** The breaker trips at this second, where it does: volts and amperes are gone from then on. */
  readonly tripsAt?: number;
}

/** Which of some set points it is at, each held so long; and how long it is there already. */
const standing = (points: readonly number[], each: number, time: number): readonly [point: number, since: number] => {
  const i = Math.min(points.length - 1, Math.floor(time / each));
  return [points[i]!, time - i * each];
};

/** What goes to and fro line by line has no noise of its own in what was set. */
const rows = (
  header: readonly string[],
  all: readonly (readonly number[])[],
  noise: readonly number[],
): RigProgramme => ({
  header,
  length: all.length,
  every: 1,
  at: (time) => all[Math.min(all.length - 1, Math.floor(time))]!,
  noise,
});

const EVERY = 1 / 12;
const STAND = 3;
const SPIN_UP = 0.25;
const MOTOR_VOLTS = [3, 4.8, 6.6, 8.4, 10.2, 12];
const STALL_VOLTS = [0.6, 0.9, 1.2, 1.5, 1.8, 2.4];
const DRILL = [60, 100, 140, 180];
const LOADS = [0, 5, 10, 20, 40];
const PULLS = [8, 12, 16, 24, 32, 40];
const DOWN_FROM = 300;
const LONGEST_COAST = 60;
const COAST_LINES = 80;
/** The rig’s own disc, kg·m². */
export const RIG_INERTIA = 2e-4;
export const RIG_AMBIENT = 21;
export const RIG_WATTS = 12;
const WARM_FASTER = 60;
const tenth = (value: number, i: number) => value * (0.7 + 0.1 * i);
const upAndDown = (n: number) => [
  ...Array.from({ length: n }, (_, i) => [i, 1] as const),
  ...Array.from({ length: n }, (_, i) => [n - 1 - i, 0] as const),
];

const PROGRAMMES: Readonly<Record<TrialKind, (truth: RigTruth, inertia: number) => RigProgramme>> = {
  'free-run': ({ resistance, backEmfConstant: ke, freeCurrent: i0, freeCurrentPerSpeed: i1 }) => ({
    header: ['t_s', 'V', 'A', 'rpm'],
    length: MOTOR_VOLTS.length * STAND,
    every: EVERY,
    noise: [0, 0.002, 0.006, 0.003],
    at: (time) => {
      const [volts, since] = standing(MOTOR_VOLTS, STAND, time);
      const [before] = standing(MOTOR_VOLTS, STAND, Math.max(0, time - STAND));
      const speedAt = (v: number) => (v - i0 * resistance) / (ke + i1 * resistance);
      const from = time < STAND ? 0 : speedAt(before);
      const speed = speedAt(volts) + (from - speedAt(volts)) * Math.exp(-since / SPIN_UP);
      return [time, volts, i0 + i1 * speed, speed];
    },
  }),
  stall: ({ resistance, torqueConstant, freeCurrent, brushDrop }) => ({
    header: ['t_s', 'V', 'A', 'Nm'],
    length: STALL_VOLTS.length * STAND,
    every: EVERY,
    noise: [0, 0.004, 0.006, 0.008],
    tripsAt: STALL_VOLTS.length * STAND - STAND / 2,
    at: (time) => {
      const [volts] = standing(STALL_VOLTS, STAND, time);
      const current = Math.max(0, volts - brushDrop) / resistance;
      return [time, volts, current, torqueConstant * Math.max(0, current - freeCurrent)];
    },
  }),
  spun: ({ backEmfConstant }) => ({
    header: ['t_s', 'rpm', 'V'],
    length: DRILL.length * STAND,
    every: EVERY,
    noise: [0, 0.003, 0.003],
    at: (time) => {
      const [speed] = standing(DRILL, STAND, time);
      return [time, speed, backEmfConstant * speed];
    },
  }),
  'coast-down': ({ frictionTorque, viscousDrag }, inertia) => {
    const [a, k] = [frictionTorque / inertia, viscousDrag / DRAG_AT / inertia];
    // Until a third of the speed is left, and no longer than anybody would watch it.
    const third = Math.log((DOWN_FROM + a / k) / (DOWN_FROM / 3 + a / k)) / k;
    const length = Math.min(third, LONGEST_COAST);
    return {
      header: ['t_s', 'rpm'],
      length,
      every: length / COAST_LINES,
      noise: [0, 0.004],
      at: (time) => [time, Math.max(0, (DOWN_FROM + a / k) * Math.exp(-k * time) - a / k)],
    };
  },
  pack: ({ restVoltage, packResistance }) => ({
    header: ['t_s', 'A', 'V'],
    length: LOADS.length * STAND,
    every: EVERY,
    noise: [0, 0.006, 0.0006],
    at: (time) => {
      const [load] = standing(LOADS, STAND, time);
      return [time, load, restVoltage - load * packResistance];
    },
  }),
  pull: ({ pullPerAmpere, lostCurrent }) => ({
    header: ['t_s', 'A', 'N'],
    length: PULLS.length * STAND,
    every: EVERY,
    noise: [0, 0.008, 0.01],
    at: (time) => {
      const [current] = standing(PULLS, STAND, time);
      return [time, current, pullPerAmpere * Math.max(0, current - lostCurrent)];
    },
  }),
  'step-ladder': ({ rateKept }) =>
    rows(
      ['rate_Hz', 'kept'],
      Array.from({ length: 8 }, (_, i) => [tenth(rateKept, i), tenth(rateKept, i) <= rateKept ? 1 : 0]),
      [0, 0],
    ),
  'servo-currents': ({ idleCurrent, runningCurrent, stallCurrent }) =>
    rows(
      ['idle_mA', 'moving_mA', 'stalled_A'],
      Array.from({ length: 6 }, () => [idleCurrent, runningCurrent, stallCurrent]),
      [0.05, 0.05, 0.03],
    ),
  'servo-line': ({ travel, play }) => ({
    ...rows(
      ['pulse_us', 'deg', 'way'],
      upAndDown(6).map(([i, way]) => {
        const pulse = 0.0006 + i * 0.00036;
        return [pulse, ((pulse - 0.0015) * travel) / 0.002 + (way ? play / 2 : -play / 2), way];
      }),
      [0, 0, 0],
    ),
    // Half a degree of a protractor.
    scaleNoise: [0, 0.008, 0],
  }),
  warmth: ({ caseToAir, caseCapacity }) => ({
    header: ['t_s', 'degC'],
    length: 40,
    every: 0.5,
    noise: [0, 0.003],
    at: (time) => {
      const [resistance, t] = [caseToAir / WATTS_TOLD, time * WARM_FASTER];
      return [t, RIG_AMBIENT - RIG_WATTS * resistance * Math.expm1(-t / (resistance * caseCapacity))];
    },
  }),
  'least-speed': ({ leastUp, leastDown }) =>
    rows(
      ['rpm', 'keeps', 'way'],
      upAndDown(8).map(([i, way]) => {
        const speed = tenth(leastUp, i) * (way ? 1 : 0.85);
        return [speed, speed >= (way ? leastUp : leastDown) ? 1 : 0, way];
      }),
      [0.004, 0, 0],
    ),
  'drag-offset': ({ dragOffset }) =>
    rows(
      ['offset_A', 'does'],
      Array.from({ length: 8 }, (_, i) => {
        const offset = tenth(dragOffset, i);
        return [offset, offset < 0.95 * dragOffset ? -1 : offset > 1.05 * dragOffset ? 1 : 0];
      }),
      [0, 0],
    ),
  ramp: ({ steepest, rolledBack }) =>
    rows(
      ['slope_deg', 'started', 'rolled_mm'],
      Array.from({ length: 7 }, (_, i) => {
        const slope = tenth(steepest, i);
        return [slope, slope <= steepest ? 1 : 0, rolledBack * (slope / steepest) ** 2];
      }),
      [0, 0, 0.08],
    ),
  go: ({ goTime, peakCurrent, meanCurrent, leastVolts, restVoltage }) =>
    rows(
      ['time_s', 'peak_A', 'mean_A', 'least_V', 'rest_V'],
      Array.from({ length: 5 }, () => [goTime, peakCurrent, meanCurrent, leastVolts, restVoltage]),
      [0.015, 0.02, 0.012, 0.002, 0.001],
    ),
  // Two minutes and a half of goes, one every ten seconds.
  'match-log': ({ peakCurrent, restVoltage, packResistance }) => ({
    header: ['t_s', 'V', 'A'],
    length: 150,
    every: 0.2,
    noise: [0, 0.001, 0.01],
    at: (time) => {
      const current = time % 10 < 3 ? peakCurrent : 2;
      return [time, restVoltage - packResistance * current, current];
    },
  }),
  // Up to speed in a seventh of its time, and steadily on.
  'logged-go': ({ goTime, topSpeed, peakCurrent, meanCurrent, leastVolts, restVoltage }) => ({
    header: ['t_s', 'rpm', 'A', 'V'],
    length: goTime,
    every: EVERY / 4,
    noise: [0, 0.006, 0.015, 0.001],
    at: (time) => {
      const begun = Math.min(1, (7 * time) / goTime);
      const current = begun < 1 ? peakCurrent : meanCurrent;
      return [time, topSpeed * begun, current, restVoltage - ((restVoltage - leastVolts) * current) / peakCurrent];
    },
  }),
};

/**
 * What the rig plays for a kind of trial.
 *
 * @example programmeOf('pack', truthOf({}, 1)).header //=> ['t_s', 'A', 'V']
 */
export const programmeOf = (kind: TrialKind, truth: RigTruth, inertia = RIG_INERTIA): RigProgramme =>
  PROGRAMMES[kind](truth, inertia);
