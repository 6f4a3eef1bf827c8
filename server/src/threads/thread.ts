import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';

/**
 * Where a thread's program is: built beside the program as one file, or read from its folder where the program runs from
 * its sources.
 */
export const threadAt = (name: string, from: string): URL =>
  new URL(from.endsWith('.ts') ? `./${name}.ts` : `./${name}.mjs`, from);

/** Sources are read by the loader that reads the program's own. */
export const startThread = (at: URL): Worker =>
  at.pathname.endsWith('.ts')
    ? new Worker(`import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(at.href)})));`, {
        eval: true,
      })
    : new Worker(fileURLToPath(at));

/** What a thread answers to one question. `doing` is what it is at, for when it fails or takes longer than it may. */
export function answerOf<Answer>(worker: Worker, question: unknown, doing: string, longest: number): Promise<Answer> {
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
