import { closeSync, existsSync, fsyncSync, openSync } from 'node:fs';
import Sqlite from 'better-sqlite3';
import { MIGRATION_NAMES, SCHEMA } from '../db/migrations/index.js';
import { StartProblem } from '../db/startProblem.js';

/** Sees that a file is a whole set of data that this program can read. Throws one line that says why it is not. */
export function checkFile(file: string): void {
  if (!existsSync(file)) throw new StartProblem(`${file}: there is no such file. Nothing was changed.`);
  const why = whyUnsound(file);
  if (why !== undefined) throw new StartProblem(`${file} ${why}. Nothing was changed.`);
}

function whyUnsound(file: string): string | undefined {
  let data: Sqlite.Database | undefined;
  try {
    data = new Sqlite(file, { readonly: true, fileMustExist: true });
    const answer = String(data.pragma('quick_check(1)', { simple: true }));
    if (answer !== 'ok') return `is damaged (${answer.split('\n')[0]})`;
    const tables = data.prepare(`SELECT name FROM sqlite_master WHERE name IN ('migrations', 'plan')`).all();
    if (tables.length < 2) return 'holds other data than this program’s';
    const done = data.prepare<[], { name: string }>('SELECT name FROM migrations ORDER BY timestamp').all();
    const newer = done.filter(({ name }) => !MIGRATION_NAMES.includes(name)).at(-1);
    return newer && `is of a newer version of this program (it has ${newer.name}, this one ends at ${SCHEMA})`;
  } catch (problem) {
    return `is no data of this program, or damaged (${(problem as Error).message})`;
  } finally {
    data?.close();
  }
}

/** A copy of a database made one plain file, that needs none beside it, and checked. */
export function settle(file: string): void {
  const copy = new Sqlite(file);
  try {
    copy.pragma('journal_mode = DELETE');
  } catch (problem) {
    throw new StartProblem(`The copy is damaged (${(problem as Error).message}).`);
  } finally {
    copy.close();
  }
  checkFile(file);
  flush(file);
}

/** Waits until a file, or what a folder says of its files, is on the disk. */
export function flush(path: string): void {
  const handle = openSync(path, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}
