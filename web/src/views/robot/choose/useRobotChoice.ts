import {
  LOTS,
  mergeShortlists,
  type ChoiceQuestion,
  type Found,
  type Plan,
  type RobotChoice,
  type RobotOptions,
  type Shelved,
  type ShortlistQuery,
} from '@rough-gear/core';
import { proxy } from 'comlink';
import { ref, shallowRef, toRaw, watch, type ComputedRef } from 'vue';
import { useNewest } from '../../../composables/useNewest.js';
import { coreWorker, searchWorkers } from '../../../workers/core.js';

/** What is compared while each mechanism's own search goes on: what a choice for all can be best in. */
const WANTS: ShortlistQuery['wants'] = ['mass', 'price', 'margin'];
const TOTALS = { from: 1, to: 300 } as const;

/** A choice for all mechanisms: first the shelf is searched for each, once a plan; then one question after the other. */
export function useRobotChoice(plan: ComputedRef<Plan>) {
  const ways = shallowRef<RobotOptions>();
  const choice = shallowRef<RobotChoice>();
  /** What is going on, and how far it is. */
  const doing = ref('');
  const share = ref(0);
  const { running, stopped, failure, ask, stop } = useNewest(() => {
    for (const worker of searchWorkers()) void worker.stop('shortlist');
    void coreWorker().stop('chooseForAll');
  });

  async function choose(
    shelf: readonly Shelved[],
    query: Pick<ShortlistQuery, 'mostMotors' | 'ownedOnly'>,
    question: Omit<ChoiceQuestion, keyof RobotOptions>,
  ): Promise<void> {
    choice.value = undefined;
    await ask(
      async (isOn) => {
        ways.value ??= await searched(toRaw(plan.value), shelf, query, isOn);
        if (!ways.value || !isOn()) return undefined;
        doing.value = 'choices gone through the match';
        share.value = 0;
        const told = proxy((now: RobotChoice) => {
          if (!isOn()) return;
          choice.value = now;
          share.value = now.share;
        });
        return coreWorker().chooseForAll(toRaw(plan.value), { ...toRaw(ways.value), ...question }, told);
      },
      (found) => (choice.value = found ?? choice.value),
    );
  }

  /** The front of every mechanism, and each of its designs in the match. */
  async function searched(
    document: Plan,
    shelf: readonly Shelved[],
    { mostMotors, ownedOnly }: Pick<ShortlistQuery, 'mostMotors' | 'ownedOnly'>,
    isOn: () => boolean,
  ): Promise<RobotOptions | undefined> {
    const parts = shelf.map((item) => toRaw(item));
    const fronts: (readonly Found[])[] = [];
    for (const { id, name, jobs } of document.mechanisms) {
      doing.value = `searching the shelf: ${name}`;
      share.value = fronts.length / document.mechanisms.length;
      const query: ShortlistQuery = {
        mechanismId: id,
        jobId: jobs[0]!.id,
        scope: 'everything',
        ownedOnly,
        mostMotors,
        packs: 'mine',
        ...TOTALS,
        wants: WANTS,
      };
      const lots = await Promise.all(
        searchWorkers().map((worker, index) =>
          worker.shortlist(
            document,
            query,
            parts,
            { index, of: LOTS },
            proxy(() => {}),
          ),
        ),
      );
      if (!isOn()) return undefined;
      fronts.push(mergeShortlists(lots, WANTS).front);
    }
    doing.value = 'each design in the match';
    share.value = 0;
    const told = proxy((now: RobotOptions) => {
      if (isOn()) share.value = now.todays.length / document.mechanisms.length;
    });
    return coreWorker().robotOptions(document, fronts, told);
  }

  /** What was found is of one plan. */
  watch(plan, () => {
    stop();
    ways.value = undefined;
    choice.value = undefined;
  });
  const forget = () => (ways.value = undefined);
  return { ways, choice, doing, share, running, stopped, failure, choose, stop, forget };
}
