import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cameHere,
  isDone,
  lineId,
  matchesPlayed,
  matchesSinceNew,
  mergedDiary,
  moneyOf,
  namesFor,
  nextMatch,
  openFaults,
  orderSheet,
  piecesSoFar,
  secondsWanted,
  setupCards,
  stillCounts,
  suppliersOf,
  ticksFor,
  typedState,
  valuesOf,
  type DiaryDraft,
  type DiaryEntry,
} from '../src/index.js';
import { demoPlan } from './demo.js';

const heron = demoPlan('heron');

const minute = (i: number): string => new Date(Date.UTC(2026, 10, 28, 9, i)).toISOString();
/** What was done since the plan: folded from lines that are only added to. */
const write = (drafts: readonly DiaryDraft[]): readonly DiaryEntry[] =>
  drafts.map((draft, i) => ({ ...draft, id: `e${i}`, at: minute(i), who: '' }));
const checked = (check: string, state: 'fine' | 'fault' | 'new part' | 'open', match = 1): DiaryDraft => ({
  kind: 'checked',
  match,
  check,
  state,
  asks: 'nothing',
  note: '',
});
const pieces = (step: 'ordered' | 'here' | 'built in', amount: number): DiaryDraft => ({
  kind: 'pieces',
  line: 'a',
  step,
  amount,
  note: '',
});

describe('pieces of an order', () => {
  it('are ordered, come and are built in; what was said too much is taken back', () => {
    const diary = write([pieces('ordered', 6), pieces('here', 3), pieces('built in', 2), pieces('here', -1)]);
    expect(piecesSoFar(diary).get('a')).toMatchObject({ ordered: 6, here: 2, builtIn: 2, onTheirWay: 4 });
  });

  it('are never fewer than none, whatever was taken back', () => {
    const diary = write([pieces('ordered', 2), pieces('here', 1), pieces('here', -5), pieces('ordered', -9)]);
    expect(piecesSoFar(diary).get('a')).toMatchObject({ ordered: 0, here: 0, onTheirWay: 0 });
    expect(cameHere(write([...diary, pieces('here', 2)])).get('a')).toBe(2);
  });

  it('that are here count as owned on the sheet', () => {
    const before = orderSheet(heron).lines.find(({ toBuy, measure }) => toBuy > 2 && measure === 'pieces')!;
    const diary = write([{ kind: 'pieces', line: lineId(before), step: 'here', amount: 2, note: '' }]);
    const after = orderSheet(heron, undefined, { came: cameHere(diary) }).lines.find(({ key }) => key === before.key)!;
    expect(after.toBuy).toBe(before.toBuy - 2);
    expect(after.owned).toBe(before.owned + 2);
    expect(after.wanted).toBe(before.wanted);
  });

  it('have a seller and money by their last word', () => {
    const diary = write([
      { kind: 'supplier', line: 'a', supplier: 'the yard' },
      { kind: 'supplier', line: 'a', supplier: 'the harbour shop' },
      { kind: 'money', currency: 'kr', budget: 900 },
    ]);
    expect(suppliersOf(diary).get('a')).toBe('the harbour shop');
    expect(moneyOf(diary)).toEqual({ currency: 'kr', budget: 900 });
    expect(moneyOf([])).toEqual({ currency: '', budget: undefined });
    // Nought is what nobody said, and no budget that is used up.
    expect(moneyOf(write([{ kind: 'money', currency: 'kr', budget: 0 }]))).toEqual({
      currency: 'kr',
      budget: undefined,
    });
  });
});

describe('a card that was typed in', () => {
  const card = setupCards(heron).find(({ id }) => id === 'controller lift')!;
  const typed = write([{ kind: 'typed in', card: card.id, values: valuesOf(card) }]);

  it('has nothing to retype while the plan stands', () => {
    expect(typedState(card, []).entry).toBeUndefined();
    expect(typedState(card, typed)).toMatchObject({ entry: { at: '2026-11-28T09:00:00.000Z' }, retype: [] });
  });

  it('names what reads otherwise, what came and what went', () => {
    const [first, ...rest] = valuesOf(card);
    const before = write([
      {
        kind: 'typed in',
        card: card.id,
        values: [{ ...first!, value: 33 }, ...rest.slice(1), { key: 'old', label: 'an old one', value: 'on' }],
      },
    ]);
    const { retype } = typedState(card, before);
    expect(retype.map(({ key }) => key)).toEqual([first!.key, rest[0]!.key, 'old']);
    expect(retype[0]).toMatchObject({ was: [{ value: 33, dimension: 'current' }] });
    expect(retype[1]!.was).toBeUndefined();
    expect(retype[2]).toEqual({ key: 'old', label: 'an old one', was: 'on' });
  });

  it('does not ask for digits that nobody types', () => {
    const near = valuesOf(card).map((one) =>
      typeof one.value === 'number' ? { ...one, value: one.value * (1 + 1e-9) } : one,
    );
    expect(typedState(card, write([{ kind: 'typed in', card: card.id, values: near }])).retype).toEqual([]);
  });

  it('is named as the team likes, and by the field’s own words again', () => {
    const named = (name: string): DiaryDraft => ({ kind: 'named', part: 'c', key: 'packSideLimit', name });
    expect(namesFor(write([named('input limit')]), 'c').get('packSideLimit')).toBe('input limit');
    expect(namesFor(write([named('input limit'), named('')]), 'c').size).toBe(0);
    expect(namesFor(write([named('input limit')]), 'another').size).toBe(0);
  });
});

describe('matches and what is looked at before them', () => {
  it('are played once, whoever says so', () => {
    const diary = write([
      { kind: 'played', match: 2 },
      { kind: 'played', match: 1 },
      { kind: 'played', match: 2 },
    ]);
    expect(matchesPlayed(diary)).toEqual([1, 2]);
    expect(nextMatch(diary)).toBe(3);
    expect(nextMatch([])).toBe(1);
  });

  it('have ticks of their own; a fault stays one until it is mended', () => {
    const diary = write([checked('chain', 'fault'), checked('chain', 'open', 2), checked('rope', 'fine', 2)]);
    expect(ticksFor(diary, 1).get('chain')?.state).toBe('fault');
    expect(ticksFor(diary, 2).get('rope')?.state).toBe('fine');
    expect(openFaults(diary).map(({ check }) => check)).toEqual(['chain']);
    expect(
      openFaults([...diary, ...write([checked('chain', 'new part', 3)]).map((e) => ({ ...e, at: '2027' }))]),
    ).toEqual([]);
  });

  it('wear a thing since it was new', () => {
    const played = (match: number): DiaryDraft => ({ kind: 'played', match });
    const diary = write([played(1), played(2), checked('chain', 'new part', 3), played(3), played(4)]);
    expect(matchesSinceNew(diary, 'chain')).toBe(2);
    expect(matchesSinceNew(diary, 'rope')).toBe(4);
    expect(matchesPlayed(write([played(12), played(3), played(12), played(1)]))).toEqual([1, 3, 12]);
  });

  it('are done where they are well or new', () => {
    const done = (state: 'fine' | 'fault' | 'new part' | 'open') =>
      isDone(ticksFor(write([checked('chain', state)]), 1).get('chain'));
    expect([done('fine'), done('new part'), done('fault'), done('open'), isDone(undefined)]).toEqual([
      true,
      true,
      false,
      false,
      false,
    ]);
  });
});

describe('two diaries', () => {
  it('stand in the order of their times, those of one moment by their names', () => {
    const [first, second] = write([checked('chain', 'fine'), checked('rope', 'fine')]);
    const [a, b] = [
      { ...first!, id: 'a', at: '2026-11-28T09:00:00Z' },
      { ...second!, id: 'b', at: '2026-11-28T09:00:00Z' },
    ];
    expect(mergedDiary([b], [a]).map(({ id }) => id)).toEqual(['a', 'b']);
  });

  it('are one, each entry once, whichever way round', () => {
    const entry = fc.record({
      id: fc.integer({ min: 0, max: 30 }).map((n) => `e${n}`),
      at: fc.integer({ min: 0, max: 9 }).map((n) => `2026-11-28T09:0${n}:00Z`),
    });
    // An id is written once, wherever it is.
    const all = fc
      .uniqueArray(entry, { selector: ({ id }) => id })
      .map((list) => list.map((one): DiaryEntry => ({ ...one, who: '', kind: 'played', match: 1 })));
    fc.assert(
      fc.property(all, fc.infiniteStream(fc.boolean()), (entries, coin) => {
        const [a, b]: DiaryEntry[][] = [[], []];
        for (const one of entries) {
          const both = coin.next().value;
          if (both || coin.next().value) a!.push(one);
          if (both || !a!.includes(one)) b!.push(one);
        }
        const merged = mergedDiary(a!, b!);
        expect(merged).toEqual(mergedDiary(b!, a!));
        expect(merged.map(({ id }) => id).sort()).toEqual(entries.map(({ id }) => id).sort());
      }),
    );
  });
});

describe('what still counts of a diary', () => {
  const draft: fc.Arbitrary<DiaryDraft> = fc.oneof(
    fc.record({
      kind: fc.constant('checked' as const),
      match: fc.integer({ min: 1, max: 30 }),
      check: fc.constantFrom('chain', 'rope', 'wheels'),
      state: fc.constantFrom('fine' as const, 'fault' as const, 'new part' as const, 'open' as const),
      asks: fc.constant('nothing' as const),
      note: fc.constant(''),
    }),
    fc.record({ kind: fc.constant('played' as const), match: fc.integer({ min: 1, max: 30 }) }),
    fc.record({
      kind: fc.constant('pieces' as const),
      line: fc.constantFrom('a', 'b'),
      step: fc.constantFrom('ordered' as const, 'here' as const),
      amount: fc.integer({ min: -3, max: 5 }),
      note: fc.constant(''),
    }),
    fc.record({ kind: fc.constant('supplier' as const), line: fc.constantFrom('a', 'b'), supplier: fc.string() }),
    fc.record({ kind: fc.constant('money' as const), currency: fc.string(), budget: fc.integer({ min: 0, max: 9 }) }),
    fc.record({ kind: fc.constant('second ratio' as const), wheel: fc.constantFrom('x', 'y'), bought: fc.boolean() }),
    fc.record({ kind: fc.constant('typed in' as const), card: fc.constantFrom('m', 'n'), values: fc.constant([]) }),
    fc.record({
      kind: fc.constant('named' as const),
      part: fc.constantFrom('p', 'q'),
      key: fc.constantFrom('k', 'l'),
      name: fc.constantFrom('', 'limit'),
    }),
  );
  const answers = (diary: readonly DiaryEntry[]) => {
    const next = nextMatch(diary);
    return {
      next,
      played: matchesPlayed(diary),
      faults: new Set(openFaults(diary)),
      since: ['chain', 'rope', 'wheels'].map((check) => matchesSinceNew(diary, check)),
      ticks: [...matchesPlayed(diary).slice(-10), next].map((match) => ticksFor(diary, match)),
      pieces: piecesSoFar(diary),
      suppliers: suppliersOf(diary),
      money: moneyOf(diary),
      seconds: secondsWanted(diary),
      typed: setupCards(heron).map((card) => typedState(card, diary)),
      names: ['p', 'q'].map((part) => namesFor(diary, part)),
    };
  };

  it('answers whatever is asked as the whole diary does, and whatever of the rest comes back', () => {
    fc.assert(
      fc.property(fc.array(draft, { maxLength: 60 }), fc.infiniteStream(fc.boolean()), (drafts, coin) => {
        const diary = write(drafts);
        const kept = stillCounts(diary);
        expect(answers(kept)).toEqual(answers(diary));
        expect(stillCounts(kept)).toEqual(kept);
        // A phone that was away still has some of what went into the archive.
        const here = new Set(kept);
        const mixed = diary.filter((entry) => here.has(entry) || coin.next().value === true);
        expect(answers(mixed)).toEqual(answers(diary));
      }),
      { numRuns: 60 },
    );
  });

  it('is little of a long one', () => {
    const season = Array.from({ length: 60 }, (_, i) => i + 1).flatMap((match): DiaryDraft[] => [
      ...['chain', 'rope', 'wheels'].map((check) => checked(check, 'fine', match)),
      { kind: 'played', match },
    ]);
    const kept = stillCounts(write(season));
    expect([season.length, kept.length]).toEqual([240, 60 + 10 * 3]);
  });
});
