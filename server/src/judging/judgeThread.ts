import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { Thread, threadAt } from '../threads/thread.js';
import { unjudged, type Depth, type Judged } from './judge.js';

/** Judges a document somewhere. */
export interface Judge {
  judge(text: string, depth: Depth): Promise<Judged>;
  close(): Promise<void>;
}

/** So long a plan may take, ms: what takes longer is said to. */
const LONGEST = 60_000;

const WORKER = threadAt('judgeWorker', import.meta.url);

/** By what plans are judged: other code judges all again, whatever its version is called. */
export const judgedBy = (version: string): string =>
  `${version} ${createHash('sha256').update(readFileSync(WORKER)).digest('hex').slice(0, 16)}`;

/** Judges one document after the other in a thread of its own. */
export class JudgeThread implements Judge {
  private readonly thread: Thread;

  constructor(at: URL = WORKER) {
    this.thread = new Thread(at);
  }

  async judge(text: string, depth: Depth): Promise<Judged> {
    try {
      return await this.thread.ask<Judged>([text, depth], 'judging it', LONGEST);
    } catch (problem) {
      return unjudged((problem as Error).message);
    }
  }

  close(): Promise<void> {
    return this.thread.close();
  }
}
