import { printable } from '@rough-gear/contract/text';
import { mergedDiary, type DiaryDraft, type DiaryEntry } from '@rough-gear/core';
import { useEventListener, useThrottleFn, useTimeoutFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { v4 } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { api } from '../api/client.js';
import { createOutbox, failureOf, type OutboxState } from '../outbox/outbox.js';
import { keepKnown, keepLines, knownOf, linesElsewhere, linesLeft, letLinesGo } from './diary/lines.js';
import { usePreferences } from './preferences.js';

const RETRY_AFTER_MS = 3000;
const AT_ONCE = 500;
/** What is known already is written down again no more often than this, ms: it only saves asking for it once more. */
const KEEP_EVERY_MS = 5000;

/**
 * The diary of the open robot: what was ordered, typed in, ticked and played. What is written is kept here at once and
 * brought home when the server is there; what others wrote comes back with it.
 */
export const useDiary = defineStore('diary', () => {
  const preferences = usePreferences();
  const planId = ref('');
  const entries = shallowRef<readonly DiaryEntry[]>([]);
  /** How it went when it was last asked what others wrote. */
  const asked = ref<OutboxState>('home');
  const askedRefusal = ref('');
  /** What the server is known to have of the open diary, up to where. */
  let known: readonly DiaryEntry[] = [];
  let cursor = '';
  let leftOnes: Promise<void> | undefined;

  const outbox = createOutbox<DiaryEntry>({
    nameOf: ({ id }) => id,
    most: AT_ONCE,
    rest: 0,
    keep: keepLines,
    send: async (id, batch) => {
      const news = await api.addToDiary(id, batch, id === planId.value ? cursor : undefined);
      if (id === planId.value) learn(news.entries, news.cursor, news.whole);
    },
  });
  const again = useTimeoutFn(() => void fetch(), RETRY_AFTER_MS, { immediate: false });
  useEventListener('online', () => {
    outbox.back();
    if (asked.value === 'away') void fetch();
  });
  const keepSoon = useThrottleFn((id: string) => keepKnown(id, { entries: known, cursor }), KEEP_EVERY_MS, true);

  const box = computed(() => outbox.boxOf(planId.value));
  const state = computed(() => (box.value.state === 'home' ? asked.value : box.value.state));
  const refusal = computed(() => (box.value.state === 'home' ? askedRefusal.value : box.value.refusal));
  const waiting = computed(() => box.value.waiting);

  /** Takes in what the server has. A server that was put back to an earlier state is told again what it had. */
  function learn(news: readonly DiaryEntry[], upTo: string, whole: boolean): void {
    const there = new Set(news.map(({ id }) => id));
    const forgotten = whole ? known.filter(({ id }) => !there.has(id)) : [];
    if (forgotten.length > 0) outbox.put(planId.value, ...forgotten);
    known = mergedDiary(known, news);
    cursor = upTo;
    [asked.value, askedRefusal.value] = ['home', ''];
    show();
    void keepSoon(planId.value);
  }

  const show = (more: readonly DiaryEntry[] = []): void => {
    entries.value = mergedDiary(mergedDiary(known, outbox.waitingIn(planId.value)), more);
  };

  /** What this browser knows at once, and what the server knows as soon as it answers. */
  async function open(id: string): Promise<void> {
    if (planId.value === id) return;
    again.stop();
    planId.value = id;
    [known, cursor] = [[], ''];
    [asked.value, askedRefusal.value] = ['home', ''];
    show();
    await (leftOnes ??= goOn());
    const [kept, elsewhere] = await Promise.all([knownOf(id), linesElsewhere(id)]);
    if (planId.value !== id) return;
    [known, cursor] = [kept.entries, kept.cursor];
    show(elsewhere);
    await fetch();
  }

  /** What this window, or one that is gone, could not send of any robot goes on its way. */
  async function goOn(): Promise<void> {
    for (const { planId: of, lines, key, own } of await linesLeft()) {
      outbox.resume(of, lines);
      await keepLines(of, outbox.waitingIn(of));
      if (!own) await letLinesGo(key);
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
    outbox.put(planId.value, ...written);
    show();
  }

  /** Asks what others wrote; what waits here is sent instead, and brings that along. */
  async function fetch(): Promise<void> {
    again.stop();
    const id = planId.value;
    if (box.value.waiting > 0) return outbox.flush(id);
    try {
      const news = await api.diary(id, cursor);
      if (planId.value === id) learn(news.entries, news.cursor, news.whole);
    } catch (problem) {
      if (planId.value !== id) return;
      asked.value = failureOf(problem);
      askedRefusal.value = asked.value === 'away' ? '' : (problem as Error).message;
      if (asked.value !== 'refused') again.start();
    }
  }

  return { planId, entries, waiting, state, refusal, open, write, fetch };
});
