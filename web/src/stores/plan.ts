import type { StoredPlan } from '@rough-gear/contract/api';
import { useTimeoutFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { api, Unreachable } from '../api/client.js';
import { draftsLeft, keepCopy, keptCopy, letGo, type Draft, type LeftDraft } from './plan/drafts.js';
import { useHistory } from './plan/history.js';
import { useSaving } from './plan/saving.js';
import { same } from './same.js';

/** The server is asked again after so long, ms, while it is away. */
const ASK_AGAIN_MS = 2000;

/** The open plan: its document with undo (`plan/history`), brought home as it is changed (`plan/saving`). */
export const usePlan = defineStore('plan', () => {
  const id = ref<string>();
  const loading = ref(false);
  const failure = ref('');
  /** What windows that are gone left unsent of this plan, beside what is open. */
  const left = shallowRef<readonly LeftDraft[]>([]);
  const saving = useSaving(id);
  const history = useHistory(() => saving.changed(history.document.value));
  const again = useTimeoutFn(() => void lookAgain(), ASK_AGAIN_MS, { immediate: false });
  /** What changes a plan on the server by another way; opening waits for it. */
  let elsewhere: Promise<unknown> = Promise.resolve();

  /**
   * Opens a plan: the server's, with what this browser has not sent yet; the kept copy while the server is away. What is
   * unsent of the one that was open goes on its way without it.
   */
  async function open(planId: string): Promise<void> {
    if (id.value === planId && history.document.value) return;
    close();
    id.value = planId;
    failure.value = '';
    loading.value = true;
    await elsewhere;
    await saving.flush(planId);
    const drafts = await draftsLeft(planId);
    if (id.value !== planId) return;
    // What this window has in hand is newer than what it kept.
    const [inHand] = saving.waitingIn(planId);
    const draft = inHand ?? drafts[0];
    try {
      const fresh = await api.open(planId);
      if (id.value !== planId) return;
      if (draft && !same(draft.document, fresh.document)) {
        history.take(draft.document);
        if (!inHand) saving.adopt(draft, fresh);
      } else {
        if (draft) saving.letGo(planId);
        takeStored(fresh);
      }
      await keepOthers(planId, drafts, fresh);
    } catch (problem) {
      if (id.value === planId) await openKept(planId, draft, problem as Error);
    } finally {
      if (id.value === planId) loading.value = false;
    }
  }

  /**
   * Of drafts that windows left those stay that say something else. What is gone on with is kept by this window before it is
   * let go of where it was.
   */
  async function keepOthers(planId: string, drafts: readonly LeftDraft[], fresh: StoredPlan): Promise<void> {
    const open = history.document.value;
    await saving.keepInHand(planId);
    const known = drafts.filter(({ mine, document }) => mine || same(document, fresh.document) || same(document, open));
    for (const draft of known) if (!draft.mine) await letGo(draft);
    if (id.value === planId) left.value = drafts.filter((draft) => !known.includes(draft));
  }

  /** Without the server: what was not sent, or else the last that is known. */
  async function openKept(planId: string, draft: Draft | undefined, problem: Error): Promise<void> {
    const copy = draft ?? (problem instanceof Unreachable ? await keptCopy(planId) : undefined);
    if (id.value !== planId) return;
    if (!(problem instanceof Unreachable) || !copy) {
      failure.value = problem.message;
      return;
    }
    history.take(copy.document);
    if (draft) return saving.adopt(draft);
    saving.begin(copy.revision);
    saving.fromCopy.value = true;
    again.start();
  }

  /** The server may be back: what is open is what it has, unless it was changed here meanwhile. */
  async function lookAgain(): Promise<void> {
    const planId = id.value;
    if (!planId || !saving.fromCopy.value || saving.waitingIn(planId).length > 0) return;
    try {
      const fresh = await api.open(planId);
      if (id.value !== planId || saving.waitingIn(planId).length > 0) return;
      if (same(fresh.document, history.document.value)) saving.begin(fresh.revision);
      else takeStored(fresh, history.document.value);
    } catch {
      again.start();
    }
  }

  function close(): void {
    again.stop();
    id.value = undefined;
    left.value = [];
    history.document.value = undefined;
  }

  /** Changes a plan on the server by another way: who opens it next waits for that, and fetches it anew. */
  async function changeElsewhere(planId: string, work: () => Promise<unknown>): Promise<void> {
    await saving.flush(planId);
    if (id.value === planId) close();
    const done = work();
    elsewhere = done.catch(() => undefined);
    await done;
  }

  function takeStored(fresh: StoredPlan, before?: StoredPlan['document']): void {
    history.take(fresh.document, before);
    saving.begin(fresh.revision);
    void keepCopy(fresh.id, { revision: fresh.revision, document: fresh.document });
  }

  /** Changed elsewhere: takes the stored version; this window's stays one undo away. */
  function takeTheirs(): void {
    const theirs = saving.stored.value;
    if (!theirs) return;
    saving.letGo(theirs.id);
    takeStored(theirs, history.document.value);
  }

  /** Changed elsewhere: this window's version becomes a plan of its own; the stored one is opened. */
  async function keepBoth(): Promise<void> {
    const mine = history.document.value;
    if (!mine || !saving.stored.value) return;
    await api.create({ document: { ...mine, name: `${mine.name.slice(0, 68)} (mine)` } });
    takeTheirs();
  }

  /** What a window left: goes on here, undo brings back what was open; becomes a plan of its own; or is let go. */
  async function decideLeft(draft: LeftDraft, as: 'here' | 'apart' | 'gone'): Promise<void> {
    if (as === 'here') history.replace(draft.document);
    if (as === 'apart')
      await api.create({ document: { ...draft.document, name: `${draft.document.name.slice(0, 68)} (left)` } });
    await letGo(draft);
    left.value = left.value.filter((one) => one !== draft);
  }

  const { document, baseline, canUndo, canRedo, begin, preview, cancel, commit, undo, redo, replace } = history;
  const { revision, state, stored, refusal, keepMine, elsewhere: unsentElsewhere } = saving;
  /** Sends at once what waits of the open plan. */
  const flush = (): Promise<void> => (id.value ? saving.flush(id.value) : Promise.resolve());
  return {
    ...{ id, revision, document, baseline, state, stored, refusal, loading, failure, canUndo, canRedo },
    ...{ open, begin, preview, cancel, commit, undo, redo, replace },
    ...{ changeElsewhere, flush, keepMine, takeTheirs, keepBoth, left, decideLeft, unsentElsewhere },
  };
});
