import { LONGEST_PAGE, type PlanQuery, type PlanSummary } from '@rough-gear/contract/api';
import { promiseTimeout, useTimeoutFn, watchDebounced } from '@vueuse/core';
import { onBeforeUnmount, ref, shallowRef, watch, type Ref } from 'vue';
import { api, Unreachable } from '../../api/client.js';
import { usePlan } from '../../stores/plan.js';
import { isLookedAt } from './lookedAt.js';

const PAGE = Math.min(50, LONGEST_PAGE);
/** What is judged behind a save is asked for again after so long, ms. */
const LOOK_AGAIN = 1200;
/** A save of the open robot is waited for so long, ms: most are there by then, and a slow one keeps no list back. */
const SAVES_WITHIN = 1000;
/** A word is looked for once it is typed, ms. */
const TYPED = 200;

/** The robots on the server by what is looked for, fetched a page at a time as they come into view. */
export function useRobotList(query: Ref<PlanQuery>) {
  const open = usePlan();
  const total = ref(0);
  const binned = ref(0);
  const rows = shallowRef<readonly (PlanSummary | undefined)[]>([]);
  const state = ref<'loading' | 'there' | 'away'>('loading');
  const failure = ref('');
  let shown = { first: 0, last: PAGE - 1 };
  let asking = 0;
  const again = useTimeoutFn(() => void fetchShown(true).catch(away), LOOK_AGAIN, { immediate: false });

  function away(problem: unknown): void {
    state.value = 'away';
    failure.value =
      problem instanceof Unreachable
        ? 'The server cannot be reached. What you have changed is kept in this browser.'
        : (problem as Error).message;
  }

  /** Fetches the pages in view; those there already too, where `again`. */
  async function fetchShown(again: boolean): Promise<void> {
    const mine = again ? ++asking : asking;
    const [first, last] = [Math.floor(shown.first / PAGE), Math.floor(shown.last / PAGE)];
    const wanted = Array.from({ length: last - first + 1 }, (_, i) => (first + i) * PAGE).filter(
      (from) => again || (from < total.value && rows.value[from] === undefined),
    );
    const pages = await Promise.all(
      wanted.map(async (from) => ({ from, page: await api.plans({ ...query.value, from, count: PAGE }) })),
    );
    // Something else is asked for by now.
    if (mine !== asking || pages.length === 0) return;
    total.value = pages[0]!.page.total;
    const next = Array.from({ length: total.value }, (_, i) => rows.value[i]);
    for (const { from, page } of pages) page.plans.forEach((plan, i) => (next[from + i] = plan));
    rows.value = next;
    lookAgain();
  }

  function lookAgain(): void {
    again.stop();
    const waiting = rows.value.slice(shown.first, shown.last + 1).some((row) => row !== undefined && isLookedAt(row));
    if (waiting) again.start();
  }

  /** All anew: after a change, or when something else is looked for. */
  async function load(): Promise<void> {
    try {
      await Promise.race([open.flush(), promiseTimeout(SAVES_WITHIN)]);
      const [bin] = await Promise.all([api.plans({ bin: true, count: 1 }), fetchShown(true)]);
      binned.value = bin.total;
      state.value = 'there';
      failure.value = '';
    } catch (problem) {
      away(problem);
    }
  }

  /** These are in view now. */
  function show(first: number, last: number): void {
    shown = { first: Math.max(0, first), last: Math.max(first, last) };
    if (state.value === 'there') void fetchShown(false).catch(away);
  }

  watchDebounced(
    query,
    () => {
      rows.value = [];
      shown = { first: 0, last: PAGE - 1 };
      void load();
    },
    { debounce: TYPED },
  );
  // What was under way when the list was asked for is in it as soon as it is saved.
  watch(
    () => open.revision,
    () => void load(),
  );
  onBeforeUnmount(() => void asking++);

  return { total, binned, rows, state, failure, load, show };
}
