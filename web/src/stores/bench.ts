import type { StoredTrial, TrialSummary } from '@rough-gear/contract/api';
import { rowsOf, type Taking, type Trial } from '@rough-gear/core';
import { useTimeoutFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { api, Refused, Unreachable } from '../api/client.js';

export type TrialState = 'saved' | 'saving' | 'offline' | 'refused';

const SAVE_AFTER_MS = 400;
const RETRY_AFTER_MS = 2000;
const LONGEST_WAIT_MS = 3000;
const KEPT = 'rough-gear:trial:';

/** A log of more rows fills a browser's room, and takes longer to write than a keystroke may. */
const MOST_KEPT = 5000;

/** What this browser keeps of a trial until the server has it. */
function keep(id: string, trial: Trial | undefined): void {
  try {
    if (trial && rowsOf(trial) <= MOST_KEPT) localStorage.setItem(KEPT + id, JSON.stringify(trial));
    else localStorage.removeItem(KEPT + id);
  } catch {
    // No room: it is still on the page, and sent until it is taken.
  }
}
function kept(id: string): Trial | undefined {
  try {
    const text = localStorage.getItem(KEPT + id);
    return text === null ? undefined : (JSON.parse(text) as Trial);
  } catch {
    return undefined;
  }
}

/** The bench book, and the trial of it that is open. */
export const useBench = defineStore('bench', () => {
  const book = shallowRef<readonly TrialSummary[]>([]);
  const bookState = ref<'not asked' | 'loading' | 'there' | 'away'>('not asked');
  const failure = ref('');

  const id = ref('');
  const trial = shallowRef<Trial>();
  const takings = shallowRef<readonly Taking[]>([]);
  const state = ref<TrialState>('saved');
  const refusal = ref('');
  const openFailure = ref('');
  let revision = 0;
  const wait = ref(SAVE_AFTER_MS);
  const soon = useTimeoutFn(() => void send(), wait, { immediate: false });
  let sending: Promise<void> | undefined;
  let waitingSince: number | undefined;

  const closed = computed(() => trial.value?.closedAt !== undefined);

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

  async function open(trialId: string): Promise<void> {
    if (id.value === trialId && trial.value) return;
    await flush();
    id.value = trialId;
    trial.value = undefined;
    openFailure.value = '';
    try {
      const stored = await api.openTrial(trialId);
      if (id.value !== trialId) return;
      take(stored);
      const unsent = kept(trialId);
      if (unsent && stored.trial.closedAt === undefined) change(unsent);
      else keep(trialId, undefined);
    } catch (problem) {
      if (id.value === trialId) openFailure.value = (problem as Error).message;
    }
  }

  function take(stored: StoredTrial): void {
    trial.value = stored.trial;
    takings.value = stored.takings;
    revision = stored.revision;
    state.value = 'saved';
    refusal.value = '';
  }

  /** Another state of the open trial: kept here at once, and sent. What is closed does not change. */
  function change(next: Trial): void {
    if (!trial.value || closed.value) return;
    trial.value = next;
    keep(id.value, next);
    if (state.value !== 'offline') state.value = 'saving';
    // A line that never rests is saved all the same, now and then.
    waitingSince ??= Date.now();
    schedule(Date.now() - waitingSince > LONGEST_WAIT_MS ? 0 : SAVE_AFTER_MS);
  }

  function schedule(after: number): void {
    wait.value = after;
    soon.start();
  }

  async function flush(): Promise<void> {
    soon.stop();
    if (state.value === 'saving') await send();
  }

  async function send(): Promise<void> {
    if (sending) await sending;
    sending = sendNow();
    await sending;
    sending = undefined;
  }

  async function sendNow(): Promise<void> {
    const [trialId, sent] = [id.value, trial.value];
    waitingSince = undefined;
    if (!sent) return;
    try {
      const saved = await api.saveTrial(trialId, revision, sent);
      if (id.value !== trialId) return;
      revision = saved.revision;
      if (trial.value === sent) {
        keep(trialId, undefined);
        state.value = 'saved';
      } else schedule(SAVE_AFTER_MS);
    } catch (problem) {
      if (id.value !== trialId) return;
      if (problem instanceof Refused && problem.problem.status < 500) {
        state.value = 'refused';
        refusal.value = problem.message;
      } else {
        state.value = 'offline';
        schedule(RETRY_AFTER_MS);
      }
    }
  }

  /** Begins a trial and gives its id. */
  async function begin(begun: Trial): Promise<string> {
    const stored = await api.addTrial(begun);
    await flush();
    id.value = stored.id;
    take(stored);
    void loadBook();
    return stored.id;
  }

  /** From now on nothing in it changes. */
  async function close(now: string): Promise<void> {
    if (!trial.value) return;
    change({ ...trial.value, closedAt: now });
    soon.stop();
    await send();
    void loadBook();
  }

  async function remove(): Promise<void> {
    soon.stop();
    const gone = id.value;
    state.value = 'saved';
    await api.removeTrial(gone);
    keep(gone, undefined);
    id.value = '';
    trial.value = undefined;
    await loadBook();
  }

  /** Adds to the history what was taken into a part. */
  async function tookInto(taking: Omit<Taking, 'at'>): Promise<void> {
    takings.value = await api.addTaking(id.value, { at: new Date().toISOString(), ...taking });
    void loadBook();
  }

  return {
    book,
    bookState,
    failure,
    id,
    trial,
    takings,
    state,
    refusal,
    openFailure,
    closed,
    loadBook,
    open,
    change,
    begin,
    close,
    remove,
    tookInto,
  };
});
