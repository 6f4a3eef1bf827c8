import type { StoredPlan } from '@rough-gear/contract/api';
import { defineStore } from 'pinia';
import { ref } from 'vue';
import { api, Unreachable } from '../api/client.js';
import { keep, readKept } from './kept.js';
import { useHistory } from './plan/history.js';
import { useSaving } from './plan/saving.js';

/** The open plan: its document with undo (`plan/history`), brought home as it is changed (`plan/saving`). */
export const usePlan = defineStore('plan', () => {
  const id = ref<string>();
  const loading = ref(false);
  const failure = ref('');
  const history = useHistory(() => saving.changed());
  const saving = useSaving({ id, document: history.document, isGoing: history.isGoing });
  /** What changes a plan on the server by another way; opening waits for it. */
  let elsewhere: Promise<unknown> = Promise.resolve();

  /** Opens a plan: the server's, with what this browser has not sent yet; the kept copy while the server is away. */
  async function open(planId: string): Promise<void> {
    if (id.value === planId && history.document.value) return;
    await saving.flush();
    close();
    id.value = planId;
    failure.value = '';
    loading.value = true;
    await elsewhere;
    const kept = readKept(planId);
    const takeKept = (): void => {
      if (!kept) return;
      history.take(kept.document);
      saving.begin(kept.revision);
    };
    try {
      const fresh = await api.open(planId);
      if (id.value !== planId) return;
      if (kept?.unsent) {
        takeKept();
        if (kept.revision === fresh.revision) saving.later(0);
        else if (JSON.stringify(kept.document) === JSON.stringify(fresh.document)) takeStored(fresh);
        else saving.markStale(fresh);
      } else takeStored(fresh);
    } catch (problem) {
      if (id.value !== planId) return;
      if (problem instanceof Unreachable && kept) {
        takeKept();
        saving.isAway();
      } else failure.value = (problem as Error).message;
    } finally {
      loading.value = false;
    }
  }

  function close(): void {
    saving.stop();
    id.value = undefined;
    history.document.value = undefined;
  }

  /** Changes a plan on the server by another way: who opens it next waits for that, and fetches it anew. */
  async function changeElsewhere(planId: string, work: () => Promise<unknown>): Promise<void> {
    await saving.flush();
    if (id.value === planId) close();
    const done = work();
    elsewhere = done.catch(() => undefined);
    await done;
  }

  function takeStored(fresh: StoredPlan, before?: StoredPlan['document']): void {
    history.take(fresh.document, before);
    saving.begin(fresh.revision);
    saving.state.value = 'saved';
    keep(fresh.id, { revision: fresh.revision, document: fresh.document, unsent: false });
  }

  /** Stale: takes the stored version; this tab's stays one undo away. */
  function takeTheirs(): void {
    const theirs = saving.stored.value;
    if (theirs) takeStored(theirs, history.document.value);
  }

  /** Stale: this tab's version becomes a plan of its own; the stored one is opened. */
  async function keepBoth(): Promise<void> {
    const mine = history.document.value;
    if (!mine || !saving.stored.value) return;
    await api.create({ document: { ...mine, name: `${mine.name.slice(0, 68)} (mine)` } });
    takeTheirs();
  }

  const { document, baseline, canUndo, canRedo, begin, preview, cancel, commit, undo, redo, replace } = history;
  const { revision, state, stored, refusal, flush, keepMine } = saving;
  return {
    ...{ id, revision, document, baseline, state, stored, refusal, loading, failure, canUndo, canRedo },
    ...{ open, begin, preview, cancel, commit, undo, redo, replace },
    ...{ changeElsewhere, flush, keepMine, takeTheirs, keepBoth },
  };
});
