import { printable } from '@rough-gear/contract/text';
import { mergedDiary, type DiaryDraft, type DiaryEntry } from '@rough-gear/core';
import { useEventListener, useTimeoutFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { v4 } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { api, Refused, Unreachable } from '../api/client.js';
import { usePreferences } from './preferences.js';

export type DiaryState = 'home' | 'sending' | 'away' | 'waiting' | 'refused';

const RETRY_AFTER_MS = 3000;
const AT_ONCE = 500;
const KEPT = 'rough-gear:diary:';

/** A diary as this browser keeps it, and which of it the server has not got yet. */
interface Kept {
  readonly entries: readonly DiaryEntry[];
  readonly unsent: readonly string[];
}
const NOTHING: Kept = { entries: [], unsent: [] };

function readKept(planId: string): Kept {
  try {
    return { ...NOTHING, ...(JSON.parse(localStorage.getItem(KEPT + planId) ?? '{}') as Partial<Kept>) };
  } catch {
    return NOTHING;
  }
}

/** What was not sent yet, the oldest first, so many at once. */
function waitingOf({ entries, unsent }: Kept, most: number): readonly DiaryEntry[] {
  const asked = new Set(unsent);
  return entries.filter((entry) => asked.has(entry.id)).slice(0, most);
}

/** Robots of which this browser keeps something that was not sent. */
const unsentIds = (): readonly string[] =>
  Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '')
    .filter((key) => key.startsWith(KEPT))
    .map((key) => key.slice(KEPT.length))
    .filter((id) => readKept(id).unsent.length > 0);

/**
 * The diary of the open robot: what was ordered, typed in, ticked and played. What is written is kept here at once and
 * brought home when the server is there; what others wrote comes back with it.
 */
export const useDiary = defineStore('diary', () => {
  const preferences = usePreferences();
  const planId = ref('');
  const entries = shallowRef<readonly DiaryEntry[]>([]);
  const unsent = shallowRef<readonly string[]>([]);
  const state = ref<DiaryState>('home');
  const refusal = ref('');
  const waiting = computed(() => unsent.value.length);
  const wait = ref(RETRY_AFTER_MS);
  const again = useTimeoutFn(() => void send(), wait, { immediate: false });
  let sending = false;
  /** Lines the server will not have: they stay here, and do not keep the others from going. */
  const notTaken = new Set<string>();
  /** After a refusal lines go one by one, until it is known which it was. */
  let oneByOne = false;

  /** With what another tab of this browser wrote meanwhile, and what there was no room for. */
  function keep(id: string, more: Kept, sent: readonly string[] = []): void {
    const before = readKept(id);
    const here: Kept = id === planId.value ? { entries: entries.value, unsent: unsent.value } : NOTHING;
    const gone = new Set(sent);
    const next: Kept = {
      entries: mergedDiary(mergedDiary(before.entries, here.entries), more.entries),
      unsent: [...new Set([...before.unsent, ...here.unsent, ...more.unsent])].filter((one) => !gone.has(one)),
    };
    if (id === planId.value) [entries.value, unsent.value] = [next.entries, next.unsent];
    try {
      localStorage.setItem(KEPT + id, JSON.stringify(next));
    } catch {
      refusal.value = 'This browser has no room to keep a copy: leave the page open until it is sent.';
    }
  }

  /** What this browser knows at once, and what the server knows as soon as it answers. */
  async function open(id: string): Promise<void> {
    if (planId.value === id) return;
    again.stop();
    planId.value = id;
    notTaken.clear();
    refusal.value = '';
    const kept = readKept(id);
    [entries.value, unsent.value] = [kept.entries, kept.unsent];
    if (kept.unsent.length > 0) return send();
    state.value = 'sending';
    try {
      keep(id, { entries: (await api.diary(id)).entries, unsent: [] });
      if (planId.value === id) state.value = 'home';
      void sendOthers();
    } catch (problem) {
      if (planId.value === id) notSent(problem);
    }
  }

  /** Writes lines down, in order. */
  function write(...drafts: readonly DiaryDraft[]): void {
    const now = Date.now();
    const written = drafts.map((draft, i): DiaryEntry => {
      const clean = Object.fromEntries(
        Object.entries(draft).map(([key, value]) => [key, typeof value === 'string' ? printable(value) : value]),
      ) as typeof draft;
      // Two in one moment stay in the order in which they were written.
      return { ...clean, id: v4(), at: new Date(now + i).toISOString(), who: preferences.who.trim() };
    });
    keep(planId.value, { entries: written, unsent: written.map(({ id }) => id) });
    void send();
  }

  async function send(): Promise<void> {
    again.stop();
    if (sending) return later();
    const id = planId.value;
    const left = unsent.value.filter((one) => !notTaken.has(one));
    const batch = waitingOf({ entries: entries.value, unsent: left }, oneByOne ? 1 : AT_ONCE);
    sending = true;
    if (state.value === 'home') state.value = 'sending';
    try {
      const home = await (batch.length > 0 ? api.addToDiary(id, batch) : api.diary(id));
      keep(
        id,
        { entries: home.entries, unsent: [] },
        batch.map((entry) => entry.id),
      );
      if (planId.value !== id) return;
      const waits = unsent.value.some((one) => !notTaken.has(one));
      if (notTaken.size === 0) refusal.value = '';
      state.value = waits ? 'sending' : notTaken.size > 0 ? 'refused' : 'home';
      if (waits) later(0);
      else oneByOne = false;
    } catch (problem) {
      if (planId.value === id) notSent(problem, batch);
    } finally {
      sending = false;
    }
  }

  /** What was written of other robots while nothing could be sent goes home as well. */
  async function sendOthers(): Promise<void> {
    for (const id of unsentIds().filter((one) => one !== planId.value)) {
      const batch = waitingOf(readKept(id), AT_ONCE);
      try {
        const home = await api.addToDiary(id, batch);
        keep(
          id,
          { entries: home.entries, unsent: [] },
          batch.map((entry) => entry.id),
        );
      } catch {
        // They are kept, and tried again when that robot, or another one, is opened.
      }
    }
  }

  function notSent(problem: unknown, batch: readonly DiaryEntry[] = []): void {
    const status = problem instanceof Refused ? problem.problem.status : undefined;
    if (problem instanceof Unreachable) state.value = 'away';
    else if (status !== undefined && status < 500 && ![401, 429].includes(status)) {
      state.value = 'refused';
      refusal.value = (problem as Error).message;
      const [only, another] = batch;
      if (only && !another) notTaken.add(only.id);
      oneByOne = true;
      if (batch.length > 0) later(0);
      return;
    } else {
      state.value = 'waiting';
      refusal.value = (problem as Error).message;
    }
    later();
  }

  /** Asks again: what waits is sent, and what others wrote is fetched. */
  function later(after = RETRY_AFTER_MS): void {
    wait.value = after;
    again.start();
  }

  useEventListener('online', () => {
    if (state.value === 'away') later(0);
  });

  return { planId, entries, unsent, waiting, state, refusal, open, write, fetch: send };
});
