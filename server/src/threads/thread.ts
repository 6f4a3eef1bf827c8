import { setImmediate } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';

/**
 * Where a thread's program is: built beside the program as one file, or read from its folder where the program runs from
 * its sources.
 */
export const threadAt = (name: string, from: string): URL =>
  new URL(from.endsWith('.ts') ? `./${name}.ts` : `./${name}.mjs`, from);

/** A thread that wants more than this is ended, and the program goes on. */
const resourceLimits = { maxOldGenerationSizeMb: 1024 };

/** Sources are read by the loader that reads the program's own. */
const startThread = (at: URL): Worker =>
  at.pathname.endsWith('.ts')
    ? new Worker(`import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(at.href)})));`, {
        eval: true,
        resourceLimits,
      })
    : new Worker(fileURLToPath(at), { resourceLimits });

/**
 * A thread that answers one question after the other. It is started when it is first asked; one that failed, or takes
 * longer than it may, is ended, and another one started for the next question.
 */
export class Thread {
  private worker: Worker | undefined;
  private last: Promise<unknown> = Promise.resolve();
  /** Questions that are not answered yet. */
  waiting = 0;

  constructor(private readonly at: URL) {}

  /** What it answers. `doing` says what it is at, for when it fails; `longest` is how long it may take, ms. */
  ask<Answer>(question: unknown, doing: string, longest: number): Promise<Answer> {
    this.waiting++;
    const turn = this.last.then(async () => {
      const worker = (this.worker ??= startThread(this.at));
      try {
        const answer = await answerOf<Answer>(worker, question, doing, longest);
        // A long answer takes its time to come over: whoever else asks is answered before anything is made of it.
        await setImmediate();
        return answer;
      } catch (problem) {
        await this.close();
        throw problem;
      } finally {
        this.waiting--;
      }
    });
    this.last = turn.catch(() => undefined);
    return turn;
  }

  async close(): Promise<void> {
    const { worker } = this;
    this.worker = undefined;
    await worker?.terminate();
  }
}

function answerOf<Answer>(worker: Worker, question: unknown, doing: string, longest: number): Promise<Answer> {
  return new Promise<Answer>((resolve, reject) => {
    const timer = setTimeout(() => reject(new Error(`${doing} takes longer than ${longest / 1000} s`)), longest);
    const done = () => {
      clearTimeout(timer);
      // By name: without one it would take the thread's own away too, and no answer would ever come again.
      for (const event of ['message', 'error', 'exit']) worker.removeAllListeners(event);
    };
    worker.once('message', (answer: Answer) => {
      done();
      resolve(answer);
    });
    worker.once('error', (problem) => {
      done();
      reject(new Error(`${doing} failed: ${problem.message}`));
    });
    worker.once('exit', () => {
      done();
      reject(new Error(`${doing} failed: its thread ended`));
    });
    worker.postMessage(question);
  });
}
