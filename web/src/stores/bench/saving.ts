import type { StoredTrial } from '@rough-gear/contract/api';
import { mergeTrials, rowsBeside, withMine, type Clash, type MergedTrial, type Trial } from '@rough-gear/core';
import { useEventListener } from '@vueuse/core';
import { computed, ref, shallowRef, watch, type Ref, type ShallowRef } from 'vue';
import { api, Refused } from '../../api/client.js';
import { windowName } from '../../keeping/windows.js';
import { createOutbox, Undecided, type Outbox } from '../../outbox/outbox.js';
import {
  keepClashes,
  keepTrialDraft,
  keptClashes,
  letTrialGo,
  trialsLeft,
  type Known,
  type LeftTrial,
  type TrialDraft,
} from './trialDrafts.js';
import { same } from '../same.js';

/** What is open. */
interface Open {
  readonly id: Ref<string>;
  readonly trial: ShallowRef<Trial | undefined>;
}

/** What was written here of a trial that was closed elsewhere meanwhile. */
interface Apart {
  readonly mine: Trial;
  /** Rows that the closed one does not have. */
  readonly rows: number;
}

const SAVE_AFTER_MS = 400;
const LONGEST_WAIT_MS = 3000;

const statusOf = (problem: unknown): number | undefined =>
  problem instanceof Refused ? problem.problem.status : undefined;

/** Brings trials home. What other devices wrote meanwhile and what is written here is put together, row by row. */
export function useTrialSaving({ id, trial }: Open) {
  /** What the server is known to have, by trial: what both sides began with. */
  const bases = new Map<string, Known>();
  const clashes = shallowRef<readonly Clash[]>([]);
  const apart = shallowRef<Apart>();
  /** Why it was not closed. */
  const notClosed = ref('');

  const outbox: Outbox<Trial> = createOutbox<Trial>({
    nameOf: () => 'trial',
    rest: SAVE_AFTER_MS,
    longest: LONGEST_WAIT_MS,
    keep: (trialId) => keepInHand(trialId),
    send: async (trialId, trials) => {
      const mine = trials[0]!;
      try {
        const saved = await api.saveTrial(trialId, bases.get(trialId)?.revision ?? 0, mine, {
          from: await windowName(),
        });
        bases.set(trialId, { revision: saved.revision, trial: mine });
      } catch (problem) {
        // Changed or closed elsewhere: what is put together is another one, and goes in the place of this.
        if (![409, 412].includes(statusOf(problem) ?? 0)) throw problem;
        meet(trialId, await api.openTrial(trialId));
        if (bases.get(trialId)?.trial.closedAt !== undefined) throw new Undecided(trialId);
      }
    },
  });
  useEventListener('online', outbox.back);

  const box = computed(() => outbox.boxOf(id.value));
  watch(id, () => {
    clashes.value = [];
    apart.value = undefined;
    notClosed.value = '';
  });

  function keepInHand(trialId: string): Promise<void> {
    const mine = outbox.waitingIn(trialId)[0];
    return keepTrialDraft(trialId, mine && { base: bases.get(trialId), mine });
  }

  const begin = ({ id: trialId, revision, trial: stored }: StoredTrial): void =>
    void bases.set(trialId, { revision, trial: stored });
  const changed = (next: Trial): void => outbox.put(id.value, next);

  /** Puts together what the server has and what is written here and has not been sent; `left` by windows that are gone, too. */
  function meet(trialId: string, stored: StoredTrial, left: readonly TrialDraft[] = []): void {
    const inHand = outbox.waitingIn(trialId)[0];
    const drafts: readonly TrialDraft[] = [...(inHand ? [{ base: bases.get(trialId), mine: inHand }] : []), ...left];
    begin(stored);
    const { closedAt, ...open } = stored.trial;
    let merged: MergedTrial = { trial: open, clashes: [] };
    for (const { base, mine } of drafts) {
      const next = mergeTrials(base?.trial, mine, merged.trial);
      merged = { trial: next.trial, clashes: [...merged.clashes, ...next.clashes] };
    }
    const isShown = id.value === trialId;
    const asStored = same(merged.trial, open) && merged.clashes.length === 0;
    if (asStored) outbox.empty(trialId);
    if (asStored || closedAt !== undefined) {
      if (isShown) trial.value = stored.trial;
      if (!asStored)
        meetClosed(
          trialId,
          stored.trial,
          [...(isShown ? clashes.value : []), ...merged.clashes].reduce(withMine, merged.trial),
        );
      return;
    }
    if (isShown) trial.value = merged.trial;
    if (merged.clashes.length > 0) void addClashes(trialId, merged.clashes);
    if (same(merged.trial, open)) outbox.empty(trialId);
    else outbox.put(trialId, merged.trial);
  }

  /** Nothing goes into what is closed: what was written here is kept until a person says what becomes of it. */
  function meetClosed(trialId: string, closed: Trial, mine: Trial): void {
    outbox.empty(trialId);
    outbox.resume(trialId, [mine], 'clash');
    if (id.value === trialId) apart.value = { mine, rows: rowsBeside(mine, closed) };
  }

  async function addClashes(trialId: string, more: readonly Clash[]): Promise<void> {
    if (id.value === trialId) return undecided(trialId, [...clashes.value, ...more]);
    await keepClashes(trialId, [...(await keptClashes(trialId)), ...more]);
  }

  function undecided(trialId: string, left: readonly Clash[]): void {
    clashes.value = left;
    void keepClashes(trialId, left);
  }

  /** A person takes what was written here, or leaves what the other device wrote. */
  function decide(clash: Clash, mine: boolean): void {
    undecided(
      id.value,
      clashes.value.filter((one) => one !== clash),
    );
    if (!mine || !trial.value) return;
    trial.value = withMine(trial.value, clash);
    changed(trial.value);
  }

  /** Goes on with what windows left unsent. */
  async function goOn(trialId: string, stored: StoredTrial, left: readonly LeftTrial[]): Promise<void> {
    meet(trialId, stored, left);
    await keepInHand(trialId);
    for (const draft of left) if (!draft.ownWindow) await letTrialGo(draft);
    const before = await keptClashes(trialId);
    if (id.value === trialId && before.length > 0)
      clashes.value = [...before.filter((one) => !clashes.value.some((other) => same(one, other))), ...clashes.value];
  }

  /** Without the server: with what was left unsent, where there is something. */
  function goOnAlone(trialId: string, [draft]: readonly LeftTrial[]): boolean {
    const mine = outbox.waitingIn(trialId)[0] ?? draft?.mine;
    if (!mine) return false;
    if (draft?.base) bases.set(trialId, draft.base);
    trial.value = mine;
    outbox.resume(trialId, [mine], 'away');
    return true;
  }

  const newerThanKnown = (trialId: string): Promise<StoredTrial | undefined> =>
    api.newerTrial(trialId, bases.get(trialId)?.revision ?? 0);

  /** Closes what is open once all of it is home; not while another device writes in it, unless `anyway`. */
  async function close(now: string, anyway: boolean): Promise<void> {
    const trialId = id.value;
    notClosed.value = '';
    await outbox.flush(trialId);
    const base = bases.get(trialId);
    if (!base || !trial.value) return;
    if (outbox.waitingIn(trialId).length > 0) {
      notClosed.value = 'What is written here has to come home first.';
      return;
    }
    const closing = { ...trial.value, closedAt: now };
    try {
      const saved = await api.saveTrial(trialId, base.revision, closing, { from: await windowName(), anyway });
      bases.set(trialId, { revision: saved.revision, trial: closing });
      if (id.value === trialId) trial.value = closing;
    } catch (problem) {
      if (![409, 412].includes(statusOf(problem) ?? 0)) throw problem;
      meet(trialId, await api.openTrial(trialId));
      notClosed.value =
        statusOf(problem) === 412 ? 'Another device wrote in this trial meanwhile.' : (problem as Error).message;
    }
  }

  async function remove(trialId: string): Promise<void> {
    await api.removeTrial(trialId, bases.get(trialId)?.revision ?? 0);
    outbox.empty(trialId);
  }

  /** What was written here of a closed trial becomes a trial of its own; gives its id. */
  async function beginApart(): Promise<string | undefined> {
    if (!apart.value) return undefined;
    const { closedAt: _, ...mine } = apart.value.mine;
    const stored = await api.addTrial(mine);
    letApartGo();
    return stored.id;
  }

  function letApartGo(): void {
    outbox.empty(id.value);
    apart.value = undefined;
  }

  return {
    state: computed(() => box.value.state),
    refusal: computed(() => box.value.refusal),
    ...{ clashes, apart, notClosed, begin, changed, meet, decide, goOn, goOnAlone, newerThanKnown },
    ...{ close, remove, beginApart, letApartGo, left: trialsLeft },
  };
}
