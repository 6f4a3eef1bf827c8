import { describe, expect, it } from 'vitest';
import { applyChanges, digits, show, showMultiple } from '../src/index.js';
import { plainPlan } from './demo.js';

const heron = plainPlan('heron');

describe('changes', () => {
  it('share everything untouched', () => {
    const changed = applyChanges(heron, [{ at: ['mechanisms', 1, 'name'], to: 'Tower' }]);
    expect(changed.mechanisms[1]!.name).toBe('Tower');
    expect(changed.mechanisms[0]).toBe(heron.mechanisms[0]);
    expect(changed.parts).toBe(heron.parts);
    expect(heron.mechanisms[1]!.name).toBe('Mast lift');
  });

  it('take a key away, and make what is missing on the way', () => {
    const without = applyChanges(heron, [{ at: ['parts', 'pack-1', 'part', 'dischargeLimit'] }]);
    expect('dischargeLimit' in without.parts['pack-1']!.part).toBe(false);
    const made = applyChanges(heron, [{ at: ['supply', 0, 'wire', 'gauge'], to: 4 }]);
    expect(made.supply[0]).toMatchObject({ wire: { gauge: 4 } });
  });

  it('refuse a way through something without keys', () => {
    expect(() => applyChanges(heron, [{ at: ['name', 'first'], to: 1 }])).toThrow(/nothing to change at/);
  });
});

describe('showing numbers', () => {
  it('keeps three digits and no more', () => {
    expect([0.8437, 11.82, 208.13, 5800, 0.0123, 0].map((value) => digits(value))).toEqual([
      '0.844',
      '11.8',
      '208',
      '5800',
      '0.0123',
      '0',
    ]);
    expect(digits(NaN)).toBe('—');
  });

  it('has a unit for every dimension', () => {
    expect(show(0.013, 'resistance')).toBe('13 mΩ');
    expect(show(607.3746, 'speed')).toBe('5800 rpm');
    expect(show(9.4, 'ratio')).toBe('9.4:1');
    expect(show(Math.PI / 9, 'angle')).toBe('20°');
  });

  it('rounds a multiple towards the worse, so that it never contradicts its word', () => {
    const shown = [0.9174, 0.997, 0.99999, 1.2478, 1.2084, 9.999, 21.48, 999.9, 1234.5, 0.034567];
    expect(shown.map(showMultiple)).toEqual([
      '0.917×',
      '0.997×',
      '0.999×',
      '1.24×',
      '1.20×',
      '9.99×',
      '21.4×',
      '999×',
      '1234×',
      '0.0345×',
    ]);
    // What was typed as a margin reads as it was typed, whatever a float makes of it.
    for (const wanted of [1, 1.1, 1.15, 1.2, 1.25, 1.3, 1.5, 2, 3.3, 4, 7])
      expect(Number.parseFloat(showMultiple(wanted))).toBe(wanted);
    expect([0, 1e-9, Infinity].map(showMultiple)).toEqual(['0×', '<0.001×', '—']);
  });
});
