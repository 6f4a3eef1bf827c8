import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { StartProblem } from './startProblem.js';

/** Who has the data open. */
interface Holder {
  readonly pid: number;
  readonly since: string;
}

/** Held until it is let go of, or the process ends. */
export interface FolderLock {
  release(): void;
}

/**
 * Takes a folder for this process alone. The lock is SQLite's own, on a file beside the data: the system lets go of it
 * when the process ends, however it ends. Throws where another process has it, and names that one.
 */
export function takeFolder(folder: string): FolderLock {
  const note = join(folder, 'in-use.json');
  const lock = new Sqlite(join(folder, 'in-use.lock'), { timeout: 0 });
  try {
    lock.pragma('journal_mode = DELETE');
    lock.exec('BEGIN EXCLUSIVE');
  } catch (problem) {
    lock.close();
    if (!(problem instanceof Sqlite.SqliteError) || !problem.code.startsWith('SQLITE_BUSY')) throw problem;
    throw new StartProblem(`${folder} is in use by another server${holderIn(note)}: stop that one first.`);
  }
  const holder: Holder = { pid: process.pid, since: new Date().toISOString() };
  writeFileSync(note, JSON.stringify(holder));
  return {
    release: () => {
      if (lock.inTransaction) lock.exec('ROLLBACK');
      lock.close();
    },
  };
}

function holderIn(note: string): string {
  try {
    const { pid, since } = JSON.parse(readFileSync(note, 'utf8')) as Holder;
    return `, process ${pid}, since ${since}`;
  } catch {
    return '';
  }
}
