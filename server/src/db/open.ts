import { join } from 'node:path';
import { DataSource } from 'typeorm';
import { copyOf, Database } from './database.js';
import {
  DiaryEntity,
  HealthEntity,
  PlanEntity,
  RevisionEntity,
  ShelfEntity,
  ShelfImportEntity,
  TrialEntity,
} from './entities.js';
import { storageFailureOf } from './failure.js';
import { prepareFolder } from './folder.js';
import { takeFolder, type FolderLock } from './lock.js';
import { MIGRATION_NAMES, MIGRATIONS, SCHEMA } from './migrations/index.js';
import { StartProblem } from './startProblem.js';

/** What is done with data of an older program before its tables are changed. */
export type BeforeChange = (copyTo: (file: string) => Promise<void>) => Promise<void>;

const nothing: BeforeChange = () => Promise.resolve();

/** The data of a folder, taken for this process alone. */
export interface OpenData {
  readonly database: Database;
  close(): Promise<void>;
}

export const fileIn = (folder: string): string => join(folder, 'rough-gear.sqlite');

/**
 * Opens the data in a folder, makes it where there is none, and brings its tables up to date. Write-ahead log with full
 * syncs: an acknowledged save survives a killed process. Throws a `StartProblem`, one line with what to do, where
 * the folder, the file or its version is not what this program can work with. `beforeChange` is called, with a way to copy
 * the data, before tables of an older program are changed; where it fails nothing is changed.
 */
export async function openData(folder: string, beforeChange: BeforeChange = nothing): Promise<OpenData> {
  prepareFolder(folder);
  let lock: FolderLock | undefined;
  try {
    lock = takeFolder(folder);
    return await openTaken(folder, lock, beforeChange);
  } catch (problem) {
    lock?.release();
    throw explained(problem, folder);
  }
}

async function openTaken(folder: string, lock: FolderLock, beforeChange: BeforeChange): Promise<OpenData> {
  const source = await connect(folder);
  try {
    const old = await check(source, folder);
    if (old) await beforeChange((file) => copyOf(source, file));
    await source.runMigrations({ transaction: 'all' });
  } catch (problem) {
    await source.destroy();
    throw problem;
  }
  const database = new Database(() => connect(folder), source);
  return {
    database,
    close: async () => {
      await database.close();
      lock.release();
    },
  };
}

/** A connection that answers. */
async function connect(folder: string): Promise<DataSource> {
  const source = new DataSource({
    type: 'better-sqlite3',
    database: fileIn(folder),
    entities: [PlanEntity, RevisionEntity, ShelfEntity, ShelfImportEntity, TrialEntity, DiaryEntity, HealthEntity],
    migrations: [...MIGRATIONS],
    enableWAL: true,
    synchronize: false,
  });
  await source.initialize();
  try {
    await source.query('PRAGMA foreign_keys = ON');
    await source.query('PRAGMA synchronous = FULL');
    // In KiB: a trial of a long log fits, so that writing it does not go to the disk before it is committed.
    await source.query('PRAGMA cache_size = -32000');
    await source.query('SELECT 1 FROM sqlite_master');
    return source;
  } catch (problem) {
    await source.destroy();
    throw problem;
  }
}

/** Whole, and not of a program that is newer than this one. True where its tables are an older program's. */
async function check(source: DataSource, folder: string): Promise<boolean> {
  const [answer] = await source.query<{ quick_check: string }[]>('PRAGMA quick_check(1)');
  if (answer?.quick_check !== 'ok') throw damaged(folder, answer?.quick_check ?? 'it does not answer');
  const [table] = await source.query<unknown[]>(`SELECT 1 FROM sqlite_master WHERE name = 'migrations'`);
  if (!table) return false;
  const done = await source.query<{ name: string }[]>('SELECT name FROM migrations ORDER BY timestamp');
  const unknown = done.filter(({ name }) => !MIGRATION_NAMES.includes(name)).map(({ name }) => name);
  if (unknown.length > 0)
    throw new StartProblem(
      `${fileIn(folder)} was last used by a newer version of this program (it has ${unknown.at(-1)}, this one ends at ${SCHEMA}): start that version, or name another folder by ROUGH_GEAR_DATA.`,
    );
  return done.length < MIGRATION_NAMES.length;
}

const damaged = (folder: string, why: string): StartProblem =>
  new StartProblem(
    `${fileIn(folder)} is damaged (${why.split('\n')[0]}): nothing was changed. Restore the newest backup: npm run restore -- FILE (they lie in ${join(folder, 'backups')}).`,
  );

function explained(problem: unknown, folder: string): unknown {
  if (problem instanceof StartProblem) return problem;
  const failure = storageFailureOf(problem);
  if (failure?.kind === 'damaged') return damaged(folder, (problem as Error).message);
  return failure ? new StartProblem(`${fileIn(folder)}: ${failure.sentence}`) : problem;
}
