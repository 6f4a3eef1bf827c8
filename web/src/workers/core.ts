import { wrap } from 'comlink';
import type { CoreWorker } from './core.worker.js';

/** The worker that computes beside the screen; started when first asked for. */
export const coreWorker = wrap<CoreWorker>(
  new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' }),
);
