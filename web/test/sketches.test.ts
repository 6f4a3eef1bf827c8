import type { PowerPath } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import {
  bandSeries,
  HELD_BY_DASHES,
  HELD_BY_NAMES,
  heldByColours,
  outputUnits,
} from '../src/components/charts/forceChart.js';
import { JOB_FIELDS, OUTPUT_ALLOW, OUTPUT_FIELDS } from '../src/views/mechanism/panels/loadFields.js';

describe('charts of force over speed', () => {
  it('measure turns where the output turns', () => {
    const path = (unit: 'm' | 'rad') => ({ load: { unit } }) as PowerPath;
    expect(outputUnits(path('m'))).toEqual({ force: 'force', speed: 'velocity' });
    expect(outputUnits(path('rad'))).toEqual({ force: 'torque', speed: 'speed' });
  });

  it('tell limits apart by more than colour', () => {
    const names = Object.keys(HELD_BY_NAMES) as (keyof typeof HELD_BY_NAMES)[];
    const colours = heldByColours({ a: 'a', b: 'b', ink: 'ink' });
    for (const one of names) {
      for (const other of names.filter((name) => name !== one)) {
        if (colours[one] !== colours[other]) continue;
        // The pack-side limit holds while driving, the return limit while braking: never in one chart.
        expect(new Set([one, other])).toEqual(new Set(['supply', 'returned']));
      }
      expect(HELD_BY_NAMES[one]).not.toBe('');
      expect(HELD_BY_DASHES[one]).toBeDefined();
    }
  });

  it('stack the band of builds: its least, and its width on top', () => {
    const [least, width] = bandSeries(
      [{ at: 2, low: 3, middle: 4, high: 7 }],
      (x) => x * 10,
      (y) => y * 2,
      'grey',
    );
    expect(least!.data).toEqual([[20, 6]]);
    expect(width!.data).toEqual([[20, 8]]);
    expect(bandSeries(undefined, Number, Number, 'grey')).toEqual([]);
    expect(bandSeries([], Number, Number, 'grey')).toEqual([]);
  });

  it('never draw a band below nothing', () => {
    const [least, width] = bandSeries([{ at: 0, low: -3, middle: -1, high: 2 }], Number, Number, 'grey');
    expect(least!.data).toEqual([[0, 0]]);
    expect(width!.data).toEqual([[0, 2]]);
  });
});

describe('what panels say', () => {
  it('names no figure twice', () => {
    for (const { deciding, rest } of Object.values(JOB_FIELDS)) {
      const all = [...deciding, ...rest];
      expect(new Set(all).size).toBe(all.length);
    }
  });

  it('carries its caution where something falls, is thrown or catches', () => {
    expect(OUTPUT_FIELDS.drum.note).toMatch(/falls when the power goes/);
    expect(OUTPUT_FIELDS.arm.note).toMatch(/falls when the power goes/);
    expect(OUTPUT_FIELDS.flywheel.note).toMatch(/guard.*eye protection.*clear zone/);
    expect(OUTPUT_FIELDS.roller.note).toMatch(/fingers/);
    expect(OUTPUT_FIELDS.grip.note).toMatch(/lets go/);
  });

  it('allows more than the positive only for figures that a panel shows', () => {
    const shown = new Set(Object.values(OUTPUT_FIELDS).flatMap(({ fields }) => fields));
    for (const key of Object.keys(OUTPUT_ALLOW)) expect(shown).toContain(key);
  });

  it('offers what holds a load up wherever something may fall', () => {
    for (const kind of ['drum', 'arm', 'carriage'] as const)
      expect(OUTPUT_FIELDS[kind].choices.map(({ key }) => key)).toContain('holder');
  });
});
