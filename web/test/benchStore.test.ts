import { etagOf } from '@rough-gear/contract/api';
import { rowIdsOf, type Trial } from '@rough-gear/core';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { freshBrowser, kept, otherWindows } from './browser.js';

import { useBench } from '../src/stores/bench.js';

const ID = 'trial-1';
const DRAFT = `unsent:trial:${ID}:this`;
const begun: Trial = {
  kind: 'stall',
  subject: { name: 'brushed 12 V' },
  startedAt: '2026-11-30T18:00:00Z',
  who: 'Mila',
  used: '',
  note: '',
  given: {},
  said: {},
  readings: { voltage: [1], current: [10] },
  rowIds: ['first.0'],
  struck: [],
};
const added = (trial: Trial, id: string, voltage: number): Trial => ({
  ...trial,
  readings: {
    voltage: [...trial.readings['voltage']!, voltage],
    current: [...trial.readings['current']!, voltage * 10],
  },
  rowIds: [...rowIdsOf(trial), id],
});

/** A server with one trial, which other devices write to as well. */
class Stand {
  revision = 1;
  trial: Trial = begun;
  begun: Trial[] = [];
  away = false;
  saves = 0;
  /** Closing is refused so often, since another device writes. */
  othersWrite = 0;

  /** Another device brings home what it made of the trial. */
  elsewhere(change: (trial: Trial) => Trial): void {
    this.trial = change(this.trial);
    this.revision++;
  }

  fetch = (
    url: string,
    { method, headers, body }: { method: string; headers: Record<string, string>; body?: string },
  ) => {
    if (this.away) return Promise.reject(new TypeError('fetch failed'));
    const { pathname, searchParams } = new URL(url, 'http://server');
    if (method === 'POST' && pathname.endsWith('/trials')) {
      this.begun.push(JSON.parse(body!) as Trial);
      return answer(201, { ...this.stored(), id: 'trial-2', trial: this.begun.at(-1) });
    }
    if (pathname.endsWith('/trials')) return answer(200, []);
    if (method === 'GET' && searchParams.get('than') === String(this.revision)) return answer(204);
    if (method === 'GET') return answer(200, this.stored());
    if (this.trial.closedAt !== undefined) return answer(409, { title: 'closed', status: 409 });
    const next = JSON.parse(body!) as Trial;
    if (next.closedAt !== undefined && this.othersWrite > 0 && searchParams.get('anyway') !== 'true')
      return answer(409, { title: 'Another device wrote in this trial a moment ago.', status: 409 });
    if (headers['If-Match'] !== etagOf(this.revision)) return answer(412, { title: 'changed', status: 412 });
    this.trial = next;
    this.revision++;
    this.saves++;
    return answer(200, this.stored());
  };

  private stored() {
    return { id: ID, revision: this.revision, savedAt: '2026-11-30T18:10:00Z', trial: this.trial, takings: [] };
  }
}

const answer = (status: number, content?: unknown): Promise<Response> =>
  Promise.resolve(
    new Response(content === undefined ? null : JSON.stringify(content), {
      status,
      headers: { 'Content-Type': status < 400 ? 'application/json' : 'application/problem+json' },
    }),
  );
const pass = (ms = 1000) => vi.advanceTimersByTimeAsync(ms);

let stand: Stand;
beforeEach(() => {
  stand = new Stand();
  vi.useFakeTimers();
  vi.stubGlobal('fetch', stand.fetch);
  freshBrowser();
  otherWindows.add('open');
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** The page of the trial, loaded anew. */
async function opened() {
  vi.clearAllTimers();
  setActivePinia(createPinia());
  const bench = useBench();
  await bench.open(ID);
  return bench;
}
const write = (bench: ReturnType<typeof useBench>, id: string, voltage: number): void =>
  bench.change(added(bench.trial!, id, voltage));

describe('A trial that two devices write in', () => {
  it('keeps rows that were not sent, and those that came meanwhile', async () => {
    const before = await opened();
    stand.away = true;
    write(before, 'mine.0', 2);
    await pass();
    expect([before.state, kept.has(DRAFT)]).toEqual(['away', true]);
    stand.away = false;
    for (let i = 0; i < 6; i++) stand.elsewhere((trial) => added(trial, `theirs.${i}`, 10 + i));
    const after = await opened();
    expect(after.trial!.readings['voltage']).toEqual([1, 10, 11, 12, 13, 14, 15, 2]);
    await pass();
    expect(stand.trial.readings['voltage']).toEqual([1, 10, 11, 12, 13, 14, 15, 2]);
    expect([after.state, kept.has(DRAFT), stand.saves]).toEqual(['home', false, 1]);
  });

  it('puts rows together that cross on their way, once', async () => {
    const bench = await opened();
    stand.elsewhere((trial) => added(trial, 'theirs.0', 9));
    write(bench, 'mine.0', 2);
    await pass(20_000);
    expect(rowIdsOf(stand.trial)).toEqual(['first.0', 'theirs.0', 'mine.0']);
    expect([bench.trial, bench.state, stand.saves]).toEqual([stand.trial, 'home', 1]);
  });

  it('shows rows of the other device while it is looked at', async () => {
    const bench = await opened();
    stand.elsewhere((trial) => added(trial, 'theirs.0', 9));
    await bench.look();
    expect(bench.trial!.readings['voltage']).toEqual([1, 9]);
    write(bench, 'mine.0', 2);
    await bench.look();
    expect(bench.trial!.readings['voltage']).toEqual([1, 9, 2]);
    await pass();
    expect(stand.trial).toEqual(bench.trial);
  });

  it('shows mine and theirs where both changed one thing, until it is decided', async () => {
    const before = await opened();
    before.change({ ...before.trial!, note: 'cold' });
    stand.elsewhere((trial) => ({ ...trial, note: 'warm' }));
    await pass();
    expect([before.trial!.note, stand.trial.note, before.clashes.length]).toEqual(['warm', 'warm', 1]);
    // Also after a reload.
    const after = await opened();
    await pass();
    expect(after.clashes).toEqual([{ place: { in: 'note' }, mine: 'cold', theirs: 'warm' }]);
    after.decide(after.clashes[0]!, true);
    await pass();
    expect([stand.trial.note, after.clashes, after.state]).toEqual(['cold', [], 'home']);
    expect((await opened()).clashes).toEqual([]);
  });

  it('keeps what was written here when it was closed there, and makes a trial of its own of it', async () => {
    const before = await opened();
    stand.away = true;
    write(before, 'mine.0', 2);
    write(before, 'mine.1', 3);
    await pass();
    stand.away = false;
    stand.elsewhere((trial) => ({ ...trial, closedAt: '2026-11-30T18:20:00Z' }));
    const after = await opened();
    await pass(10_000);
    expect([after.closed, after.apart?.rows, after.state, kept.has(DRAFT)]).toEqual([true, 2, 'clash', true]);
    // Looked at again, it is still there.
    const again = await opened();
    expect(again.apart?.rows).toBe(2);
    expect(await again.beginApart()).toBe('trial-2');
    expect(stand.begun[0]!.readings['voltage']).toEqual([1, 2, 3]);
    expect(stand.begun[0]).not.toHaveProperty('closedAt');
    await pass();
    expect([kept.has(DRAFT), again.apart, stand.saves]).toEqual([false, undefined, 0]);
  });

  it('is closed there while a row is on its way here: the row is kept', async () => {
    const bench = await opened();
    write(bench, 'mine.0', 2);
    stand.elsewhere((trial) => ({ ...trial, closedAt: '2026-11-30T18:20:00Z' }));
    await pass(10_000);
    expect([bench.closed, bench.apart?.rows, bench.state]).toEqual([true, 1, 'clash']);
    bench.letApartGo();
    await pass();
    expect([bench.apart, bench.state, kept.has(DRAFT)]).toEqual([undefined, 'home', false]);
  });

  it('is not closed under the hands of another device, unless one says so', async () => {
    const bench = await opened();
    stand.othersWrite = 1;
    await bench.close('2026-11-30T18:30:00Z');
    expect([bench.closed, bench.notClosed]).toEqual([false, 'Another device wrote in this trial a moment ago.']);
    await bench.close('2026-11-30T18:31:00Z', true);
    expect([bench.closed, stand.trial.closedAt, bench.notClosed]).toEqual([true, '2026-11-30T18:31:00Z', '']);
  });

  it('is not closed before rows that came meanwhile were seen, nor before all is home', async () => {
    const bench = await opened();
    stand.elsewhere((trial) => added(trial, 'theirs.0', 9));
    await bench.close('2026-11-30T18:30:00Z');
    expect([bench.closed, stand.trial.closedAt]).toEqual([false, undefined]);
    expect([bench.notClosed, bench.trial!.readings['voltage']]).toEqual([
      'Another device wrote in this trial meanwhile.',
      [1, 9],
    ]);
    stand.away = true;
    write(bench, 'mine.0', 2);
    await bench.close('2026-11-30T18:31:00Z');
    expect([bench.closed, bench.notClosed]).toEqual([false, 'What is written here has to come home first.']);
  });

  it('takes in what windows left that are gone, and what an earlier version kept', async () => {
    const base = { revision: 1, trial: begun };
    kept.set(`unsent:trial:${ID}:gone`, { base, mine: added(begun, 'gone.0', 5) });
    kept.set(`unsent:trial:${ID}:earlier`, { mine: added({ ...begun, rowIds: undefined }, '#1', 6) });
    kept.set(`unsent:trial:${ID}:open`, { base, mine: added(begun, 'open.0', 7) });
    const bench = await opened();
    await pass();
    expect(stand.trial.readings['voltage']!.toSorted()).toEqual([1, 1, 5, 6]);
    expect([bench.state, [...kept.keys()]]).toEqual(['home', [`unsent:trial:${ID}:open`]]);
  });

  it('is gone on with while the server is away', async () => {
    const before = await opened();
    stand.away = true;
    write(before, 'mine.0', 2);
    await pass();
    const after = await opened();
    expect([after.openFailure, after.trial!.readings['voltage'], after.state]).toEqual(['', [1, 2], 'away']);
    stand.elsewhere((trial) => added(trial, 'theirs.0', 9));
    stand.away = false;
    await pass(5000);
    expect(stand.trial.readings['voltage']).toEqual([1, 9, 2]);
  });

  it('of a long log is kept every few seconds, and is there after a reload', async () => {
    const rows = Array.from({ length: 6000 }, (_, i) => i);
    stand.trial = { ...begun, readings: { voltage: rows, current: rows }, rowIds: rows.map((i) => `log.${i}`) };
    const bench = await opened();
    stand.away = true;
    write(bench, 'late.0', 1);
    write(bench, 'late.1', 2);
    await pass(4000);
    expect((kept.get(DRAFT) as { mine: Trial }).mine.rowIds?.slice(-2)).toEqual(['late.0', 'late.1']);
    stand.away = false;
    const again = await opened();
    await pass(6000);
    expect(stand.trial.rowIds?.slice(-2)).toEqual(['late.0', 'late.1']);
    expect([again.state, kept.get(DRAFT)]).toEqual(['home', undefined]);
  });
});
