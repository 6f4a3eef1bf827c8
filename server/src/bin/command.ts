import { StartProblem } from '../db/startProblem.js';
import { storageFailureOf } from '../db/failure.js';

/** Runs a command: what it gives back is said, a problem of the person's is one line and code 2. */
export async function command(work: () => Promise<string> | string): Promise<void> {
  // What is written here is for this user alone, as what the server writes.
  process.umask(0o077);
  try {
    process.stdout.write(`${await work()}\n`);
  } catch (problem) {
    const failure = storageFailureOf(problem);
    if (!(problem instanceof StartProblem) && !failure) throw problem;
    process.stderr.write(`${failure?.sentence ?? (problem as Error).message}\n`);
    process.exitCode = 2;
  }
}
