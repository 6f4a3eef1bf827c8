import { readFileSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { demoBook } from '../rig/demoBook.js';
import { rigSettings, serveRig } from '../rig/rig.js';

const HERON = 'contract/demo/heron.json';
const BOOK = 'contract/demo/bench-book.json';

/** `npm run rig`: the simulated rig on a port of this machine; with `book` it plays the demo's bench book into its file. */
function main(args: readonly string[]): void {
  if (args[0] === 'book') return writeFileSync(BOOK, demoBook(readFileSync(HERON, 'utf8')));
  try {
    const settings = rigSettings(args, process.env);
    const server = serveRig(settings);
    server.once('error', ({ message }) => {
      process.stderr.write(`ROUGH_GEAR_RIG: ${message}\n`);
      process.exit(2);
    });
    server.listen(settings.port, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      process.stdout.write(`The simulated rig plays ${settings.kind} at 127.0.0.1:${port}\n`);
    });
  } catch (problem) {
    process.stderr.write(`${(problem as Error).message}\n`);
    process.exitCode = 2;
  }
}
main(process.argv.slice(2));
