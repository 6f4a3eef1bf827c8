import { describe, expect, it } from 'vitest';
import {
  fitCoastDown,
  fitFreeRun,
  fitPack,
  fitPull,
  fitServoLine,
  fitSpun,
  fitStall,
  fitWarmth,
  type MeasuredFigure,
} from '../src/index.js';

/**
 * Each fit against a bench whose true values are known: 100 seeded runs with noise, some twenty readings each (few readings
 * know their own scatter badly: three errors of five readings are no 99 %). The truth lies within three standard
 * errors in at least 97 of them, and the errors that are told are neither half nor double of the scatter that is seen.
 */

function seeded(seed: number): () => number {
  let state = seed >>> 0;
  const uniform = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  // A bell curve from two uniform numbers.
  return () => Math.sqrt(-2 * Math.log(uniform() + 1e-12)) * Math.cos(2 * Math.PI * uniform());
}

const RUNS = 100;
const range = (n: number, from: number, to: number): readonly number[] =>
  Array.from({ length: n }, (_, i) => from + ((to - from) * i) / (n - 1));

const FITS: Readonly<
  Record<string, { truth: Record<string, number>; run: (noise: () => number) => Record<string, MeasuredFigure> }>
> = {
  'a pack': {
    truth: { restVoltage: 12.6, resistance: 0.017 },
    run: (noise) => {
      const { restVoltage, resistance } = fitPack(
        range(20, 2, 60).map((current) => ({ current, voltage: 12.6 - 0.017 * current + 0.01 * noise() })),
      );
      return { restVoltage, resistance };
    },
  },
  'a free run': {
    truth: { backEmfConstant: 0.011, freeCurrent: 1, freeCurrentPerSpeed: 0.0015 },
    run: (noise) => {
      const readings = range(20, 3, 12).map((voltage) => {
        const speed = (voltage - 0.15) / (0.011 + 0.0015 * 0.15);
        return {
          voltage: voltage + 0.01 * noise(),
          speed: speed + 0.5 * noise(),
          current: 1 + 0.0015 * speed + 0.02 * noise(),
        };
      });
      const { backEmfConstant, freeCurrent, freeCurrentPerSpeed } = fitFreeRun(0.15, readings);
      return { backEmfConstant, freeCurrent, freeCurrentPerSpeed };
    },
  },
  stalls: {
    truth: { resistance: 0.1, brushDrop: 0.6, torqueConstant: 0.02 },
    run: (noise) => {
      const { resistance, brushDrop, torqueConstant } = fitStall(
        2,
        range(20, 5, 45).map((current) => ({
          current,
          voltage: 0.6 + 0.1 * current + 0.02 * noise(),
          torque: 0.02 * (current - 2) + 0.008 * noise(),
        })),
      );
      return { resistance, brushDrop: brushDrop!, torqueConstant: torqueConstant! };
    },
  },
  'one spun by a drill': {
    truth: { backEmfConstant: 0.021 },
    run: (noise) => {
      const { backEmfConstant } = fitSpun(
        'r.m.s.',
        range(20, 50, 250).map((speed) => ({ speed, voltage: (0.021 * speed) / Math.SQRT2 + 0.01 * noise() })),
      );
      return { backEmfConstant };
    },
  },
  'a coast-down': {
    truth: { frictionTorque: 0.06, viscousDrag: 9e-5, startSpeed: 430 },
    run: (noise) => {
      const k = 9e-5 / 0.009;
      const { frictionTorque, viscousDrag, startSpeed } = fitCoastDown(
        0.009,
        range(25, 0, 30).map((time) => ({
          time,
          speed: 430 * Math.exp(-k * time) - (0.06 / 9e-5) * (1 - Math.exp(-k * time)) + 0.8 * noise(),
        })),
      );
      return { frictionTorque, viscousDrag, startSpeed };
    },
  },
  'a pull on a scale': {
    truth: { pullPerAmpere: 4.7 },
    run: (noise) => {
      const { pullPerAmpere } = fitPull(
        range(20, 5, 35).map((current) => ({ current, force: 4.7 * (current - 2.4) + 1.5 * noise() })),
      );
      return { pullPerAmpere };
    },
  },
  'a servo’s line': {
    truth: { perSecond: 1570, play: 0.02 },
    run: (noise) => {
      const { perSecond, play } = fitServoLine(
        (['up', 'down'] as const).flatMap((way) =>
          range(12, 0.0008, 0.0022).map((pulse) => ({
            pulse,
            way,
            angle: 1570 * (pulse - 0.0015) + (way === 'up' ? 0.01 : -0.01) + 0.003 * noise(),
          })),
        ),
      );
      return { perSecond, play };
    },
  },
  'a case that warms': {
    truth: { caseToAir: 2.1, caseCapacity: 430 },
    run: (noise) => {
      const { caseToAir, caseCapacity } = fitWarmth(
        22,
        12,
        range(30, 30, 1800).map((time) => ({
          time,
          temperature: 22 + 12 * 2.1 * (1 - Math.exp(-time / (2.1 * 430))) + 0.3 * noise(),
        })),
      );
      return { caseToAir, caseCapacity };
    },
  },
};

describe.each(Object.entries(FITS))('%s', (_name, { truth, run }) => {
  const found = Array.from({ length: RUNS }, (_, seed) => run(seeded(1000 + seed)));

  it.each(Object.keys(truth))('%s: within three errors of the truth, and the errors are honest', (key) => {
    const figures = found.map((one) => one[key]!);
    const within = figures.filter(({ value, error }) => Math.abs(value - truth[key]!) <= 3 * error).length;
    expect(within).toBeGreaterThanOrEqual(97);
    const mean = figures.reduce((sum, { value }) => sum + value, 0) / RUNS;
    const scatter = Math.sqrt(figures.reduce((sum, { value }) => sum + (value - mean) ** 2, 0) / (RUNS - 1));
    const told = Math.sqrt(figures.reduce((sum, { error }) => sum + error ** 2, 0) / RUNS);
    expect(told / scatter).toBeGreaterThan(0.5);
    expect(told / scatter).toBeLessThan(2);
  });
});
