import {
  concludeTrial,
  expectedOf,
  expectedOfPart,
  rowsOf,
  takeTrial,
  trialSheet,
  type Concluded,
  type Expected,
  type Part,
  type Plan,
  type TakenIn,
  type Trial,
  type TrialSheet,
} from '@rough-gear/core';
import { computed, inject, provide, ref, shallowRef, watch, type ComputedRef, type InjectionKey, type Ref } from 'vue';
import { useBench } from '../../stores/bench.js';
import { usePlan } from '../../stores/plan.js';
import { useWholeShelf } from '../../stores/shelf.js';
import { coreWorker } from '../../workers/core.js';

/** The open trial as its page sees it: its sheet, what sheets say of the same, and what it comes to so far. */
export interface SeenTrial {
  readonly trial: ComputedRef<Trial>;
  readonly sheet: ComputedRef<TrialSheet>;
  readonly expected: ComputedRef<Expected>;
  /** The part it is about, from its plan or from the shelf. */
  readonly part: ComputedRef<Part | undefined>;
  readonly concluded: Readonly<Ref<Concluded>>;
  readonly closed: ComputedRef<boolean>;
  /** The mechanism that alone gets this very specimen; empty where all that have the part do. */
  readonly alone: Ref<string>;
  /** What taking it into its robot's plan would do: shown beside, and done by the button. */
  readonly taking: ComputedRef<TakenIn | undefined>;
  /** Its robot's plan, where that is open. */
  readonly plan: ComputedRef<Plan | undefined>;
  change(to: Partial<Trial>): void;
}

const KEY: InjectionKey<SeenTrial> = Symbol('trial');
/** Up to so many rows a fit costs no more than a keystroke may. */
const AT_ONCE = 2000;

export function provideTrial(): SeenTrial {
  const bench = useBench();
  const plan = usePlan();
  const shelf = useWholeShelf();
  const trial = computed(() => bench.trial!);
  const subject = computed(() => trial.value.subject);
  const inPlan = computed(() =>
    subject.value.planId !== undefined && plan.id === subject.value.planId ? plan.document : undefined,
  );
  const part = computed(() => {
    const { partKey, shelfId } = subject.value;
    const copy = partKey === undefined ? undefined : inPlan.value?.parts[partKey]?.part;
    return copy ?? (shelfId === undefined ? undefined : shelf.byId.get(shelfId)?.part);
  });
  const expected = computed((): Expected => {
    if (subject.value.mechanismId !== undefined) return inPlan.value ? expectedOf(inPlan.value, subject.value) : {};
    return part.value ? expectedOfPart(part.value) : {};
  });
  const concluded = shallowRef<Concluded>({ ok: false, wants: '' });
  let newest = 0;
  watch(
    [trial, expected],
    ([now, said]) => {
      if (!now) return;
      const mine = ++newest;
      if (rowsOf(now) <= AT_ONCE) concluded.value = concludeTrial(now, said);
      else
        void coreWorker()
          .conclude(now, said)
          .then((answer) => {
            if (mine === newest) concluded.value = answer;
          });
    },
    { immediate: true },
  );
  const alone = ref('');
  const taking = computed(() => {
    const found = concluded.value;
    if (!inPlan.value || !found.ok) return undefined;
    return takeTrial(inPlan.value, { id: bench.id, trial: trial.value }, found.conclusion, alone.value);
  });
  const seen: SeenTrial = {
    trial,
    sheet: computed(() => trialSheet(trial.value.kind)),
    expected,
    part,
    concluded,
    closed: computed(() => bench.closed),
    alone,
    taking,
    plan: inPlan,
    change: (to) => bench.change({ ...trial.value, ...to }),
  };
  provide(KEY, seen);
  return seen;
}

export const useTrial = (): SeenTrial => inject(KEY)!;
