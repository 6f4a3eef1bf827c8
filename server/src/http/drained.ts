import { once } from 'node:events';
import { setImmediate } from 'node:timers/promises';
import type { Writable } from 'node:stream';

/**
 * Backpressure: goes on once what was written is taken, or nobody is there to take it any more. Whoever else asks is
 * answered in between, also where nothing waits.
 */
export async function drained(out: Writable): Promise<void> {
  if (out.writableNeedDrain && !out.destroyed) await Promise.race([once(out, 'drain'), once(out, 'close')]);
  await setImmediate();
}
