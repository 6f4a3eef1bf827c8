import type { Plan, RobotRung } from '@rough-gear/core';
import { useTimeoutFn } from '@vueuse/core';
import { inject, provide, shallowRef, toRaw, watch, type InjectionKey, type Ref } from 'vue';
import { usePlan } from '../stores/plan.js';
import { searchWorker } from '../workers/core.js';
import type { RobotVerdict } from '../workers/questions.js';
import { recalled, remembering } from '../workers/verdictMemory.js';

/** A match takes a second to go through: whoever types or has just come in is not made to wait for it. */
const WAIT_MS = 1500;

type Known = Readonly<Ref<RobotVerdict | undefined>>;
const KEY: InjectionKey<Known> = Symbol('robot verdict');

/** The verdict of the open robot over all scripts that count, known a while after the last change. */
export function provideRobotVerdict(): Known {
  const store = usePlan();
  const verdict = shallowRef<RobotVerdict>();
  const later = useTimeoutFn((plan: Plan) => void judge(plan), WAIT_MS, { immediate: false });
  watch(
    [() => store.document, () => store.id] as const,
    ([plan, id], [was, before]) => {
      later.stop();
      if (id !== before) verdict.value = undefined;
      if (!plan || plan.mechanisms.length === 0) return;
      // What is known of a plan as it is opened is said at once; whoever changes it is not interrupted.
      if (was) later.start(plan);
      else void atOnce(plan);
    },
    { immediate: true },
  );
  async function atOnce(plan: Plan): Promise<void> {
    const known = await recalled(toRaw(plan));
    if (store.document !== plan) return;
    if (known) verdict.value = known;
    else later.start(plan);
  }
  async function judge(plan: Plan): Promise<void> {
    // Beside the worker that answers what is typed and clicked: nobody waits for this one.
    const found = await remembering(toRaw(plan), () => searchWorker(1).judgeRobot(toRaw(plan)));
    if (found && store.document === plan) verdict.value = found;
  }
  provide(KEY, verdict);
  return verdict;
}

export const useRobotVerdict = (): Known => inject(KEY, shallowRef());

/** What of a mechanism gives first in the matches; absent where it is in none. */
export function inTheMatch(verdict: RobotVerdict | undefined, mechanism: string): RobotRung | undefined {
  const own = verdict?.matches.flatMap(({ rungs }) => rungs.filter((rung) => rung.mechanism === mechanism)) ?? [];
  return own.reduce<RobotRung | undefined>(
    (worst, rung) => (!worst || rung.multiple / rung.wants < worst.multiple / worst.wants ? rung : worst),
    undefined,
  );
}
