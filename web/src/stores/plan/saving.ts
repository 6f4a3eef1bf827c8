import type { StoredPlan } from '@rough-gear/contract/api';
import type { Plan } from '@rough-gear/core';
import { useEventListener, useTimeoutFn } from '@vueuse/core';
import { ref, shallowRef, type Ref, type ShallowRef } from 'vue';
import { api, Refused, Unreachable } from '../../api/client.js';
import { useAccess } from '../access.js';
import { keep } from '../kept.js';

export type SaveState = 'saved' | 'saving' | 'offline' | 'waiting' | 'stale' | 'refused' | 'looking';

const SAVE_AFTER_MS = 250;
const RETRY_AFTER_MS = 2000;

/** What is saved. */
interface Saved {
  readonly id: Ref<string | undefined>;
  readonly document: ShallowRef<Plan | undefined>;
  /** A gesture is going on: what it shows is not sent. */
  isGoing(): boolean;
}

/** Brings a document home: kept in this browser at once, sent shortly after, and again until the server has it. */
export function useSaving({ id, document, isGoing }: Saved) {
  const access = useAccess();
  const revision = ref(0);
  const state = ref<SaveState>('saved');
  /** What stands in the way of a stale save. */
  const stored = shallowRef<StoredPlan>();
  const refusal = ref('');
  const wait = ref(SAVE_AFTER_MS);
  const timer = useTimeoutFn(() => void send(), wait, { immediate: false });
  let sending = false;

  function later(after: number): void {
    wait.value = after;
    timer.start();
  }

  /** The document is the one that was saved as this revision, or kept since. */
  function begin(at: number): void {
    revision.value = at;
    stored.value = undefined;
    // What was said of a save was said of another document.
    refusal.value = '';
  }

  /** The document is another than the one that was saved. */
  function changed(): void {
    if (!id.value || !document.value) return;
    if (!access.mayChange) {
      // Tried out here, and gone when the plan is opened again.
      state.value = 'looking';
      return;
    }
    // Kept before it is sent: a closed tab or a server that is away loses nothing.
    const room = keep(id.value, { revision: revision.value, document: document.value, unsent: true });
    refusal.value = room ? '' : 'This browser has no room to keep a copy.';
    if (state.value === 'stale') return;
    if (state.value !== 'offline' && state.value !== 'waiting') state.value = 'saving';
    later(SAVE_AFTER_MS);
  }

  /** Sends what waits at once. */
  async function flush(): Promise<void> {
    if (state.value === 'saving') {
      timer.stop();
      await send();
    }
  }

  async function send(): Promise<void> {
    const planId = id.value;
    const sent = document.value;
    if (!planId || !sent || state.value === 'stale') return;
    if (sending || isGoing()) return later(SAVE_AFTER_MS);
    sending = true;
    try {
      const saved = await api.save(planId, revision.value, sent);
      if (id.value !== planId) return;
      revision.value = saved.revision;
      const current = document.value === sent;
      if (state.value === 'waiting') refusal.value = '';
      keep(planId, { revision: saved.revision, document: document.value ?? sent, unsent: !current });
      state.value = current ? 'saved' : 'saving';
      if (!current) later(SAVE_AFTER_MS);
    } catch (problem) {
      if (id.value === planId) notSaved(problem);
    } finally {
      sending = false;
    }
  }

  function notSaved(problem: unknown): void {
    if (problem instanceof Unreachable) {
      isAway();
    } else if (problem instanceof Refused && problem.problem.status === 412 && problem.problem.stored) {
      markStale(problem.problem.stored);
    } else if (
      problem instanceof Refused &&
      (problem.problem.status >= 500 || [401, 429].includes(problem.problem.status))
    ) {
      // A full disk, a session that has ended: the edit is kept here, and sent again until it is taken.
      state.value = 'waiting';
      refusal.value = problem.message;
      later(RETRY_AFTER_MS);
    } else {
      state.value = 'refused';
      refusal.value = (problem as Error).message;
    }
  }

  /** The server is away: what is open is sent when it is back. */
  function isAway(): void {
    state.value = 'offline';
    later(RETRY_AFTER_MS);
  }

  function markStale(fresh: StoredPlan): void {
    state.value = 'stale';
    stored.value = fresh;
  }

  /** Stale: saves this tab's version over the stored one, which stays as a revision. */
  function keepMine(): void {
    if (!stored.value) return;
    revision.value = stored.value.revision;
    stored.value = undefined;
    state.value = 'saving';
    changed();
  }

  useEventListener('online', () => {
    if (state.value === 'offline') later(0);
  });

  return {
    revision,
    state,
    stored,
    refusal,
    begin,
    changed,
    later,
    stop: timer.stop,
    flush,
    isAway,
    markStale,
    keepMine,
  };
}
