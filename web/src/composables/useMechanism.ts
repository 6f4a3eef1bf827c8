import {
  choiceAt as placeOfChoice,
  currentChoice,
  dcDriveOf,
  evaluateMechanism,
  mechanismAt,
  resolvePath,
  SITUATIONS,
  worstSituation,
  type AnyPath,
  type JobResult,
  type Change,
  type Choice,
  type DcDrive,
  type DcPath,
  type ServoDrive,
  type ServoPath,
  type StepDrive,
  type StepPath,
  type Mechanism,
  type MechanismResult,
  type Plan,
  type SituationId,
} from '@rough-gear/core';
import { computed, inject, provide, ref, type ComputedRef, type InjectionKey, type WritableComputedRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { usePlan } from '../stores/plan.js';

/** The open mechanism: its part of the plan and what the core says of it, now and before the last gesture. */
export interface MechanismContext {
  readonly plan: ComputedRef<Plan>;
  readonly mechanism: ComputedRef<Mechanism>;
  readonly choice: ComputedRef<Choice>;
  readonly path: ComputedRef<AnyPath>;
  readonly result: ComputedRef<MechanismResult>;
  readonly job: ComputedRef<JobResult>;
  /** The same job before the last gesture; absent where nothing moved. */
  readonly before: ComputedRef<JobResult | undefined>;
  readonly jobId: WritableComputedRef<string>;
  readonly situation: WritableComputedRef<SituationId>;
  readonly link: WritableComputedRef<string>;
  /** Keys that lead to the mechanism and to its current choice in the plan. */
  readonly at: ComputedRef<readonly (string | number)[]>;
  readonly choiceAt: ComputedRef<readonly (string | number)[]>;
  commit(changes: readonly Change[]): void;
}

const KEY: InjectionKey<MechanismContext> = Symbol('mechanism');

/** Makes the context of a mechanism and hands it to everything below. The address says what is open. */
export function provideMechanism(mechanismId: () => string): MechanismContext {
  const store = usePlan();
  const route = useRoute();
  const router = useRouter();

  // Another robot, or none, may be in the store before this mechanism is gone from the page: it stays what it was until then.
  const plan = computed<Plan>((last) => {
    const now = store.document;
    return last && !now?.mechanisms.some(({ id }) => id === mechanismId()) ? last : now!;
  });
  const mechanism = computed(
    () => plan.value.mechanisms.find(({ id }) => id === mechanismId()) ?? plan.value.mechanisms[0]!,
  );
  const choice = computed(() => currentChoice(mechanism.value));
  const at = computed(() => mechanismAt(plan.value, mechanism.value.id));
  const choiceAt = computed(() => placeOfChoice(plan.value, mechanism.value));
  const result = computed(() => evaluateMechanism(plan.value, mechanism.value));

  // The job that makes the verdict is open at first, and stays open: a figure is typed into the job it was begun in.
  const first = result.value.headline.jobId;
  const setQuery = (key: string, value: string) => void router.replace({ query: { ...route.query, [key]: value } });
  const jobId = computed({
    get: () => {
      const asked = String(route.query['job'] ?? '');
      const open =
        mechanism.value.jobs.find(({ id }) => id === asked) ?? mechanism.value.jobs.find(({ id }) => id === first);
      return open?.id ?? result.value.headline.jobId;
    },
    set: (value) => setQuery('job', value),
  });
  const job = computed(() => result.value.jobs.find((candidate) => candidate.jobId === jobId.value)!);
  const situation = computed<SituationId>({
    get: () => SITUATIONS.find((id) => id === route.query['at']) ?? worstSituation(job.value),
    set: (value) => setQuery('at', value),
  });
  const link = computed({
    get: () => String(route.params['link'] || 'motor'),
    set: (value) =>
      void router.replace({
        params: { ...route.params, mechanismId: mechanism.value.id, link: value },
        query: route.query,
      }),
  });
  const path = computed(() => resolvePath(plan.value, mechanism.value, jobId.value));
  const before = computed(() => {
    const old = store.baseline?.mechanisms.find(({ id }) => id === mechanism.value.id);
    if (!store.baseline || !old) return undefined;
    return evaluateMechanism(store.baseline, old).jobs.find((candidate) => candidate.jobId === jobId.value);
  });

  const context: MechanismContext = {
    plan,
    mechanism,
    choice,
    path,
    result,
    job,
    before,
    jobId,
    situation,
    link,
    at,
    choiceAt,
    commit: store.commit,
  };
  provide(KEY, context);
  return context;
}

/** The context that a view above has provided. */
export function useMechanism(): MechanismContext {
  const context = inject(KEY);
  if (!context) throw new Error('no mechanism is open above this component');
  return context;
}

/**
 * The same with a job of its own for everything below: the one that is chosen there, and until then the one that made the
 * verdict when it was opened, whichever is open on the page.
 */
export function provideJob(): MechanismContext {
  const above = useMechanism();
  const chosen = ref(above.result.value.headline.jobId);
  const { plan, mechanism, result } = above;
  const jobId = computed({
    get: () => mechanism.value.jobs.find(({ id }) => id === chosen.value)?.id ?? result.value.headline.jobId,
    set: (id) => (chosen.value = id),
  });
  const context: MechanismContext = {
    ...above,
    jobId,
    job: computed(() => result.value.jobs.find((candidate) => candidate.jobId === jobId.value)!),
    path: computed(() => resolvePath(plan.value, mechanism.value, jobId.value)),
  };
  provide(KEY, context);
  return context;
}

/** The same below what is shown for plain motors only. */
export function useDcMechanism() {
  const context = useMechanism();
  return {
    ...context,
    path: context.path as ComputedRef<DcPath>,
    drive: computed<DcDrive>(() => dcDriveOf(context.choice.value)),
  };
}

/** The same below what is shown for motors that take pulses only. */
export function useStepMechanism() {
  const context = useMechanism();
  return {
    ...context,
    path: context.path as ComputedRef<StepPath>,
    drive: computed(() => context.choice.value.drive as StepDrive),
    driveAt: computed(() => [...context.choiceAt.value, 'drive']),
  };
}

/** The same below what is shown for position servos only. */
export function useServoMechanism() {
  const context = useMechanism();
  return {
    ...context,
    path: context.path as ComputedRef<ServoPath>,
    drive: computed(() => context.choice.value.drive as ServoDrive),
    driveAt: computed(() => [...context.choiceAt.value, 'drive']),
  };
}
