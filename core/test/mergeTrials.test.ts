import { mergeTrials, rowIdsOf, rowsBeside, rowsOf, withMine, type Trial } from '@rough-gear/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';

const begun: Trial = {
  kind: 'stall',
  subject: { name: 'brushed 12 V' },
  startedAt: '2026-11-30T18:00:00Z',
  who: 'Mila',
  used: '',
  note: '',
  given: {},
  said: { supply: 'a pack' },
  readings: { voltage: [1, 2], current: [10, 20] },
  rowIds: ['a.0', 'a.1'],
  struck: [],
};

/** Adds a row of a device. */
const added = (trial: Trial, id: string, voltage: number): Trial => ({
  ...trial,
  readings: {
    voltage: [...trial.readings['voltage']!, voltage],
    current: [...trial.readings['current']!, voltage * 10],
  },
  rowIds: [...rowIdsOf(trial), id],
});
const cell = (trial: Trial, row: number, voltage: number | null): Trial => ({
  ...trial,
  readings: { ...trial.readings, voltage: trial.readings['voltage']!.map((old, i) => (i === row ? voltage : old)) },
});
const without = (trial: Trial, row: number): Trial => ({
  ...trial,
  readings: Object.fromEntries(
    Object.entries(trial.readings).map(([key, values]) => [key, values.filter((_, i) => i !== row)]),
  ),
  rowIds: rowIdsOf(trial).filter((_, i) => i !== row),
});

describe('two devices on one trial', () => {
  it('keeps the rows of both, theirs in front', () => {
    const { trial, clashes } = mergeTrials(begun, added(begun, 'm.0', 3), added(begun, 't.0', 4));
    expect(trial.rowIds).toEqual(['a.0', 'a.1', 't.0', 'm.0']);
    expect(trial.readings).toEqual({ voltage: [1, 2, 4, 3], current: [10, 20, 40, 30] });
    expect(clashes).toEqual([]);
  });

  it('tells rows of an earlier version apart by their place', () => {
    const { rowIds: _, ...old } = begun;
    const { trial, clashes } = mergeTrials(old, added(old, 'm.0', 3), cell(old, 0, 9));
    expect(trial.readings['voltage']).toEqual([9, 2, 3]);
    expect(trial.rowIds).toEqual(['#0', '#1', 'm.0']);
    expect(clashes).toEqual([]);
  });

  it('takes the change of whoever changed, in rows, words and figures', () => {
    const mine = { ...cell(begun, 0, 1.5), note: 'cold', struck: [{ row: 1, why: 'slipped' }] };
    const theirs = {
      ...cell(begun, 1, 2.5),
      who: 'Ben',
      given: { mass: { value: 2, unit: 'kg' } },
    } as unknown as Trial;
    const { trial, clashes } = mergeTrials(begun, mine, theirs);
    expect(trial).toMatchObject({
      note: 'cold',
      who: 'Ben',
      given: { mass: { value: 2 } },
      readings: { voltage: [1.5, 2.5] },
      struck: [{ row: 1, why: 'slipped' }],
    });
    expect(clashes).toEqual([]);
  });

  it('shows mine and theirs where both changed one thing, and mine can be taken', () => {
    const mine = { ...cell(begun, 0, 1.5), note: 'cold', said: {}, struck: [{ row: 1, why: 'slipped' }] };
    const theirs = {
      ...cell(begun, 0, 1.7),
      note: 'warm',
      said: { supply: 'a bench supply' },
      struck: [{ row: 1, why: 'hot' }],
    };
    const { trial, clashes } = mergeTrials(begun, mine, theirs);
    expect(trial).toMatchObject({ note: 'warm', said: { supply: 'a bench supply' }, readings: { voltage: [1.7, 2] } });
    expect(clashes).toEqual([
      { place: { in: 'note' }, mine: 'cold', theirs: 'warm' },
      { place: { in: 'said', key: 'supply' }, mine: undefined, theirs: 'a bench supply' },
      { place: { in: 'cell', rowId: 'a.0', column: 'voltage' }, mine: 1.5, theirs: 1.7 },
      { place: { in: 'struck', rowId: 'a.1' }, mine: 'slipped', theirs: 'hot' },
    ]);
    expect(clashes.reduce(withMine, trial)).toMatchObject({
      note: 'cold',
      said: {},
      readings: { voltage: [1.5, 2] },
      struck: [{ row: 1, why: 'slipped' }],
    });
  });

  it('lets a dropped row go, unless the other wrote in it since', () => {
    expect(mergeTrials(begun, without(begun, 0), begun).trial.rowIds).toEqual(['a.1']);
    expect(mergeTrials(begun, begun, without(begun, 0)).trial.rowIds).toEqual(['a.1']);
    expect(mergeTrials(begun, without(begun, 0), cell(begun, 0, 7)).trial.readings['voltage']).toEqual([7, 2]);
    expect(mergeTrials(begun, cell(begun, 0, 7), without(begun, 0)).trial.readings['voltage']).toEqual([2, 7]);
  });

  it('calls every difference a clash where it is not known what both began with', () => {
    const { clashes } = mergeTrials(undefined, { ...begun, note: 'cold' }, { ...begun, note: 'warm' });
    expect(clashes).toContainEqual({ place: { in: 'note' }, mine: 'cold', theirs: 'warm' });
    expect(mergeTrials(undefined, begun, begun).clashes).toEqual([]);
  });

  it('counts rows that only one of them has', () => {
    expect(rowsBeside(added(added(begun, 'm.0', 3), 'm.1', 4), begun)).toBe(2);
    expect(rowsBeside(begun, added(begun, 't.0', 3))).toBe(0);
  });

  it('loses no row that anybody wrote, in whatever order two devices come home', () => {
    const step = fc.record({ mine: fc.boolean(), home: fc.boolean(), voltage: fc.integer({ min: 0, max: 99 }) });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 20 }), (steps) => {
        const device = () => ({ base: begun, now: begun });
        const [a, b] = [device(), device()];
        let server = begun;
        const written: string[] = [];
        const bringHome = (one: typeof a) => {
          const { trial, clashes } = mergeTrials(one.base, one.now, server);
          expect(clashes).toEqual([]);
          server = one.base = one.now = trial;
        };
        steps.forEach(({ mine, home, voltage }, i) => {
          const one = mine ? a : b;
          const id = `${mine ? 'a' : 'b'}.n${i}`;
          one.now = added(one.now, id, voltage);
          written.push(id);
          if (home) bringHome(one);
        });
        [a, b, a].forEach(bringHome);
        expect([...rowIdsOf(server)].sort()).toEqual(['a.0', 'a.1', ...written].sort());
        expect(rowsOf(server)).toBe(written.length + 2);
        expect(a.now).toEqual(server);
      }),
    );
  });
});
