import { newStage, STAGE_NAMES, type Stage, type StageKind } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { gearsDrawn } from '../src/views/mechanism/train/gearsDrawn.js';
import { reversesAfter } from '../src/views/mechanism/train/useTrain.js';
import { circlePath, wheelOutline } from '../src/views/mechanism/train/wheelOutline.js';

describe('a wheel as it is drawn', () => {
  const points = (path: string) =>
    path
      .slice(1, -1)
      .split('L')
      .map((pair) => pair.split(' ').map(Number) as [number, number]);

  it('has a trapezoid for each tooth, between its foot and its tip', () => {
    const outline = points(wheelOutline(50, 40, 16, 20, 2.5));
    expect(outline).toHaveLength(4 * 16);
    const radii = outline.map(([x, y]) => Math.hypot(x - 50, y - 40));
    expect(Math.max(...radii)).toBeCloseTo(22.5, 1);
    expect(Math.min(...radii)).toBeCloseTo(17.5, 1);
  });

  it('too small for its teeth keeps a body', () => {
    const radii = points(wheelOutline(0, 0, 8, 3, 5)).map(([x, y]) => Math.hypot(x, y));
    expect(Math.min(...radii)).toBeCloseTo(1.5, 1);
  });

  it('and a circle closes on itself', () => {
    expect(circlePath(10, 20, 4)).toBe('M6 20a4 4 0 1 0 8 0a4 4 0 1 0 -8 0');
  });
});

describe('the sense of rotation', () => {
  const gears: Stage = { id: 'a', kind: 'teeth', driver: 16, driven: 54 };
  const chain: Stage = { id: 'b', kind: 'chain', driver: 18, driven: 48 };

  it('turns round with every pair of gears, and not with a chain or an idler', () => {
    expect(reversesAfter([gears, chain], 0)).toBe(false);
    expect(reversesAfter([gears, chain], 1)).toBe(true);
    expect(reversesAfter([gears, chain], 2)).toBe(true);
    expect(reversesAfter([gears, gears], 2)).toBe(false);
    expect(reversesAfter([{ ...gears, idler: 20 }], 1)).toBe(false);
  });
});

describe('a stage to start from', () => {
  it.each(Object.keys(STAGE_NAMES) as StageKind[])('of kind %s has a size, so that it can be drawn', (kind) => {
    const stage = newStage(kind, 'stage-7');
    expect([stage.id, stage.kind]).toEqual(['stage-7', kind]);
    if ('driver' in stage) expect(stage.pitch).toMatchObject({ source: 'typical' });
    if (stage.kind === 'belt') expect(stage.face).toMatchObject({ source: 'typical' });
  });
});

describe('gears that belong to no stage', () => {
  it('mesh where their teeth do', () => {
    const pair = gearsDrawn('inside-0', 0, 10, 40, 0.0004);
    expect(pair.centre).toBeCloseTo(pair.driverRadius + pair.drivenRadius, 12);
  });
});
