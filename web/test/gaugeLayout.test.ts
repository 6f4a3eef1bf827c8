import { describe, expect, it } from 'vitest';
import type { Rung } from '@rough-gear/core';
import { heightOf, layoutGauge } from '../src/components/gauge/gaugeLayout.js';

const HEIGHT = 220;
const ROW = 24;

const rung = (multiple: number | undefined, more: Partial<Rung> = {}): Rung => ({
  id: 'volts',
  name: 'a limit',
  subject: 'A limit',
  link: 'motor',
  wants: 1.5,
  goodFirst: true,
  verdict: multiple === undefined ? 'not known' : 'enough',
  outOfReach: false,
  lacks: [],
  ...(multiple === undefined ? {} : { multiple }),
  ...more,
});

const layout = (multiples: readonly number[], expanded = false) =>
  layoutGauge(
    [...multiples].sort((a, b) => a - b).map((multiple) => rung(multiple)),
    HEIGHT,
    ROW,
    expanded,
  );

describe('the gauge', () => {
  it('is logarithmic from ten times at the top to half at the bottom', () => {
    expect(heightOf(10, HEIGHT)).toBe(0);
    expect(heightOf(0.5, HEIGHT)).toBeCloseTo(HEIGHT, 9);
    expect(heightOf(2, HEIGHT) - heightOf(4, HEIGHT)).toBeCloseTo(heightOf(1, HEIGHT) - heightOf(2, HEIGHT), 9);
    expect(heightOf(0.1, HEIGHT)).toBe(heightOf(0.5, HEIGHT));
  });

  it('names everything under 3×, folds the rest, counts what is beyond', () => {
    const { rows, folded, beyond } = layout([1.1, 1.2, 1.3, 1.4, 2, 2.5, 2.9, 4, 5, 12, 30]);
    expect(rows.map((row) => row.rung.multiple)).toEqual([2.9, 2.5, 2, 1.4, 1.3, 1.2, 1.1]);
    expect(folded.map(({ multiple }) => multiple)).toEqual([4, 5]);
    expect(beyond.map(({ multiple }) => multiple)).toEqual([12, 30]);
    expect(layout([1.1, 4, 5, 6, 7, 8, 9], true).folded).toEqual([]);
  });

  it('of a low gauge keeps the least, and folds what there is no room for', () => {
    const low = layoutGauge(
      [1.1, 1.2, 1.3, 1.4, 1.5, 1.6, 1.7].map((multiple) => rung(multiple)),
      100,
      ROW,
      false,
    );
    expect(low.rows.map((row) => row.rung.multiple)).toEqual([1.3, 1.2, 1.1]);
    expect(low.folded).toHaveLength(4);
  });

  it('gives each label a row of its own, and none stands on the job’s line', () => {
    for (const multiples of [
      [1, 1.01, 1.02, 1.03, 1.04, 1.05],
      [0.98, 0.99, 1, 1.01],
      [0.6, 0.61, 0.62, 1.5, 1.51],
      [9, 9.1, 9.2, 9.3],
    ]) {
      const { rows } = layout(multiples);
      const line = heightOf(1, HEIGHT);
      rows.forEach(({ label, rung: placed }, i) => {
        if (i > 0) expect(label - rows[i - 1]!.label).toBeGreaterThanOrEqual(ROW - 1e-9);
        if (placed.multiple! >= 1) expect(label + ROW / 2).toBeLessThanOrEqual(line);
        else expect(label - ROW / 2).toBeGreaterThanOrEqual(line);
      });
    }
  });

  it('keeps out-of-reach and unknown rungs apart', () => {
    const result = layoutGauge([rung(1.2), rung(3, { outOfReach: true }), rung(undefined)], HEIGHT, ROW, false);
    expect([result.rows.length, result.outOfReach.length, result.notKnown.length]).toEqual([1, 1, 1]);
  });
});
