import { wrap, type Remote } from 'comlink';
import type { CoreWorker } from './core.worker.js';
import address from './core.worker.ts?worker&url';
import { whenIdle } from './idle.js';

/** Where the worker's code is: the name carries a hash, so that it also tells one build from another. */
export const CORE_WORKER: string = address;

function startOn(port: MessagePort): void {
  new Worker(CORE_WORKER, { type: 'module' }).postMessage(port, [port]);
}

/** What begins once `ready` is so; calls wait in the channel meanwhile. */
function startedWhen(ready: Promise<void>): Remote<CoreWorker> {
  const { port1, port2 } = new MessageChannel();
  void ready.then(() => startOn(port2));
  return wrap<CoreWorker>(port1);
}

/**
 * The worker that computes beside the screen. Its own copy of the core would hold the first screen up: it is started
 * when first asked for, and not before the page has shown itself.
 */
let beside: Remote<CoreWorker> | undefined;
export const coreWorker = (): Remote<CoreWorker> => (beside ??= startedWhen(whenIdle()));

/** Two workers that share a search, so that both cores of a small machine are at it; each is started when first asked for. */
const pair: Remote<CoreWorker>[] = [];
export const searchWorker = (index: 0 | 1): Remote<CoreWorker> => (pair[index] ??= startedWhen(Promise.resolve()));
export const searchWorkers = (): readonly Remote<CoreWorker>[] => [searchWorker(0), searchWorker(1)];
