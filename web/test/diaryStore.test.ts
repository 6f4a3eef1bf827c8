import type { DiaryDraft, DiaryEntry } from '@rough-gear/core';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { reactive } from 'vue';

vi.mock('../src/stores/preferences.js', () => ({ usePreferences: () => reactive({ who: ' Mila ' }) }));

const { useDiary } = await import('../src/stores/diary.js');

const ROBOT = 'robot-1';
const OTHER = 'robot-2';
const played = (match: number): DiaryDraft => ({ kind: 'played', match });
const matchOf = (entry: DiaryEntry): number => (entry.kind === 'played' ? entry.match : NaN);

/** A browser's storage, and a server with diaries that are only ever added to. */
class Stand {
  readonly kept = new Map<string, string>();
  readonly diaries = new Map<string, DiaryEntry[]>();
  away = false;
  /** Answers writing with this status. */
  refuses: number | undefined;
  /** Answers a line of this match with 400, and whatever came with it. */
  refusesMatch: number | undefined;
  sent: number[][] = [];

  get storage() {
    const { kept } = this;
    return {
      get length() {
        return kept.size;
      },
      key: (i: number) => [...kept.keys()][i] ?? null,
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
    };
  }

  fetch = (url: string, { method, body }: { method: string; body?: string }): Promise<Response> => {
    if (this.away) return Promise.reject(new TypeError('fetch failed'));
    const id = url.split('/').at(-1)!;
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
    return answer(200, { entries: this.diaries.get(id) ?? [] });
  };

  matches(id = ROBOT): readonly number[] {
    return (this.diaries.get(id) ?? []).map(matchOf).sort((a, b) => a - b);
  }

  /** What a browser kept of a robot. */
  keptOf(id = ROBOT) {
    return JSON.parse(this.kept.get(`rough-gear:diary:${id}`) ?? '{}') as {
      entries?: DiaryEntry[];
      unsent?: string[];
    };
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
/** Another tab of the same browser is another store on the same storage. */
const tab = () => {
  setActivePinia(createPinia());
  return useDiary();
};
const settled = () => vi.advanceTimersByTimeAsync(50);

beforeEach(() => {
  stand = new Stand();
  vi.useFakeTimers();
  vi.stubGlobal('fetch', stand.fetch);
  vi.stubGlobal('localStorage', stand.storage);
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
    expect([diary.state, diary.waiting, stand.keptOf().unsent]).toEqual(['home', 0, []]);
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

  it('drops nothing that another tab of this browser has not sent', async () => {
    const [here, there] = [tab(), tab()];
    await here.open(ROBOT);
    await there.open(ROBOT);
    stand.away = true;
    there.write(played(1));
    await settled();
    // The other tab writes as well, and knows nothing of that line but what is kept.
    here.write(played(2));
    await settled();
    expect(stand.keptOf().unsent).toHaveLength(2);
    expect(stand.keptOf().entries!.map(matchOf)).toEqual([1, 2]);
    vi.clearAllTimers();
    stand.away = false;
    const after = tab();
    await after.open(ROBOT);
    await settled();
    expect(stand.matches()).toEqual([1, 2]);
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
    expect(stand.keptOf(OTHER).unsent).toEqual([]);
  });
});
