import {
  applyChanges,
  compareVariant,
  creepSpeedOf,
  freeSpeedAt,
  gearedVariants,
  gearFor,
  mechanismById,
  packPartOf,
  resolveDcPath,
  sameSpeedVariants,
  systemOf,
  topSpeedOf,
  withTotal,
  type DcPath,
} from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { pullAt } from '../src/judge/motion/acceleration.js';
import { demoPlan } from './demo.js';

const plan = demoPlan('heron');
const pathOf = (mechanism: string, job: string): DcPath => resolveDcPath(plan, mechanismById(plan, mechanism), job);
const JOBS = [
  ['drive', 'sprint'],
  ['drive', 'push'],
  ['lift', 'raise'],
] as const;

describe('The total for a wanted speed', () => {
  it.each(JOBS)('runs %s at %s exactly so fast: nothing is left to speed it up', (mechanism, job) => {
    const path = pathOf(mechanism, job);
    const top = topSpeedOf(path)!;
    for (const share of [0.3, 0.6, 0.9]) {
      const geared = gearFor(path, 'top', share * top);
      if (!geared.ok) throw new Error('it can be geared so');
      const there = withTotal(path, geared.total);
      expect(topSpeedOf(there)).toBeCloseTo(share * top, 5);
      // By what the motion itself says: at that speed full effort and the load cancel.
      const q = (share * top) / path.asked.perCoordinate;
      const { acceleration } = pullAt(systemOf(there), 0, q);
      const atRest = pullAt(systemOf(there), 0, 0).acceleration;
      expect(Math.abs(acceleration)).toBeLessThan(0.08 * Math.abs(atRest));
    }
  });

  it('is the deeper of two, at which the motor turns fast', () => {
    const path = pathOf('lift', 'raise');
    const geared = gearFor(path, 'top', 0.3);
    if (!geared.ok) throw new Error('it can be geared so');
    const omega = (0.3 / path.asked.perCoordinate / path.radius) * geared.total;
    expect(omega).toBeGreaterThan(0.5 * freeSpeedAt(path.drive.motor, path.drive.restVoltage));
  });

  it('is refused beyond what any total gives, with the fastest and its total', () => {
    const path = pathOf('lift', 'raise');
    const refused = gearFor(path, 'top', 30);
    if (refused.ok || refused.nearest === undefined) throw new Error('no total does it');
    expect(topSpeedOf(withTotal(path, refused.at))).toBeCloseTo(refused.nearest, 9);
    for (const around of [0.8, 1.25])
      expect(topSpeedOf(withTotal(path, refused.at * around)) ?? 0).toBeLessThan(refused.nearest);
  });

  it('goes with one over the total at the slow end', () => {
    const path = pathOf('drive', 'push');
    const creep = creepSpeedOf(path)!;
    const geared = gearFor(path, 'creep', creep / 2);
    expect(geared.ok && geared.total).toBeCloseTo(2 * path.train.total, 9);
    expect(creepSpeedOf(withTotal(path, 2 * path.train.total))).toBeCloseTo(creep / 2, 12);
  });

  it('is as near as the stage that moves comes', () => {
    const geared = gearFor(pathOf('drive', 'push'), 'top', 1.5);
    if (!geared.ok) throw new Error('it can be geared so');
    const [now, then] = gearedVariants(geared.total).map((row) => compareVariant(plan, 'drive', 'push', row));
    expect(now!.changes).toEqual([]);
    expect(now!.total).toBeCloseTo(pathOf('drive', 'push').train.total, 12);
    expect(Math.abs(then!.total / geared.total - 1)).toBeLessThan(0.02);
  });
});

describe('The same speed on other volts', () => {
  it.each(JOBS.flatMap((job) => (['top', 'creep'] as const).map((end) => [...job, end] as const)))(
    '%s, %s, %s: each cell count the controller stands gives it at the total its row says',
    (mechanism, job, end) => {
      const speedOf = end === 'top' ? topSpeedOf : creepSpeedOf;
      const speed = 0.6 * speedOf(pathOf(mechanism, job))!;
      const variants = [...sameSpeedVariants(plan, mechanism, job, end, speed)];
      expect(variants.map(({ id }) => id)).toContain(`series-${packPartOf(plan)!.series}`);
      const rows = variants.map((variant) => compareVariant(plan, mechanism, job, variant));
      const cells = rows.map(({ changes, total, label }) => {
        const changed = applyChanges(plan, changes);
        const there = resolveDcPath(changed, mechanismById(changed, mechanism), job);
        expect(there.train.total, label).toBeCloseTo(total, 12);
        expect(Math.abs(speedOf(there)! / speed - 1), label).toBeLessThan(0.06);
        expect(there.pack.figures.series * 2.3).toBeLessThanOrEqual(there.controller.highestVoltage + 1e-9);
        return there.pack.figures.series;
      });
      expect(new Set(cells).size).toBe(variants.length);
      // Teeth are whole: of two totals that nearly are one the shallower may come out a tooth deeper.
      for (const [i, { total }] of rows.entries()) if (i > 0) expect(total).toBeGreaterThan(0.96 * rows[i - 1]!.total);
    },
  );
});
