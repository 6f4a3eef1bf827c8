import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';
import { unjudged, type Judged } from './judge.js';

/** Judges a document somewhere. */
export interface Judge {
  judge(text: string): Promise<Judged>;
  close(): Promise<void>;
}

/** So long a plan may take, ms: what takes longer is said to. */
const LONGEST = 60_000;

/** Built beside the program; read as it is where the program runs from its sources. */
const WORKER = new URL(import.meta.url.endsWith('.ts') ? './judgeWorker.ts' : './judgeWorker.mjs', import.meta.url);

/** Sources are read by the loader that reads the program's own. */
const start = (worker: URL): Worker =>
  worker.pathname.endsWith('.ts')
    ? new Worker(
        `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(worker.href)})));`,
        {
          eval: true,
        },
      )
    : new Worker(fileURLToPath(worker));

/** By what plans are judged: other code judges all again, whatever its version is called. */
export const judgedBy = (version: string): string =>
  `${version} ${createHash('sha256').update(readFileSync(WORKER)).digest('hex').slice(0, 16)}`;

/** One document after the other in a thread, which is started when it is first asked. */
export class JudgeThread implements Judge {
  private worker: Worker | undefined;

  constructor(private readonly at: URL = WORKER) {}

  async judge(text: string): Promise<Judged> {
    const worker = (this.worker ??= start(this.at));
    try {
      return await answerOf(worker, text);
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

function answerOf(worker: Worker, text: string): Promise<Judged> {
  return new Promise<Judged>((resolve, reject) => {
    const timer = setTimeout(() => reject(new Error('judging it takes longer than a minute')), LONGEST);
    const done = () => {
      clearTimeout(timer);
      // By name: without one it would take the thread's own away too, and no answer would ever come again.
      for (const event of ['message', 'error', 'exit']) worker.removeAllListeners(event);
    };
    worker.once('message', (judged: Judged) => {
      done();
      resolve(judged);
    });
    worker.once('error', (problem) => {
      done();
      reject(new Error(`judging it failed: ${problem.message}`));
    });
    worker.once('exit', () => {
      done();
      reject(new Error('judging it failed: its thread ended'));
    });
    worker.postMessage(text);
  });
}
