import { LOTS, mergeShortlists, type Plan, type Shelved, type Shortlist, type ShortlistQuery } from '@rough-gear/core';
import { proxy } from 'comlink';
import { onUnmounted, ref, shallowRef, toRaw } from 'vue';
import { searchWorkers } from '../../../../workers/core.js';

/** A search over the shelf in two workers: what it has found so far, how far it is, and a stop. */
export function useShortlist() {
  const found = shallowRef<Shortlist>();
  /** What the found was searched by. */
  const searched = shallowRef<{ readonly plan: Plan; readonly query: ShortlistQuery }>();
  const running = ref(false);
  const failure = ref('');
  let current = 0;

  async function search(plan: Plan, query: ShortlistQuery, shelf: readonly Shelved[]): Promise<void> {
    stop();
    const mine = ++current;
    running.value = true;
    failure.value = '';
    found.value = undefined;
    searched.value = { plan, query };
    const lots: (Shortlist | undefined)[] = Array.from({ length: LOTS });
    const tell = (index: number, lot: Shortlist) => {
      if (mine !== current) return;
      lots[index] = lot;
      found.value = mergeShortlists(known(lots), query.wants);
    };
    const parts = shelf.map((item) => toRaw(item));
    try {
      await Promise.all(
        searchWorkers().map(async (worker, index) => {
          const lot = { index, of: LOTS };
          const told = proxy((so: Shortlist) => {
            // Progress comes by another way than the answer and may be late: what is done stays done.
            if (!lots[index]?.done) tell(index, so);
          });
          tell(index, await worker.shortlist(toRaw(plan), query, parts, lot, told));
        }),
      );
    } catch (problem) {
      if (mine === current) failure.value = (problem as Error).message;
    } finally {
      if (mine === current) running.value = false;
    }
  }

  function stop(): void {
    if (!running.value) return;
    running.value = false;
    for (const worker of searchWorkers()) void worker.stop('shortlist');
  }
  onUnmounted(() => {
    stop();
    current++;
  });

  return { found, searched, running, failure, search, stop };
}

/** A lot that has said nothing yet counts as nothing done. */
const NOTHING: Shortlist = {
  front: [],
  tried: 0,
  judged: 0,
  excluded: 0,
  beaten: 0,
  fallen: [],
  share: 0,
  done: false,
};
const known = (lots: readonly (Shortlist | undefined)[]): readonly Shortlist[] => lots.map((lot) => lot ?? NOTHING);
