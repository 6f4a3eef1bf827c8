import type { StoredPlan } from '@rough-gear/contract/api';
import type { Plan } from '@rough-gear/core';
import { useEventListener } from '@vueuse/core';
import { computed, ref, shallowReactive, type Ref } from 'vue';
import { api, Refused } from '../../api/client.js';
import { keepsNothing } from '../../keeping/keeping.js';
import { createOutbox, type Outbox, type OutboxState } from '../../outbox/outbox.js';
import { useAccess } from '../access.js';
import { same } from '../same.js';
import { keepCopy, keepDraft, type Draft } from './drafts.js';

/** How the open plan stands with the server; `looking`: it is tried out by someone who may not change it. */
export type SaveState = OutboxState | 'looking';

const SAVE_AFTER_MS = 250;

/** Brings plans home, also those that are not open any more. `id` names the one that is. */
export function useSaving(id: Ref<string | undefined>) {
  const access = useAccess();
  const revisions = new Map<string, number>();
  /** What stands in the way of a plan that was changed elsewhere too. */
  const inTheWay = shallowReactive(new Map<string, StoredPlan>());
  /** What was sent of a plan and not answered. */
  const unanswered = new Map<string, Set<Plan>>();
  const looking = ref(false);
  /** Opened from this browser's copy, with the server away. */
  const fromCopy = ref(false);

  const outbox: Outbox<Draft> = createOutbox<Draft>({
    nameOf: () => 'document',
    rest: SAVE_AFTER_MS,
    keep: (planId) => keepInHand(planId),
    send: async (planId, drafts) => {
      const draft = drafts[0]!;
      try {
        const { revision } = await saved(planId, draft);
        revisions.set(planId, revision);
        // What was opened from the copy here is what the server has from now on.
        if (planId === id.value) fromCopy.value = false;
        void keepCopy(planId, { revision, document: draft.document });
      } catch (problem) {
        if (problem instanceof Refused && problem.problem.stored) inTheWay.set(planId, problem.problem.stored);
        throw problem;
      }
    },
  });
  useEventListener('online', outbox.back);

  /**
   * Saves a plan. Where an answer was lost on its way, the server may have what this window sent before: nobody else
   * changed the plan then, and it is gone on from there.
   */
  async function saved(planId: string, { revision, document }: Draft): Promise<{ readonly revision: number }> {
    const before = unanswered.get(planId) ?? new Set();
    const sent = new Set([...before, document]);
    unanswered.set(planId, sent);
    try {
      const answer = await api.save(planId, revisions.get(planId) ?? revision, document);
      unanswered.delete(planId);
      return answer;
    } catch (problem) {
      const there = problem instanceof Refused ? problem.problem.stored : undefined;
      if (!there) throw problem;
      unanswered.delete(planId);
      if (![...before].some((earlier) => same(earlier, there.document))) throw problem;
      revisions.set(planId, there.revision);
      return same(document, there.document) ? there : saved(planId, { revision: there.revision, document });
    }
  }

  /** Keeps what waits of a plan, with the revision that it goes on from. */
  function keepInHand(planId: string): Promise<void> {
    const draft = outbox.waitingIn(planId)[0];
    return keepDraft(planId, draft && { ...draft, revision: revisions.get(planId) ?? draft.revision });
  }

  const box = computed(() => outbox.boxOf(id.value ?? ''));
  const state = computed((): SaveState => {
    if (looking.value) return 'looking';
    return fromCopy.value && box.value.state === 'home' ? 'away' : box.value.state;
  });
  const stored = computed(() => (state.value === 'clash' ? inTheWay.get(id.value ?? '') : undefined));
  const refusal = computed(() =>
    box.value.waiting > 0 && keepsNothing.value ? keepsNothing.value : box.value.refusal,
  );
  const revision = computed(() => (box.value, revisions.get(id.value ?? '') ?? 0));
  /** Other plans of which something has not come home. */
  const elsewhere = computed(() =>
    [...outbox.boxes].flatMap(([planId, { waiting }]) => {
      const draft = outbox.waitingIn(planId)[0];
      return waiting > 0 && planId !== id.value && draft ? [draft.document.name] : [];
    }),
  );

  /** The open document is the server's of this revision. */
  function begin(at: number): void {
    if (id.value) revisions.set(id.value, at);
    looking.value = fromCopy.value = false;
  }

  /** The open document is another than the one that was saved. */
  function changed(document: Plan | undefined): void {
    const planId = id.value;
    if (!planId || !document) return;
    // Tried out here, and gone when the plan is opened again.
    if (access.mayChange)
      outbox.put(planId, { revision: revisions.get(planId) ?? 0, document, at: new Date().toISOString() });
    else looking.value = true;
  }

  /** Goes on with what was left unsent: sent where the server still has what it began with, else a person decides. */
  function adopt(draft: Draft, fresh?: StoredPlan): void {
    const planId = id.value!;
    begin(draft.revision);
    if (!fresh) return outbox.resume(planId, [draft], 'away');
    if (fresh.revision !== draft.revision) inTheWay.set(planId, fresh);
    outbox.resume(planId, [draft], fresh.revision === draft.revision ? 'sending' : 'clash');
  }

  /** Changed elsewhere: saves this window's version over the stored one, which stays as a revision. */
  function keepMine(): void {
    const planId = id.value;
    if (!planId || !stored.value) return;
    revisions.set(planId, stored.value.revision);
    outbox.decided(planId);
  }

  return {
    ...{ state, stored, refusal, revision, elsewhere, fromCopy },
    ...{
      begin,
      changed,
      adopt,
      keepMine,
      keepInHand,
      flush: outbox.flush,
      waitingIn: outbox.waitingIn,
      letGo: outbox.empty,
    },
  };
}
