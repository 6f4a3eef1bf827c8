import { trialSheet, type Trial } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { exportBookCsv, exportReadings, readColumns, readTrial } from '../src/bench/index.js';

/** Trials as files: what is refused, and that readings come back as they were. */
const trial: Trial = {
  kind: 'free-run',
  subject: { name: 'brushed can', specimen: 'tape 3', robot: 'Heron' },
  startedAt: '2026-11-27T15:05:00Z',
  who: '=SUM(A1)',
  used: 'two meters',
  note: '',
  given: { resistance: { si: 0.1, as: '100 mΩ', source: 'sheet' } },
  said: {},
  readings: { voltage: [3, 6, null, 12], speed: [150, 300, 450, 600], current: [2.1, 2.2, 2.3, 2.4] },
  struck: [{ row: 1, why: 'the lead was loose' }],
};

describe('a trial from outside', () => {
  it('is taken where it is whole', () => {
    expect(readTrial(JSON.parse(JSON.stringify(trial)))).toMatchObject({ ok: true });
  });

  it.each([
    ['kind', { ...trial, kind: 'spell' }, 'kind'],
    ['a reading that is none', { ...trial, readings: { voltage: ['3'] } }, 'readings.voltage[0]'],
    [
      'a figure beside it',
      { ...trial, given: { resistance: { si: 'much', as: '', source: 'sheet' } } },
      'given.resistance.si',
    ],
    ['a row that is none', { ...trial, struck: [{ row: -1, why: '' }] }, 'struck[0].row'],
    ['a name with what cannot be printed', { ...trial, who: 'a\u0007b' }, 'who'],
    ['what it does not know', { ...trial, secret: 1 }, 'secret'],
    ['nothing', undefined, 'document'],
  ])('is refused by the place of what is wrong: %s', (_, found, field) => {
    const read = readTrial(found);
    if (read.ok) throw new Error('it was taken');
    expect(read.problems[0]!.field).toBe(field);
  });
});

describe('readings as CSV', () => {
  it('come back as they were, by the names and units of their head', () => {
    const text = exportReadings(trial);
    expect(text.split('\r\n')[0]).toBe('voltage_V,speed_rpm,current_A,struck_out');
    const read = readColumns(text);
    if (!read.ok) throw new Error(read.reason);
    // The column of reasons is words alone.
    expect(read.columns.map(({ name }) => name)).toEqual(trialSheet('free-run').columns.map(({ key }) => key));
    expect(read.columns[0]!.values).toEqual([3, 6, null, 12]);
    expect(read.columns[1]!.values[3]).toBeCloseTo(600, 4);
    expect(read.columns.every(({ inSi }) => inSi)).toBe(true);
  });

  it('and a book as CSV takes no name for a formula', () => {
    const { readings: _readings, struck: _struck, ...head } = trial;
    const text = exportBookCsv([
      { ...head, id: 'a', revision: 1, rows: 4, found: [{ key: 'resistance', value: 0.1 }], takings: [] },
    ]);
    expect(text).toContain("'=SUM(A1)");
    expect(text).toContain('resistance 100 mΩ');
  });
});
