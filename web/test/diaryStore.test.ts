import type { DiaryDraft, DiaryEntry } from '@rough-gear/core';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { reactive } from 'vue';

import { freshBrowser, kept, otherWindows, room } from './browser.js';

vi.mock('../src/stores/preferences.js', () => ({ usePreferences: () => reactive({ who: ' Mila ' }) }));

const { useDiary } = await import('../src/stores/diary.js');
const { keepsNothing } = await import('../src/keeping/keeping.js');

const ROBOT = 'robot-1';
const OTHER = 'robot-2';
const played = (match: number): DiaryDraft => ({ kind: 'played', match });
const matchOf = (entry: DiaryEntry): number => (entry.kind === 'played' ? entry.match : NaN);

/** A browser's storage, and a server with diaries that are only ever added to. */
class Stand {
  readonly diaries = new Map<string, DiaryEntry[]>();
  away = false;
  /** Answers writing with this status. */
  refuses: number | undefined;
  /** Answers a line of this match with 400, and whatever came with it. */
  refusesMatch: number | undefined;
  sent: number[][] = [];

  /** Answered with what is new since the number a device knows, as the server does. */
  answers: number[] = [];

  fetch = (url: string, { method, body }: { method: string; body?: string }): Promise<Response> => {
    if (this.away) return Promise.reject(new TypeError('fetch failed'));
    const { pathname, searchParams } = new URL(url, 'http://server');
    const id = pathname.split('/').at(-1)!;
    const there = this.diaries.get(id) ?? [];
    if (method === 'POST') {
      const { entries } = JSON.parse(body!) as { entries: DiaryEntry[] };
      if (this.refuses !== undefined) return answer(this.refuses, { title: 'Not now', status: this.refuses });
      if (entries.some((entry) => matchOf(entry) === this.refusesMatch))
        return answer(400, { title: 'Not such a line', status: 400 });
      this.sent.push(entries.map(matchOf));
      const known = new Set(there.map((entry) => entry.id));
      this.diaries.set(id, [...there, ...entries.filter((entry) => !known.has(entry.id))]);
    }
    const all = this.diaries.get(id) ?? [];
    const after = all.findIndex((entry) => entry.id === searchParams.get('since')) + 1;
    this.answers.push(all.length - after);
    return answer(200, { entries: all.slice(after), cursor: all.at(-1)?.id ?? '', whole: after === 0 });
  };

  matches(id = ROBOT): readonly number[] {
    return (this.diaries.get(id) ?? []).map(matchOf).sort((a, b) => a - b);
  }
}

const answer = (status: number, content: unknown): Promise<Response> =>
  Promise.resolve(
    new Response(JSON.stringify(content), {
      status,
      headers: { 'Content-Type': status < 400 ? 'application/json' : 'application/problem+json' },
    }),
  );

let stand: Stand;
const unsentOf = (id = ROBOT, window = 'this') =>
  kept.get(`unsent:diary:${id}:${window}`) as readonly DiaryEntry[] | undefined;
/** The page, loaded anew. */
const tab = () => {
  setActivePinia(createPinia());
  return useDiary();
};
const settled = () => vi.advanceTimersByTimeAsync(50);

beforeEach(() => {
  stand = new Stand();
  vi.useFakeTimers();
  vi.stubGlobal('fetch', stand.fetch);
  freshBrowser();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('The diary of a robot', () => {
  it('goes home at once, signed, and once', async () => {
    const diary = tab();
    await diary.open(ROBOT);
    diary.write(played(1), played(2));
    await settled();
    expect(stand.matches()).toEqual([1, 2]);
    expect(stand.diaries.get(ROBOT)![0]!.who).toBe('Mila');
    expect([diary.state, diary.waiting, unsentOf()]).toEqual(['home', 0, undefined]);
    diary.write(played(3));
    await settled();
    expect(stand.sent).toEqual([[1, 2], [3]]);
  });

  it('keeps the order in which lines were written in one moment', async () => {
    const diary = tab();
    await diary.open(ROBOT);
    diary.write(played(5), played(4), played(9));
    await settled();
    expect(diary.entries.map(matchOf)).toEqual([5, 4, 9]);
  });

  it('is kept while the server is away, survives a reload, and goes home then', async () => {
    const before = tab();
    await before.open(ROBOT);
    stand.away = true;
    before.write(played(1));
    await settled();
    expect([before.state, before.waiting]).toEqual(['away', 1]);
    vi.clearAllTimers();
    stand.away = false;
    const after = tab();
    await after.open(ROBOT);
    await settled();
    expect(stand.matches()).toEqual([1]);
    expect([after.state, after.waiting]).toEqual(['home', 0]);
  });

  it('shows what another window has not sent, and leaves it to that one as long as it is open', async () => {
    const line = { ...played(1), id: 'line-1', at: '2026-11-30T09:00:00.000Z', who: '' };
    kept.set(`unsent:diary:${ROBOT}:other`, [line]);
    otherWindows.add('other');
    const diary = tab();
    await diary.open(ROBOT);
    diary.write(played(2));
    expect(diary.entries.map(matchOf)).toContain(2);
    await settled();
    expect(stand.matches()).toEqual([2]);
    expect(unsentOf(ROBOT, 'other')).toHaveLength(1);
  });

  it('takes over what a window left that is gone', async () => {
    const line = { ...played(1), id: 'line-1', at: '2026-11-30T09:00:00.000Z', who: '' };
    kept.set(`unsent:diary:${ROBOT}:other`, [line]);
    stand.away = true;
    const diary = tab();
    await diary.open(ROBOT);
    await settled();
    expect([diary.entries.map(matchOf), unsentOf()?.length, unsentOf(ROBOT, 'other')]).toEqual([[1], 1, undefined]);
    stand.away = false;
    await vi.advanceTimersByTimeAsync(4000);
    expect([stand.matches(), diary.state]).toEqual([[1], 'home']);
  });

  it('asks for what is new alone, also after a reload', async () => {
    const diary = tab();
    await diary.open(ROBOT);
    for (const match of [1, 2, 3]) {
      diary.write(played(match));
      await settled();
    }
    await vi.advanceTimersByTimeAsync(6000);
    const after = tab();
    await after.open(ROBOT);
    await settled();
    expect(stand.answers).toEqual([0, 1, 1, 1, 0]);
    expect(after.entries.map(matchOf)).toEqual([1, 2, 3]);
  });

  it('tells a server that was put back what it had', async () => {
    const diary = tab();
    await diary.open(ROBOT);
    diary.write(played(1), played(2));
    await settled();
    stand.diaries.set(ROBOT, stand.diaries.get(ROBOT)!.slice(0, 1));
    stand.diaries.get(ROBOT)![0] = { ...stand.diaries.get(ROBOT)![0]!, id: 'of-then' };
    await diary.fetch();
    await settled();
    expect(stand.matches()).toEqual([1, 1, 2]);
  });

  it('keeps what waits where there is no room for the rest, and says where there is none at all', async () => {
    const diary = tab();
    await diary.open(ROBOT);
    stand.away = true;
    room.none = true;
    diary.write(played(1));
    await settled();
    expect(keepsNothing.value).toContain('no room');
    room.none = false;
    diary.write(played(2));
    await settled();
    expect([keepsNothing.value, unsentOf()?.length]).toEqual(['', 2]);
  });

  it('waits where a session has ended or a disk is full, and goes then', async () => {
    for (const status of [401, 429, 507]) {
      stand.refuses = status;
      const diary = tab();
      await diary.open(`${ROBOT}-${status}`);
      diary.write(played(1));
      await settled();
      expect(diary.state, String(status)).toBe('waiting');
      stand.refuses = undefined;
      await vi.advanceTimersByTimeAsync(4000);
      expect([diary.state, diary.waiting, diary.refusal], String(status)).toEqual(['home', 0, '']);
    }
  });

  it('lets a line that is not taken keep no other from going', async () => {
    stand.refusesMatch = 2;
    const diary = tab();
    await diary.open(ROBOT);
    diary.write(played(1), played(2), played(3));
    await vi.advanceTimersByTimeAsync(10_000);
    expect(stand.matches()).toEqual([1, 3]);
    expect([diary.state, diary.waiting]).toEqual(['refused', 1]);
    expect(diary.entries.map(matchOf)).toEqual([1, 2, 3]);
  });

  it('brings home what was written of another robot', async () => {
    const before = tab();
    await before.open(OTHER);
    stand.away = true;
    before.write(played(7));
    await settled();
    vi.clearAllTimers();
    stand.away = false;
    await tab().open(ROBOT);
    await settled();
    expect(stand.matches(OTHER)).toEqual([7]);
    expect(unsentOf(OTHER)).toBeUndefined();
  });
});
