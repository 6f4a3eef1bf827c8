import { readFileSync } from 'node:fs';
import { lineId, orderSheet, type DiaryDraft, type DiaryEntry, type Plan } from '@rough-gear/core';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { readEntries } from '../src/diary/entrySchema.js';
import { exportOrder } from '../src/order/orderCsv.js';

/** Every kind of entry is read; what is none is refused by its place. */
const written = (draft: object) => ({
  ...draft,
  id: '7d2a0000-0000-4000-8000-000000000001',
  at: '2026-11-28T09:00:00Z',
  who: 'Ada',
});
const DRAFTS: readonly DiaryDraft[] = [
  { kind: 'pieces', line: 'power breaker', step: 'here', amount: 2.5, note: '' },
  { kind: 'supplier', line: 'power breaker', supplier: '' },
  { kind: 'money', currency: 'kr', budget: 0 },
  { kind: 'second ratio', wheel: 'lift s2 16:50', bought: true },
  {
    kind: 'typed in',
    card: 'controller lift',
    values: [
      { key: 'a', label: 'a', value: 40, dimension: 'current' },
      { key: 'b', label: 'b', value: 'brake' },
    ],
  },
  { kind: 'named', part: 'controller 40 A', key: 'a', name: '' },
  { kind: 'played', match: 1 },
  { kind: 'checked', match: 1, check: 'rope lift', state: 'fault', asks: 'a spare', note: 'frayed' },
];

describe('entries of a diary', () => {
  it.each(DRAFTS.map((draft) => [draft.kind, draft] as const))(
    'of the kind %s are read as they are',
    (_kind, draft) => {
      const entry = written(draft);
      expect(readEntries([entry])).toEqual({ ok: true, entries: [entry] });
    },
  );

  it.each([
    ['[0].kind', { kind: 'guessed' }],
    ['[0].match', { kind: 'played', match: 0 }],
    ['[0].step', { ...DRAFTS[0], step: 'lost' }],
    ['[0].amount', { ...DRAFTS[0], amount: Number.NaN }],
    ['[0].note', { kind: 'played', match: 1, note: 'not of this kind' }],
    ['[0].values[0].dimension', { ...DRAFTS[4], values: [{ key: 'a', label: 'a', value: 1, dimension: 'luck' }] }],
    ['[0].budget', { kind: 'money', currency: 'kr', budget: -1 }],
  ])('are refused at %s', (field, draft) => {
    const read = readEntries([written(draft)]);
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.problems.map((problem) => problem.field)).toContain(field);
  });

  it('are refused without an id, a time, or where a word cannot be printed', () => {
    expect(readEntries([{ kind: 'played', match: 1 }]).ok).toBe(false);
    expect(readEntries([{ ...written(DRAFTS[6]!), at: 'today' }]).ok).toBe(false);
    expect(readEntries([{ ...written(DRAFTS[7]!), note: 'a\u0000b' }]).ok).toBe(false);
    expect(readEntries('none').ok).toBe(false);
    expect(readEntries(undefined).ok).toBe(false);
  });
});

describe('an order sheet as CSV', () => {
  const heron = JSON.parse(readFileSync(new URL('../demo/heron.json', import.meta.url), 'utf8')) as Plan;
  const sheet = orderSheet(heron);
  const rows = (text: string): readonly Record<string, string>[] =>
    Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;

  it('says what was done about a line, where there is a diary', () => {
    const [line] = sheet.lines;
    const diary: DiaryEntry[] = [
      { kind: 'pieces' as const, line: lineId(line!), step: 'ordered' as const, amount: 4, note: '=1+1' },
      { kind: 'supplier' as const, line: lineId(line!), supplier: 'the yard' },
      { kind: 'money' as const, currency: 'kr', budget: 0 },
    ].map((draft, i) => ({ ...draft, id: `e${i}`, at: `2026-11-28T09:0${i}:00Z`, who: '' }));
    const read = rows(exportOrder(sheet, diary));
    expect(read[0]).toMatchObject({ ordered: '4', here: '0', supplier: 'the yard', note: "'=1+1" });
    expect(read.at(-1)!['name']).toBe('sum, kr');
    expect(rows(exportOrder(sheet))[0]).not.toHaveProperty('ordered');
  });
});
