import { readFileSync } from 'node:fs';
import { sweepMarks, sweepMechanism, resolvePath, type Plan } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { ratioChart, STRIPS, stripsIn } from '../src/views/mechanism/choosing/ratioChart.js';
import { wantDimension, wantShown } from '../src/views/mechanism/choosing/shortlist/wantDisplay.js';

const heron = JSON.parse(readFileSync(new URL('../../contract/demo/heron.json', import.meta.url), 'utf8')) as Plan;
const mechanism = (id: string) => heron.mechanisms.find((one) => one.id === id)!;
const points = [...sweepMechanism(heron, 'lift', 'raise', 2.8, 28, 41)];
const pens = { ...{ ink: '', second: '', hair: '', act: '', sheet: '' }, ...{ a: '', b: '', tight: '', gives: '' } };
const chart = (height = 400) =>
  ratioChart({ points, marks: sweepMarks(points), span: [2.8, 28], height, pens, tip: () => '' });

describe('The chart of the ratio sweep', () => {
  it('has its strips one under the other, inside the height, with room for a title over each', () => {
    for (const height of [360, 520]) {
      const strips = stripsIn(height);
      expect(strips).toHaveLength(STRIPS.length);
      strips.forEach(({ top, height: tall }, i) => {
        expect(tall).toBeGreaterThan(20);
        const before = strips[i - 1];
        if (before) expect(top - (before.top + before.height)).toBeGreaterThanOrEqual(16);
      });
      const last = strips.at(-1)!;
      expect(last.top + last.height).toBeLessThan(height);
    }
  });

  it('draws every curve over every total, cuts what stalls, and leaves out what never arrives', () => {
    const { series, yAxis } = chart();
    expect(series).toHaveLength(STRIPS.reduce((sum, { curves }) => sum + curves.length, 0));
    for (const { data, yAxisIndex } of series) {
      expect(data).toHaveLength(points.length);
      const top = (yAxis[yAxisIndex] as { max?: number }).max;
      for (const [, value] of data) if (value !== null && top !== undefined) expect(value).toBeLessThanOrEqual(top);
    }
    const [time] = series;
    points.forEach((point, i) => expect(time!.data[i]![1] === null).toBe(point.time === undefined));
  });

  it('of no points is empty and no failure', () => {
    expect(
      ratioChart({ points: [], marks: {}, span: [1, 10], height: 400, pens, tip: () => '' }).series.every(
        ({ data }) => data.length === 0,
      ),
    ).toBe(true);
  });
});

describe('A want as it is shown', () => {
  const show = (si: number, dimension: string) => `${si} ${dimension}`;
  it('has its own unit: money plain, a margin as a multiple, what turns in turns', () => {
    const lift = resolvePath(heron, mechanism('lift'), 'raise');
    const arm = resolvePath(heron, mechanism('arm'), 'reach');
    expect(wantShown('price', { price: 83 }, lift, show)).toBe('83');
    expect(wantShown('margin', { margin: 1.213 }, lift, show)).toBe('1.21×');
    expect(wantShown('mass', { mass: 1.15 }, lift, show)).toBe('1.15 mass');
    expect(wantShown('time', {}, lift, show)).toBe('?');
    expect([wantDimension('slow', lift), wantDimension('slow', arm)]).toEqual(['velocity', 'speed']);
  });
});
