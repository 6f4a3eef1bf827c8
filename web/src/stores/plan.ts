import type { StoredPlan } from '@rough-gear/contract/api';
import { printable } from '@rough-gear/contract/text';
import { applyChanges, type Change, type Plan } from '@rough-gear/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { api, Refused, Unreachable } from '../api/client.js';
import { useAccess } from './access.js';
import { keep, readKept } from './kept.js';

export type SaveState = 'saved' | 'saving' | 'offline' | 'waiting' | 'stale' | 'refused' | 'looking';

const SAVE_AFTER_MS = 250;
const RETRY_AFTER_MS = 2000;

/** What was pasted along with a name and cannot be printed is left out. */
const cleaned = (change: Change): Change =>
  typeof change.to === 'string' ? { ...change, to: printable(change.to) } : change;

/**
 * The open plan: its document, undo history and saving. One gesture (begin, preview, commit) is one
 * undo step, one save and one baseline of what moved.
 */
export const usePlan = defineStore('plan', () => {
  const access = useAccess();
  const id = ref<string>();
  const revision = ref(0);
  const document = shallowRef<Plan>();
  /** The document before the last gesture: what "moved" compares with. */
  const baseline = shallowRef<Plan>();
  const past = shallowRef<readonly Plan[]>([]);
  const future = shallowRef<readonly Plan[]>([]);
  const state = ref<SaveState>('saved');
  /** What stands in the way of a stale save. */
  const stored = shallowRef<StoredPlan>();
  const refusal = ref('');
  const loading = ref(false);
  const failure = ref('');

  let gestureStart: Plan | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let sending = false;
  /** What changes a plan on the server by another way; opening waits for it. */
  let elsewhere: Promise<unknown> = Promise.resolve();

  const canUndo = computed(() => past.value.length > 0);
  const canRedo = computed(() => future.value.length > 0);

  function take(plan: Plan, at: number): void {
    document.value = plan;
    baseline.value = undefined;
    revision.value = at;
    past.value = [];
    future.value = [];
    stored.value = undefined;
    // What was said of a save was said of another document.
    refusal.value = '';
  }

  /** Opens a plan: the server's, with what this browser has not sent yet; the kept copy while the server is away. */
  async function open(planId: string): Promise<void> {
    if (id.value === planId && document.value) return;
    await flush();
    clearTimeout(timer);
    id.value = planId;
    document.value = undefined;
    failure.value = '';
    loading.value = true;
    await elsewhere;
    const kept = readKept(planId);
    try {
      const fresh = await api.open(planId);
      if (id.value !== planId) return;
      if (kept?.unsent) {
        take(kept.document, kept.revision);
        if (kept.revision === fresh.revision) scheduleSave(0);
        else if (JSON.stringify(kept.document) === JSON.stringify(fresh.document)) takeStored(fresh);
        else markStale(fresh);
      } else takeStored(fresh);
    } catch (problem) {
      if (id.value !== planId) return;
      if (problem instanceof Unreachable && kept) {
        take(kept.document, kept.revision);
        state.value = 'offline';
        scheduleSave(RETRY_AFTER_MS);
      } else failure.value = (problem as Error).message;
    } finally {
      loading.value = false;
    }
  }

  /** Changes a plan on the server by another way: who opens it next waits for that, and fetches it anew. */
  async function changeElsewhere(planId: string, work: () => Promise<unknown>): Promise<void> {
    await flush();
    if (id.value === planId) {
      clearTimeout(timer);
      id.value = undefined;
      document.value = undefined;
    }
    const done = work();
    elsewhere = done.catch(() => undefined);
    await done;
  }

  function takeStored(fresh: StoredPlan): void {
    take(fresh.document, fresh.revision);
    state.value = 'saved';
    keep(fresh.id, { revision: fresh.revision, document: fresh.document, unsent: false });
  }

  /** Starts a gesture: what follows until `commit` is one step. */
  function begin(): void {
    gestureStart ??= document.value;
  }

  /** Shows changes on top of where the gesture began, without keeping them. */
  function preview(changes: readonly Change[]): void {
    begin();
    if (gestureStart) document.value = applyChanges(gestureStart, changes);
    baseline.value = gestureStart;
  }

  /** Gives the gesture up. */
  function cancel(): void {
    if (!gestureStart) return;
    document.value = gestureStart;
    gestureStart = undefined;
    baseline.value = past.value.at(-1);
  }

  /** Ends a gesture with these changes: an undo step, a save. */
  function commit(changes: readonly Change[]): void {
    const before = gestureStart ?? document.value;
    gestureStart = undefined;
    if (!before) return;
    const after = applyChanges(before, changes.map(cleaned));
    document.value = after;
    if (JSON.stringify(after) === JSON.stringify(before)) {
      document.value = before;
      return;
    }
    past.value = [...past.value, before];
    future.value = [];
    baseline.value = before;
    changed();
  }

  function undo(): void {
    const before = past.value.at(-1);
    if (!before || !document.value) return;
    cancel();
    future.value = [document.value, ...future.value];
    past.value = past.value.slice(0, -1);
    baseline.value = document.value;
    document.value = before;
    changed();
  }

  function redo(): void {
    const [next, ...rest] = future.value;
    if (!next || !document.value) return;
    past.value = [...past.value, document.value];
    future.value = rest;
    baseline.value = document.value;
    document.value = next;
    changed();
  }

  /** Brings back an older document whole, as one undoable step. */
  function replace(plan: Plan): void {
    if (!document.value) return;
    past.value = [...past.value, document.value];
    future.value = [];
    baseline.value = document.value;
    document.value = plan;
    changed();
  }

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
    scheduleSave(SAVE_AFTER_MS);
  }

  function scheduleSave(after: number): void {
    clearTimeout(timer);
    timer = setTimeout(() => void send(), after);
  }

  /** Sends what waits at once. */
  async function flush(): Promise<void> {
    if (state.value === 'saving') {
      clearTimeout(timer);
      await send();
    }
  }

  async function send(): Promise<void> {
    const planId = id.value;
    const sent = document.value;
    if (!planId || !sent || state.value === 'stale') return;
    if (sending || gestureStart) return scheduleSave(SAVE_AFTER_MS);
    sending = true;
    try {
      const saved = await api.save(planId, revision.value, sent);
      if (id.value !== planId) return;
      revision.value = saved.revision;
      const current = document.value === sent;
      if (state.value === 'waiting') refusal.value = '';
      keep(planId, { revision: saved.revision, document: document.value ?? sent, unsent: !current });
      state.value = current ? 'saved' : 'saving';
      if (!current) scheduleSave(SAVE_AFTER_MS);
    } catch (problem) {
      if (id.value === planId) notSaved(problem);
    } finally {
      sending = false;
    }
  }

  function notSaved(problem: unknown): void {
    if (problem instanceof Unreachable) {
      state.value = 'offline';
      scheduleSave(RETRY_AFTER_MS);
    } else if (problem instanceof Refused && problem.problem.status === 412 && problem.problem.stored) {
      markStale(problem.problem.stored);
    } else if (
      problem instanceof Refused &&
      (problem.problem.status >= 500 || [401, 429].includes(problem.problem.status))
    ) {
      // A full disk, a session that has ended: the edit is kept here, and sent again until it is taken.
      state.value = 'waiting';
      refusal.value = problem.message;
      scheduleSave(RETRY_AFTER_MS);
    } else {
      state.value = 'refused';
      refusal.value = (problem as Error).message;
    }
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

  /** Stale: takes the stored version; this tab's stays one undo away. */
  function takeTheirs(): void {
    const theirs = stored.value;
    const mine = document.value;
    if (!theirs) return;
    takeStored(theirs);
    if (mine) past.value = [mine];
  }

  /** Stale: this tab's version becomes a plan of its own; the stored one is opened. */
  async function keepBoth(): Promise<void> {
    if (!document.value || !stored.value) return;
    const mine = document.value;
    await api.create({ document: { ...mine, name: `${mine.name.slice(0, 68)} (mine)` } });
    takeTheirs();
  }

  globalThis.addEventListener?.('online', () => {
    if (state.value === 'offline') scheduleSave(0);
  });

  return {
    id,
    revision,
    document,
    baseline,
    state,
    stored,
    refusal,
    loading,
    failure,
    canUndo,
    canRedo,
    open,
    begin,
    preview,
    cancel,
    commit,
    undo,
    redo,
    replace,
    changeElsewhere,
    flush,
    keepMine,
    takeTheirs,
    keepBoth,
  };
});
