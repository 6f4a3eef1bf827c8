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

  it('never rounds a multiple up to 1×', () => {
    expect(showMultiple(0.997)).toBe('0.99×');
    expect(showMultiple(1.2084)).toBe('1.21×');
    expect(showMultiple(21.4)).toBe('21×');
    expect(showMultiple(Infinity)).toBe('—');
  });
});
