import { createInterface } from 'node:readline/promises';
import { Writable } from 'node:stream';
import { fileURLToPath } from 'node:url';
import { newAccess, readAccess, signedOut, writeAccess } from '../access/accessFile.js';
import { hashOf, LONGEST, SHORTEST } from '../access/passphrase.js';
import { prepareFolder } from '../db/folder.js';
import { StartProblem } from '../db/startProblem.js';
import { root } from '../root.js';
import { readSettings } from '../settings.js';
import { command } from './command.js';

/** Asks without showing what is typed; from a pipe the first line is taken. */
async function asked(question: string): Promise<string> {
  const shown = process.stdin.isTTY;
  if (shown) process.stdout.write(question);
  const silent = new Writable({ write: (_chunk, _encoding, done) => done() });
  const lines = createInterface({ input: process.stdin, output: silent, terminal: shown });
  for await (const line of lines) {
    if (shown) process.stdout.write('\n');
    return line;
  }
  return '';
}

const what = { '--look': 'look', '--no-look': 'no look' }[process.argv[2] ?? ''];

/** npm run passphrase [-- --look | --no-look]: sets what must be known to change, or to look only. Signs everybody out. */
await command(async () => {
  if (process.argv[2] !== undefined && what === undefined)
    throw new StartProblem(
      `${process.argv[2]} is not known: --look sets the passphrase for looking only, --no-look takes it away.`,
    );
  const { dataFolder } = readSettings(process.env, fileURLToPath(root));
  prepareFolder(dataFolder);
  const file = readAccess(dataFolder) ?? newAccess();
  if (what === 'no look') {
    const { look: _gone, ...rest } = file;
    writeAccess(dataFolder, signedOut(rest));
    return 'Nobody can sign in to look only any more. Everybody is signed out.';
  }
  const passphrase = (await asked(what === 'look' ? 'Passphrase for looking only: ' : 'Passphrase: ')).trim();
  if (passphrase.length < SHORTEST || passphrase.length > LONGEST)
    throw new StartProblem(
      `A passphrase has ${SHORTEST} to ${LONGEST} characters; this one has ${passphrase.length}. Nothing was changed.`,
    );
  const key = what === 'look' ? 'look' : 'change';
  writeAccess(dataFolder, signedOut({ ...file, [key]: await hashOf(passphrase) }));
  return `The passphrase ${key === 'look' ? 'for looking only ' : ''}is set. Everybody is signed out.`;
});
