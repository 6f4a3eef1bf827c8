import type { FileRead } from '../archive/reading.js';
import { HttpProblem } from '../http/problem.js';
import { Thread, threadAt } from '../threads/thread.js';
import type { Question, Questions } from './questions.js';
import type { Read } from '../read.js';

/** Reads what came from outside, somewhere. */
export interface Reader {
  ask<Q extends Question>(question: Q, ...about: Parameters<Questions[Q]>): Promise<ReturnType<Questions[Q]>>;
  /** Begins to read an archive. */
  archive(): ArchiveReader;
  close(): Promise<void>;
}

/** Reads one archive, a piece after the other as it arrives; nothing in place of a piece is its end. */
export interface ArchiveReader {
  push(piece: Uint8Array | null): Promise<readonly FileRead[]>;
  close(): Promise<void>;
}

/** So long a reading may take, ms. */
const LONGEST = 30_000;
/** What is larger waits for its own kind, bytes: a plan that is saved does not wait for a log of a whole match. */
const LARGE = 256 * 1024;
/** More than so many are not kept waiting. */
const MOST_WAITING = 100;

const sizeOf = (about: readonly unknown[]): number =>
  about.reduce<number>((sum, one) => sum + (typeof one === 'string' || one instanceof Uint8Array ? one.length : 0), 0);

const unread = (problem: unknown): HttpProblem =>
  new HttpProblem(422, 'That could not be read', { detail: (problem as Error).message });

/** Reads in two threads, the small beside the large: whoever else asks is answered meanwhile. */
export class ReadingThreads implements Reader {
  private readonly small: Thread;
  private readonly large: Thread;

  constructor(
    at = threadAt('readingWorker', import.meta.url),
    private readonly archiveAt = threadAt('archiveWorker', import.meta.url),
  ) {
    [this.small, this.large] = [new Thread(at), new Thread(at)];
  }

  async ask<Q extends Question>(question: Q, ...about: Parameters<Questions[Q]>): Promise<ReturnType<Questions[Q]>> {
    const thread = sizeOf(about) > LARGE ? this.large : this.small;
    if (thread.waiting >= MOST_WAITING) throw new HttpProblem(503, 'Too much is being read just now: try again soon');
    try {
      return await thread.ask([question, about], 'reading it', LONGEST);
    } catch (problem) {
      throw unread(problem);
    }
  }

  archive(): ArchiveReader {
    const thread = new Thread(this.archiveAt);
    return {
      push: (piece) =>
        thread.ask<readonly FileRead[]>(piece, 'reading it', LONGEST).catch((problem: unknown) => {
          throw unread(problem);
        }),
      close: () => thread.close(),
    };
  }

  async close(): Promise<void> {
    await Promise.all([this.small.close(), this.large.close()]);
  }
}

/** What was read; thrown where it was refused. */
export async function sound<T>(reading: Promise<Read<T>>): Promise<T> {
  const read = await reading;
  if (!read.ok) throw HttpProblem.of(read.refused);
  return read.value;
}
