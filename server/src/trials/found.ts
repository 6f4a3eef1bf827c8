import type { FoundSummary } from '@rough-gear/contract';
import { Thread, threadAt } from '../threads/thread.js';
import type { TrialText } from './reading.js';

/** So long a fit may take, ms. */
const LONGEST = 30_000;

const WORKER = threadAt('foundWorker', import.meta.url);

/**
 * What a trial found; what takes seconds in a thread of its own, so that nobody else waits for it. A list that cannot tell
 * what a trial found says nothing of it: it is fitted anew where it is opened.
 */
export async function foundApart({ text, found }: TrialText, at: URL = WORKER): Promise<readonly FoundSummary[]> {
  if (found) return found;
  const thread = new Thread(at);
  try {
    return await thread.ask<readonly FoundSummary[]>(text, 'fitting it', LONGEST);
  } catch {
    return [];
  } finally {
    await thread.close();
  }
}
