import type { StoredTrial, TrialSummary } from '@rough-gear/contract/api';
import type { Taking, Trial } from '@rough-gear/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { api, Unreachable } from '../api/client.js';
import { useTrialSaving } from './bench/saving.js';

/** The bench book, and the trial of it that is open. */
export const useBench = defineStore('bench', () => {
  const book = shallowRef<readonly TrialSummary[]>([]);
  const bookState = ref<'not asked' | 'loading' | 'there' | 'away'>('not asked');
  const failure = ref('');

  const id = ref('');
  const trial = shallowRef<Trial>();
  const takings = shallowRef<readonly Taking[]>([]);
  const openFailure = ref('');
  const saving = useTrialSaving({ id, trial });
  const closed = computed(() => trial.value?.closedAt !== undefined);

  // Closed here or elsewhere: the list of trials says so.
  watch(closed, (now, before) => {
    if (now && before === false && bookState.value === 'there') void loadBook();
  });

  async function loadBook(): Promise<void> {
    if (bookState.value !== 'there') bookState.value = 'loading';
    try {
      book.value = await api.trials();
      bookState.value = 'there';
    } catch (problem) {
      bookState.value = 'away';
      failure.value =
        problem instanceof Unreachable
          ? 'The bench book is on the server, which cannot be reached now.'
          : (problem as Error).message;
    }
  }

  /** Opens a trial: the server's, together with what windows of this browser wrote in it and have not sent. */
  async function open(trialId: string): Promise<void> {
    if (id.value === trialId && trial.value) return;
    id.value = trialId;
    trial.value = undefined;
    takings.value = [];
    openFailure.value = '';
    const left = await saving.left(trialId);
    try {
      const stored = await api.openTrial(trialId);
      if (id.value !== trialId) return;
      take(stored);
      await saving.goOn(trialId, stored, left);
    } catch (problem) {
      if (id.value !== trialId) return;
      if (!(problem instanceof Unreachable && saving.goOnAlone(trialId, left)))
        openFailure.value = (problem as Error).message;
    }
  }

  function take(stored: StoredTrial): void {
    trial.value = stored.trial;
    takings.value = stored.takings;
    saving.begin(stored);
  }

  /** Another state of the open trial. What is closed does not change. */
  function change(next: Trial): void {
    if (!trial.value || closed.value) return;
    trial.value = next;
    saving.changed(next);
  }

  /** What other devices wrote since, shown beside what is written here. */
  async function look(): Promise<void> {
    const trialId = id.value;
    if (!trial.value || closed.value) return;
    try {
      const newer = await saving.newerThanKnown(trialId);
      if (newer && id.value === trialId) saving.meet(trialId, newer);
    } catch {
      // It is asked again soon; what is written here has its own way of saying that the server is away.
    }
  }

  /** Begins a trial and gives its id. */
  async function begin(begun: Trial): Promise<string> {
    const stored = await api.addTrial(begun);
    id.value = stored.id;
    take(stored);
    void loadBook();
    return stored.id;
  }

  /** From now on nothing in it changes. `anyway`: also where another device is writing in it. */
  async function close(now: string, anyway = false): Promise<void> {
    if (!trial.value) return;
    await saving.close(now, anyway);
    void loadBook();
  }

  async function remove(): Promise<void> {
    const gone = id.value;
    await saving.remove(gone);
    id.value = '';
    trial.value = undefined;
    await loadBook();
  }

  /** Adds to the history what was taken into a part. */
  async function tookInto(taking: Omit<Taking, 'at'>): Promise<void> {
    takings.value = await api.addTaking(id.value, { at: new Date().toISOString(), ...taking });
    void loadBook();
  }

  const { state, refusal, clashes, apart, notClosed, decide, beginApart, letApartGo } = saving;
  return {
    ...{ book, bookState, failure, id, trial, takings, state, refusal, openFailure, closed },
    ...{ clashes, apart, notClosed, decide, beginApart, letApartGo },
    ...{ loadBook, open, change, look, begin, close, remove, tookInto },
  };
});
