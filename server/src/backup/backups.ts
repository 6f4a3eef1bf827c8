import { mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Backup, BackupKind } from '@rough-gear/contract';
import { flush, settle } from './file.js';

/** So many of each kind are kept. */
export const BACKUPS_KEPT = 14;

const NAME = /^(daily|before-update|by-hand)-(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z\.sqlite$/;

export const backupFolder = (dataFolder: string): string => join(dataFolder, 'backups');

/** The backups of a data folder, the newest in front. */
export function listBackups(dataFolder: string): readonly Backup[] {
  return filesIn(backupFolder(dataFolder))
    .flatMap((name): readonly Backup[] => {
      const [, kind, day, hour, minute, second, thousandth] = NAME.exec(name) ?? [];
      if (kind === undefined) return [];
      const madeAt = `${day}T${hour}:${minute}:${second}.${thousandth}Z`;
      return [{ name, kind: kind as BackupKind, madeAt, bytes: statSync(join(backupFolder(dataFolder), name)).size }];
    })
    .sort((a, b) => (a.madeAt < b.madeAt ? 1 : -1));
}

/** Where a backup lies; `undefined` where there is none of that name. */
export const backupFile = (dataFolder: string, name: string): string | undefined =>
  NAME.test(name) && filesIn(backupFolder(dataFolder)).includes(name)
    ? join(backupFolder(dataFolder), name)
    : undefined;

/**
 * Makes a backup: whole and checked under another name first, so that none is ever there by half. `copy` writes the data
 * to a file. The oldest of its kind go.
 */
export async function makeBackup(
  dataFolder: string,
  kind: BackupKind,
  copy: (file: string) => Promise<void>,
  now: Date = new Date(),
): Promise<Backup> {
  const folder = backupFolder(dataFolder);
  mkdirSync(folder, { recursive: true });
  const name = `${kind}-${now.toISOString().replace(/[:.]/g, '-')}.sqlite`;
  const unfinished = join(folder, `${name}.unfinished`);
  try {
    await copy(unfinished);
    settle(unfinished);
    renameSync(unfinished, join(folder, name));
    flush(folder);
  } catch (problem) {
    for (const end of ['', '-journal', '-wal', '-shm']) rmSync(`${unfinished}${end}`, { force: true });
    throw problem;
  }
  const all = listBackups(dataFolder);
  for (const old of all.filter((one) => one.kind === kind).slice(BACKUPS_KEPT)) rmSync(join(folder, old.name));
  return all.find((one) => one.name === name)!;
}

/** Whether a data folder has backups, or data that a restore moved aside. */
export const hasCopies = (dataFolder: string): boolean =>
  listBackups(dataFolder).length > 0 || filesIn(backupFolder(dataFolder)).some((name) => name.startsWith('replaced-'));

/** Clears away what a backup left that was cut off; only while nobody else makes one. */
export function clearUnfinished(dataFolder: string): void {
  const folder = backupFolder(dataFolder);
  for (const name of filesIn(folder)) if (/\.unfinished(-journal|-wal|-shm)?$/.test(name)) rmSync(join(folder, name));
}

function filesIn(folder: string): readonly string[] {
  try {
    return readdirSync(folder);
  } catch {
    return [];
  }
}
