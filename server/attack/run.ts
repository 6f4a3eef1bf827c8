import { availableParallelism, loadavg } from 'node:os';
import { ATTACKS } from './index.js';

/**
 * npm run attack: every attack at its full length against the built server, and a table of what came of it. Words given make
 * those alone whose name holds one of them: npm run attack -- devices.
 */
const words = process.argv.slice(2);
const chosen = ATTACKS.filter(({ name }) => words.length === 0 || words.some((word) => name.includes(word)));
if (chosen.length === 0) {
  process.stderr.write(`No attack is called so. There are: ${ATTACKS.map(({ name }) => name).join(', ')}.\n`);
  process.exit(2);
}
const rows: string[][] = [['attack', 'aims at', 'tried', 'seen', 'held']];
let failed = 0;
for (const { name, aims, run } of chosen) {
  process.stderr.write(`${name} …\n`);
  // What is lost is lost on any machine; a time says something of the server where nothing else is done.
  const quiet = loadavg()[0]! < availableParallelism() / 2;
  const { tried, seen, broken, slow = [] } = await run('long');
  const wrong = [...broken, ...(quiet ? slow : [])];
  if (wrong.length > 0) failed++;
  const busy = !quiet && slow.length > 0 ? `, on a busy machine: ${slow.join('; ')}` : '';
  rows.push([name, aims, tried, seen, wrong.length === 0 ? `yes${busy}` : `NO: ${wrong.join('; ').slice(0, 500)}`]);
}
const widths = rows[0]!.map((_, i) => Math.max(...rows.map((row) => (i < 4 ? row[i]!.length : 3))));
for (const row of rows)
  process.stdout.write(
    `${row
      .map((cell, i) => cell.padEnd(widths[i]!))
      .join('  ')
      .trimEnd()}\n`,
  );
process.exitCode = failed > 0 ? 1 : 0;
