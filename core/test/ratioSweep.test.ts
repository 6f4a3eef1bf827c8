import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  evaluateMechanism,
  drivePoint,
  RATIO_SCHOOLS,
  resolveDcPath,
  situationOf,
  sweepMarks,
  sweepMechanism,
  tractionTotal,
  withTotal,
  type RatioPoint,
} from '../src/index.js';
import { forceOf } from '../src/judge/limits/electric/electricLimit.js';
import { demoPlan, mechanismOf, nansIn } from './demo.js';

const heron = demoPlan('heron');
const sweep = (id: string, jobId: string, low: number, high: number, count = 61): readonly RatioPoint[] => [
  ...sweepMechanism(heron, id, jobId, low, high, count),
];

describe('A sweep of the total', () => {
  const points = sweep('lift', 'raise', 2, 60);

  it('judges every total as the mechanism would be with it', () => {
    for (const point of points.filter((_, i) => i % 9 === 0)) {
      const plan = applyChanges(heron, [point.change]);
      const job = evaluateMechanism(plan, mechanismOf(plan, 'lift')).jobs.find(({ jobId }) => jobId === 'raise')!;
      expect(point.verdict).toBe(job.verdict);
      expect(point.time).toBe(job.run!.outcome === 'arrived' ? job.run!.time : undefined);
      expect(point.packEnergy).toBe(job.run!.packEnergy);
      expect(resolveDcPath(plan, mechanismOf(plan, 'lift'), 'raise').train.total).toBe(point.total);
    }
  });

  it('goes upwards, has each total once, and no number that is none', () => {
    for (let i = 1; i < points.length; i++) expect(points[i]!.total).toBeGreaterThan(points[i - 1]!.total);
    expect(nansIn(points)).toEqual([]);
  });

  it('marks the least of each, and a plateau around the fastest', () => {
    const marks = sweepMarks(points);
    const at = (total: number | undefined) => points.find((point) => point.total === total)!;
    const times = points.flatMap(({ time }) => time ?? []);
    expect(at(marks.fastest).time).toBe(Math.min(...times));
    expect(at(marks.coolest).heat).toBe(Math.min(...points.filter(({ time }) => time).map(({ heat }) => heat!)));
    expect(at(marks.leastCurrent).peakSupplyCurrent).toBe(
      Math.min(...points.filter(({ time }) => time).map(({ peakSupplyCurrent }) => peakSupplyCurrent!)),
    );
    expect(at(marks.mostRobust).first!.multiple).toBe(Math.max(...points.map(({ first }) => first?.multiple ?? 0)));
    const [low, high] = marks.plateau!;
    expect(low).toBeLessThanOrEqual(marks.fastest!);
    expect(high).toBeGreaterThanOrEqual(marks.fastest!);
    for (const { total, time } of points)
      if (total >= low && total <= high) expect(time).toBeLessThanOrEqual(1.05 * Math.min(...times));
  });

  it('gives each school a total at which nothing gives way, the sure one the deeper', () => {
    const swept = sweep('intake', 'swallow', 1, 60);
    const { deepest, quickest } = sweepMarks(swept);
    const sound = swept.filter(({ verdict, time }) => verdict !== 'gives way' && time !== undefined);
    expect(deepest).toBe(sound.at(-1)?.total);
    if (sound.length > 0) expect(deepest!).toBeGreaterThanOrEqual(quickest!);
    for (const { reasons } of RATIO_SCHOOLS) expect(reasons.length).toBeGreaterThan(80);
  });

  it('of a stepper and of what has nothing to tune is an answer too', () => {
    expect(sweep('turntable', 'turn', 1, 20).every(({ heat }) => heat === undefined)).toBe(true);
    expect(sweep('grip', 'hold', 1, 5)).toEqual([]);
    expect(sweepMarks([])).toEqual({});
  });
});

describe('The traction limit', () => {
  const path = resolveDcPath(heron, mechanismOf(heron, 'drive'), 'push');

  it('is the total at which the motors at rest pull what the tyres carry', () => {
    const total = tractionTotal(path)!;
    const there = withTotal(path, total);
    const pull = forceOf(
      there,
      { ...situationOf(there, 'starting'), acceleration: 0 },
      drivePoint(there.drive, 0).motorCurrent,
    );
    expect(pull).toBeCloseTo(path.load.traction!, 6);
  });

  it('is nothing where nothing can slip', () => {
    expect(tractionTotal(resolveDcPath(heron, mechanismOf(heron, 'lift'), 'raise'))).toBeUndefined();
  });
});
