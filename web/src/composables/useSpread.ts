import type { Spread } from '@rough-gear/core';
import { proxy } from 'comlink';
import { inject, provide, shallowRef, watch, type InjectionKey, type Ref } from 'vue';
import { usePlan } from '../stores/plan.js';
import { coreWorker } from '../workers/core.js';

export interface SpreadSearch {
  readonly spread: Readonly<Ref<Spread | undefined>>;
  /** Share done while it runs. */
  readonly progress: Readonly<Ref<number | undefined>>;
  start(): void;
  stop(): void;
}

const KEY: InjectionKey<SpreadSearch> = Symbol('spread');
const BUILDS = 2000;

/** 2,000 seeded builds of the open job, tried in the worker when asked; gone when the design moves. */
export function provideSpread(mechanismId: Ref<string>, jobId: Ref<string>): SpreadSearch {
  const store = usePlan();
  const spread = shallowRef<Spread>();
  const progress = shallowRef<number>();
  let asked = 0;

  function stop(): void {
    asked++;
    void coreWorker().stop('spread');
    progress.value = undefined;
  }

  function start(): void {
    const plan = store.document;
    if (!plan) return;
    const mine = ++asked;
    progress.value = 0;
    const report = proxy((share: number) => {
      if (mine === asked) progress.value = share;
    });
    void coreWorker()
      .spread(plan, mechanismId.value, jobId.value, BUILDS, report)
      .then((found) => {
        if (mine !== asked) return;
        if (found) spread.value = found;
        progress.value = undefined;
      });
  }

  watch([() => store.document, mechanismId, jobId], () => {
    if (progress.value !== undefined) stop();
    spread.value = undefined;
  });
  const search = { spread, progress, start, stop };
  provide(KEY, search);
  return search;
}

/** The search a view above has provided. */
export function useSpread(): SpreadSearch {
  const search = inject(KEY);
  if (!search) throw new Error('no mechanism is open above this component');
  return search;
}
