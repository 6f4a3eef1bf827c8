import { wholeOf, type MechanismResult, type Plan, type RobotRung, type RobotVerdict } from '@rough-gear/core';
import { useTimeoutFn } from '@vueuse/core';
import { computed, inject, provide, shallowRef, toRaw, watch, type InjectionKey, type Ref } from 'vue';
import { usePlan } from '../stores/plan.js';
import { searchWorker } from '../workers/core.js';
import type { TogetherTold } from '../workers/questions.js';
import { recalled, remembering } from '../workers/verdictMemory.js';

/** A match takes a second to go through: whoever types or has just come in is not made to wait for it. */
const WAIT_MS = 1500;

/** What is known of the open robot as a whole. */
interface Known {
  /** Its matches, its day, its event sheet and its wires; known a while after the last change. */
  readonly together: Readonly<Ref<TogetherTold | undefined>>;
  /** The one verdict, with its mechanisms as they are now; absent until all of it is known. */
  readonly whole: Readonly<Ref<RobotVerdict | undefined>>;
}
const KEY: InjectionKey<Known> = Symbol('robot verdict');

/** The verdict on the open robot, from what its mechanisms alone came to. */
export function provideRobotVerdict(results: Readonly<Ref<ReadonlyMap<string, MechanismResult>>>): Known {
  const store = usePlan();
  const together = useTogether();
  const whole = computed((): RobotVerdict | undefined => {
    const alone = store.document?.mechanisms.flatMap(({ id }) => results.value.get(id) ?? []) ?? [];
    if (!together.value || alone.length === 0 || alone.length < store.document!.mechanisms.length) return undefined;
    return wholeOf(alone, together.value);
  });
  const known = { together, whole };
  provide(KEY, known);
  return known;
}

function useTogether(): Readonly<Ref<TogetherTold | undefined>> {
  const store = usePlan();
  const together = shallowRef<TogetherTold>();
  const later = useTimeoutFn((plan: Plan) => void judge(plan), WAIT_MS, { immediate: false });
  watch(
    [() => store.document, () => store.id] as const,
    ([plan, id], [was, before]) => {
      later.stop();
      if (id !== before) together.value = undefined;
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
    if (known) together.value = known;
    else later.start(plan);
  }
  async function judge(plan: Plan): Promise<void> {
    // Beside the worker that answers what is typed and clicked: nobody waits for this one.
    const found = await remembering(toRaw(plan), () => searchWorker(1).together(toRaw(plan)));
    if (found && store.document === plan) together.value = found;
  }
  return together;
}

export const useRobotVerdict = (): Known => inject(KEY, () => ({ together: shallowRef(), whole: shallowRef() }), true);

/** What of a mechanism gives first in the matches; absent where it is in none. */
export function inTheMatch(together: TogetherTold | undefined, mechanism: string): RobotRung | undefined {
  const own = together?.matches.flatMap(({ rungs }) => rungs.filter((rung) => rung.mechanism === mechanism)) ?? [];
  return own.reduce<RobotRung | undefined>(
    (worst, rung) => (!worst || rung.multiple / rung.wants < worst.multiple / worst.wants ? rung : worst),
    undefined,
  );
}
