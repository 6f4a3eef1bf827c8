import { wrap, type Remote } from 'comlink';
import type { CoreWorker } from './core.worker.js';

/** A page that shows nothing new for so long, ms, is taken as idle. */
const IDLE_AT_LAST = 1500;

/**
 * Started once the page has shown itself: its own copy of the core would hold the first screen up. Calls wait in the
 * channel meanwhile.
 */
function startedWhenIdle(): Remote<CoreWorker> {
  const { port1, port2 } = new MessageChannel();
  const start = (): void => startOn(port2);
  // Not every browser tells when it is idle.
  if ('requestIdleCallback' in window) requestIdleCallback(start, { timeout: IDLE_AT_LAST });
  else setTimeout(start, IDLE_AT_LAST);
  return wrap<CoreWorker>(port1);
}

function startOn(port: MessagePort): void {
  new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' }).postMessage(port, [port]);
}

/** The worker that computes beside the screen. */
export const coreWorker = startedWhenIdle();

/** Two workers that share a search, so that both cores of a small machine are at it; started when first asked for. */
let pair: readonly Remote<CoreWorker>[] | undefined;
export const searchWorkers = (): readonly Remote<CoreWorker>[] =>
  (pair ??= [0, 1].map(() => {
    const { port1, port2 } = new MessageChannel();
    startOn(port2);
    return wrap<CoreWorker>(port1);
  }));
