import { copyFileSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { prepareFolder } from '../db/folder.js';
import { takeFolder } from '../db/lock.js';
import { fileIn } from '../db/open.js';
import { StartProblem } from '../db/startProblem.js';
import { backupFolder, clearUnfinished, hasCopies } from './backups.js';
import { checkFile, flush, settle } from './file.js';

/** What a database lies in, beside its file. */
const PIECES = ['', '-wal', '-shm', '-journal'];

/** Says that a restore has begun to move files, and where to: whoever finds it goes on with that. */
interface Note {
  readonly aside: string;
}
const noteIn = (dataFolder: string): string => join(dataFolder, 'restore.json');
const comingIn = (dataFolder: string): string => `${fileIn(dataFolder)}.coming`;

/**
 * Puts a backup in the place of a folder's data. The backup is checked before anything is touched; what it replaces,
 * damaged or not, is moved aside whole. Gives back where that lies; `undefined` where there was nothing. Cut off at any
 * moment, it is finished or undone by the next start.
 *
 * @param done is told after each step, so that a test can end there
 * @throws StartProblem where the backup is not sound, or a server has the folder open
 */
export function restore(
  dataFolder: string,
  backup: string,
  now: Date = new Date(),
  done: (step: string) => void = () => undefined,
): string | undefined {
  checkFile(backup);
  prepareFolder(dataFolder);
  const lock = takeFolder(dataFolder);
  try {
    goOn(dataFolder, done);
    copyFileSync(backup, comingIn(dataFolder));
    done('copied');
    settle(comingIn(dataFolder));
    done('settled');
    const aside = join(backupFolder(dataFolder), `replaced-${now.toISOString().replace(/[:.]/g, '-')}`);
    const isThere = PIECES.some((end) => existsSync(`${fileIn(dataFolder)}${end}`));
    if (isThere) mkdirSync(aside, { recursive: true });
    writeFileSync(noteIn(dataFolder), JSON.stringify({ aside } satisfies Note), { flush: true });
    flush(dataFolder);
    done('noted');
    goOn(dataFolder, done);
    return isThere ? aside : undefined;
  } finally {
    lock.release();
  }
}

/**
 * Goes on with a restore that was cut off: finishes it where files were being moved, and clears its copy away where it was
 * not whole yet. Says which; `undefined` where there was none.
 */
function goOn(dataFolder: string, done: (step: string) => void): string | undefined {
  const [file, coming, note] = [fileIn(dataFolder), comingIn(dataFolder), noteIn(dataFolder)];
  if (!existsSync(note)) {
    const cut = PIECES.filter((end) => existsSync(`${coming}${end}`));
    for (const end of cut) rmSync(`${coming}${end}`, { force: true });
    return cut.length > 0 ? 'A restore was cut off before it touched the data: everything is as it was.' : undefined;
  }
  const { aside } = JSON.parse(readFileSync(note, 'utf8')) as Note;
  // As long as the new file waits, what lies in its place is the old one.
  if (existsSync(coming)) {
    // The log first: alone, an old one could be taken for the new file's.
    for (const end of [...PIECES].reverse())
      if (existsSync(`${file}${end}`)) {
        renameSync(`${file}${end}`, join(aside, `rough-gear.sqlite${end}`));
        done(`moved ${end}`);
      }
    renameSync(coming, file);
    done('in place');
  }
  flush(dataFolder);
  rmSync(note);
  done('forgotten');
  return `A restore that was cut off is finished now. What was there before lies in ${aside}.`;
}

/**
 * What a start does before it opens the data: a restore that was cut off is finished or undone, halves of backups are
 * cleared away, and where there are copies but no data nothing is begun anew.
 */
export function mendFolder(dataFolder: string): string | undefined {
  prepareFolder(dataFolder);
  const lock = takeFolder(dataFolder);
  try {
    const said = goOn(dataFolder, () => undefined);
    clearUnfinished(dataFolder);
    if (!existsSync(fileIn(dataFolder)) && hasCopies(dataFolder))
      throw new StartProblem(
        `${dataFolder} holds backups but no data: put one in its place with npm run restore -- FILE (they lie in ${backupFolder(dataFolder)}), or name another folder by ROUGH_GEAR_DATA.`,
      );
    return said;
  } finally {
    lock.release();
  }
}
