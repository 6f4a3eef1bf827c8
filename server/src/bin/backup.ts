import { existsSync, renameSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import Sqlite from 'better-sqlite3';
import { backupFolder, makeBackup } from '../backup/backups.js';
import { settle } from '../backup/file.js';
import { fileIn } from '../db/open.js';
import { StartProblem } from '../db/startProblem.js';
import { root } from '../root.js';
import { readSettings } from '../settings.js';
import { command } from './command.js';

/** npm run backup -- [FILE]: a consistent copy of the data, while a server works on it or not. */
await command(async () => {
  const { dataFolder } = readSettings(process.env, fileURLToPath(root));
  const file = fileIn(dataFolder);
  if (!existsSync(file)) throw new StartProblem(`${dataFolder} holds no data yet: there is nothing to back up.`);
  const data = new Sqlite(file, { readonly: true, fileMustExist: true });
  const copy = async (to: string): Promise<void> => void (await data.backup(to));
  try {
    const [, , given] = process.argv;
    if (given === undefined) {
      const { name } = await makeBackup(dataFolder, 'by-hand', copy);
      return `The backup is ${join(backupFolder(dataFolder), name)}.`;
    }
    const to = resolve(process.env['INIT_CWD'] ?? process.cwd(), given);
    if (existsSync(to)) throw new StartProblem(`${to} is there already: name another file.`);
    const unfinished = `${to}.unfinished`;
    try {
      await copy(unfinished);
      settle(unfinished);
      renameSync(unfinished, to);
    } finally {
      rmSync(unfinished, { force: true });
    }
    return `The backup is ${to}.`;
  } finally {
    data.close();
  }
});
