import type { Database as Connection } from 'better-sqlite3';
import type { DataSource, EntityManager, QueryRunner } from 'typeorm';
import { StorageProblem, storageFailureOf } from './failure.js';

/**
 * The one way to the data: one piece of work after the other, each whole or not at all. What `write` gives back is on
 * the disk. Whenever that is in doubt the connection is closed and another one opened: one that has lost track of its
 * transaction would go on answering and keep nothing.
 */
export class Database {
  private last: Promise<unknown> = Promise.resolve();
  /** Absent while a connection that was in doubt is closed and no new one could be opened. */
  private source: DataSource | undefined;

  /** `connect` opens a connection and sees that it answers. */
  constructor(
    source: DataSource,
    private readonly connect: () => Promise<DataSource>,
  ) {
    this.source = source;
  }

  /** Reads, in turn. Throws a `StorageProblem` where the disk does not answer. */
  read<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    return this.inTurn(async () => {
      try {
        return await work((await this.connected()).manager);
      } catch (problem) {
        throw understood(problem);
      }
    });
  }

  /** Changes, whole or not at all. Throws a `StorageProblem` where the disk does not take them: then nothing has changed. */
  write<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    return this.inTurn(async () => {
      try {
        return await this.whole(await this.connected(), work);
      } catch (problem) {
        throw understood(problem);
      }
    });
  }

  /** Copies the data as it is now to a file, page by page, while others go on reading and saving. */
  async copyTo(file: string): Promise<void> {
    await copyOf(await this.connected(), file);
  }

  async close(): Promise<void> {
    await this.inTurn(async () => this.source?.destroy());
  }

  private async whole<T>(source: DataSource, work: (manager: EntityManager) => Promise<T>): Promise<T> {
    const runner = source.createQueryRunner();
    let committing = false;
    try {
      await runner.startTransaction();
      const result = await work(runner.manager);
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

  /** SQLite has one connection here, and two must not share a transaction. */
  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const turn = this.last.then(work);
    this.last = turn.catch(() => undefined);
    return turn;
  }

  private async connected(): Promise<DataSource> {
    return (this.source ??= await this.connect());
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

/** Copies what a connection reads to a file, page by page. */
export const copyOf = async (source: DataSource, file: string): Promise<void> => {
  await connectionOf(source).backup(file);
};

const inTransaction = (source: DataSource): boolean => connectionOf(source).inTransaction;

function understood(problem: unknown): unknown {
  const failure = storageFailureOf(problem);
  return failure ? new StorageProblem(failure, problem) : problem;
}
