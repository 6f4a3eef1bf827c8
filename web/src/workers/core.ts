import { wrap, type Remote } from 'comlink';
import type { CoreWorker } from './core.worker.js';

/** The worker that computes beside the screen; started when first asked for. */
export const coreWorker = wrap<CoreWorker>(
  new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' }),
);

/** Two workers that share a search, so that both cores of a small machine are at it; started when first asked for. */
let pair: readonly Remote<CoreWorker>[] | undefined;
export const searchWorkers = (): readonly Remote<CoreWorker>[] =>
  (pair ??= [0, 1].map(() =>
    wrap<CoreWorker>(new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' })),
  ));
