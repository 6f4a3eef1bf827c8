import { setImmediate } from 'node:timers/promises';
import type { Database as Connection } from 'better-sqlite3';
import type { DataSource, EntityManager, QueryRunner } from 'typeorm';
import { StorageProblem, storageFailureOf } from './failure.js';

/**
 * The one way to the data, over two connections: one that writes, a piece of work after the other, each whole or not at
 * all, and one that reads what is committed and waits for no write. What `write` gives back is on the disk.
 */
export class Database {
  private readonly writer: OneConnection;
  private readonly reader: OneConnection;
  /** The disk refused a change, and nobody has seen since that a plan fits again. */
  wasFull = false;

  /** `connect` opens a connection and sees that it answers. */
  constructor(connect: () => Promise<DataSource>, writing: DataSource) {
    this.writer = new OneConnection(connect, writing);
    this.reader = new OneConnection(async () => {
      const source = await connect();
      await source.query('PRAGMA query_only = ON');
      return source;
    });
  }

  /** Reads one state of the data, whatever is written meanwhile. Throws a `StorageProblem` where the disk does not answer. */
  read<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    return this.reader.whole(work);
  }

  /** Changes, whole or not at all. Throws a `StorageProblem` where the disk does not take them: then nothing has changed. */
  async write<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    try {
      return await this.writer.whole(work);
    } catch (problem) {
      if (problem instanceof StorageProblem && problem.failure.kind === 'full') this.wasFull = true;
      throw problem;
    }
  }

  /**
   * Copies the data as it is now to a file, page by page, while others go on reading and saving. By the connection that
   * writes: what is saved meanwhile is copied along, where another one would begin anew with each save.
   */
  copyTo(file: string): Promise<void> {
    return this.writer.copyTo(file);
  }

  async close(): Promise<void> {
    await this.reader.close();
    await this.writer.close();
  }
}

/** So many pages are copied before others go on. */
const PAGES_AT_ONCE = 100;

/** The connection that was copied from was in doubt. */
class ClosedMeanwhile extends Error {}

/**
 * A connection that does one piece of work after the other. Whenever it is in doubt it is closed and another one opened:
 * one that has lost track of its transaction would go on answering and keep nothing.
 */
class OneConnection {
  private last: Promise<unknown> = Promise.resolve();

  /** `source` is absent before the first use, and while one that was in doubt is closed and no new one could be opened. */
  constructor(
    private readonly connect: () => Promise<DataSource>,
    private source?: DataSource,
  ) {}

  /** In turn, and as one transaction: SQLite has one a connection, and two must not share it. */
  whole<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    return this.inTurn(async () => {
      try {
        return await this.transaction(await this.connected(), work);
      } catch (problem) {
        throw understood(problem);
      }
    });
  }

  async connected(): Promise<DataSource> {
    return (this.source ??= await this.connect());
  }

  /** Copies to a file. Where the connection was in doubt and closed meanwhile, the copy is begun once more. */
  async copyTo(file: string): Promise<void> {
    try {
      await this.copyOnce(file);
    } catch (problem) {
      if (!(problem instanceof ClosedMeanwhile)) throw problem;
      await this.copyOnce(file);
    }
  }

  async close(): Promise<void> {
    await this.inTurn(async () => this.source?.destroy());
  }

  /** Begins in turn: within a transaction SQLite gives no page, and a copy without its first page is taken for a whole one. */
  private async copyOnce(file: string): Promise<void> {
    let copying: Promise<void> | undefined;
    await this.inTurn(async () => {
      const source = await this.connected();
      await new Promise<void>((begun) => {
        copying = copyOf(source, file, begun)
          .catch((problem: unknown) => {
            throw source.isInitialized ? problem : new ClosedMeanwhile();
          })
          .finally(begun);
      });
    });
    await copying;
  }

  private async transaction<T>(source: DataSource, work: (manager: EntityManager) => Promise<T>): Promise<T> {
    const runner = source.createQueryRunner();
    let committing = false;
    try {
      await runner.startTransaction();
      const result = await work(runner.manager);
      // A long text takes as long again to be committed as to be written: whoever else asks is answered between the two.
      await setImmediate();
      committing = true;
      await runner.commitTransaction();
      if (inTransaction(source)) throw new Error('the transaction is still open after it was committed');
      return result;
    } catch (problem) {
      // A commit that failed has left nobody knows what; so has a rollback that SQLite had already done by itself.
      const certain = !committing && (await rolledBack(runner)) && !inTransaction(source);
      if (!certain) await this.reopen();
      throw problem;
    }
  }

  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const turn = this.last.then(work);
    this.last = turn.catch(() => undefined);
    return turn;
  }

  /** Closes the connection and opens another one; where that cannot be done now, whoever comes next tries again. */
  private async reopen(): Promise<void> {
    const old = this.source;
    this.source = undefined;
    await old?.destroy().catch(() => undefined);
    this.source = await this.connect().catch(() => undefined);
  }
}

const rolledBack = (runner: QueryRunner): Promise<boolean> =>
  runner.rollbackTransaction().then(
    () => true,
    () => false,
  );

const connectionOf = ({ driver }: DataSource): Connection =>
  (driver as unknown as { databaseConnection: Connection }).databaseConnection;

/** Copies what a connection reads to a file, page by page; `begun` is called once the first are asked for. */
export const copyOf = async (source: DataSource, file: string, begun?: () => void): Promise<void> => {
  await connectionOf(source).backup(file, { progress: () => (begun?.(), PAGES_AT_ONCE) });
};

const inTransaction = (source: DataSource): boolean => connectionOf(source).inTransaction;

function understood(problem: unknown): unknown {
  const failure = storageFailureOf(problem);
  return failure ? new StorageProblem(failure, problem) : problem;
}
