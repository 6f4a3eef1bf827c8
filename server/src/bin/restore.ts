import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { restore } from '../backup/restore.js';
import { StartProblem } from '../db/startProblem.js';
import { root } from '../root.js';
import { readSettings } from '../settings.js';
import { command } from './command.js';

/** npm run restore -- FILE: puts a backup in the place of the data, and keeps what it replaces. */
await command(() => {
  const { dataFolder } = readSettings(process.env, fileURLToPath(root));
  const [, , given] = process.argv;
  if (given === undefined) throw new StartProblem('Which backup? npm run restore -- FILE');
  const backup = resolve(process.env['INIT_CWD'] ?? process.cwd(), given);
  const aside = restore(dataFolder, backup);
  const kept = aside === undefined ? '' : ` What was there before lies in ${aside}.`;
  return `${backup} is in place.${kept} npm start serves it.`;
});
