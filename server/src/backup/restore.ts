import { copyFileSync, existsSync, mkdirSync, renameSync } from 'node:fs';
import { join } from 'node:path';
import { takeFolder } from '../db/lock.js';
import { fileIn } from '../db/open.js';
import { prepareFolder } from '../db/folder.js';
import { backupFolder } from './backups.js';
import { checkFile, flush, settle } from './file.js';

/** What a database lies in, beside its file. */
const PIECES = ['', '-wal', '-shm', '-journal'];

/**
 * Puts a backup in the place of a folder's data. The backup is checked before anything is touched; what it replaces,
 * damaged or not, is moved aside whole. Gives back where that lies; `undefined` where there was nothing.
 *
 * @throws StartProblem where the backup is not sound, or a server has the folder open
 */
export function restore(dataFolder: string, backup: string, now: Date = new Date()): string | undefined {
  checkFile(backup);
  prepareFolder(dataFolder);
  const lock = takeFolder(dataFolder);
  try {
    const file = fileIn(dataFolder);
    const coming = `${file}.coming`;
    copyFileSync(backup, coming);
    settle(coming);
    const aside = join(backupFolder(dataFolder), `replaced-${now.toISOString().replace(/[:.]/g, '-')}`);
    const there = PIECES.filter((end) => existsSync(`${file}${end}`));
    if (there.length > 0) mkdirSync(aside, { recursive: true });
    // The log first: alone, an old one could be taken for the new file's.
    for (const end of [...there].reverse()) renameSync(`${file}${end}`, join(aside, `rough-gear.sqlite${end}`));
    renameSync(coming, file);
    flush(dataFolder);
    return there.length > 0 ? aside : undefined;
  } finally {
    lock.release();
  }
}
