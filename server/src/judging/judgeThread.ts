import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { Worker } from 'node:worker_threads';
import { answerOf, startThread, threadAt } from '../threads/thread.js';
import { unjudged, type Judged } from './judge.js';

/** Judges a document somewhere. */
export interface Judge {
  judge(text: string): Promise<Judged>;
  close(): Promise<void>;
}

/** So long a plan may take, ms: what takes longer is said to. */
const LONGEST = 60_000;

const WORKER = threadAt('judgeWorker', import.meta.url);

/** By what plans are judged: other code judges all again, whatever its version is called. */
export const judgedBy = (version: string): string =>
  `${version} ${createHash('sha256').update(readFileSync(WORKER)).digest('hex').slice(0, 16)}`;

/** One document after the other in a thread, which is started when it is first asked. */
export class JudgeThread implements Judge {
  private worker: Worker | undefined;

  constructor(private readonly at: URL = WORKER) {}

  async judge(text: string): Promise<Judged> {
    const worker = (this.worker ??= startThread(this.at));
    try {
      return await answerOf<Judged>(worker, text, 'judging it', LONGEST);
    } catch (problem) {
      this.worker = undefined;
      await worker.terminate();
      return unjudged((problem as Error).message);
    }
  }

  async close(): Promise<void> {
    await this.worker?.terminate();
  }
}
