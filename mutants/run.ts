import { spawn } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { MUTANTS } from './index.js';
import type { Mutant } from './mutant.js';

/**
 * `npm run mutants`: every fault of the table is set in, in turn, and the tests that ought to notice are run. None may be
 * alive. Words given narrow the table to mutants whose name or file holds one of them.
 */
const root = fileURLToPath(new URL('..', import.meta.url));

/** What is wrong with an entry itself: it must stand in its file, once, and its tests must be there. */
function wrongWith({ name, file, is, tests }: Mutant): string | undefined {
  if (!existsSync(join(root, file))) return `${name}: ${file} is not there`;
  const times = readFileSync(join(root, file), 'utf8').split(is).length - 1;
  if (times !== 1) return `${name}: stands ${times} times in ${file}: ${is}`;
  const missing = tests.find((test) => !existsSync(join(root, test)));
  return missing && `${name}: ${missing} is not there`;
}

/** Without any fault. */
const NONE = -1;

/** Whether its tests fail. */
function fails(number: number): Promise<boolean> {
  return new Promise((resolve, reject) => {
    const run = spawn(
      join(root, 'node_modules/.bin/vitest'),
      ['run', '--config', 'mutants/vitest.config.ts', '--reporter=json'],
      {
        cwd: root,
        env: { ...process.env, MUTANT: String(number) },
        stdio: ['ignore', 'pipe', 'ignore'],
      },
    );
    let said = '';
    run.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()));
    run.on('exit', () => {
      const report = /\{"numTotalTestSuites.*/s.exec(said)?.[0];
      if (!report) return reject(new Error(`the tests of ${MUTANTS[number]?.name ?? 'none'} could not be run`));
      const { numFailedTests, numFailedTestSuites } = JSON.parse(report) as Record<string, number>;
      resolve(numFailedTests! + numFailedTestSuites! > 0);
    });
  });
}

const words = process.argv.slice(2);
const chosen = MUTANTS.map((mutant, number) => ({ mutant, number })).filter(
  ({ mutant: { name, file } }) => words.length === 0 || words.some((word) => `${name} ${file}`.includes(word)),
);
const wrong = chosen.flatMap(({ mutant }) => wrongWith(mutant) ?? []);
for (const line of wrong) console.log(line);
if (wrong.length > 0) process.exit(2);

if (await fails(NONE)) {
  console.log('Nothing was changed, and tests fail already: mend those first.');
  process.exit(2);
}

const alive: Mutant[] = [];
const left = [...chosen];
async function work(): Promise<void> {
  for (let next = left.shift(); next; next = left.shift()) {
    if (await fails(next.number)) continue;
    alive.push(next.mutant);
    console.log(`alive: ${next.mutant.name} (${next.mutant.file})`);
  }
}
await Promise.all(Array.from({ length: availableParallelism() }, work));
rmSync(join(root, '.cache/core-mutants'), { recursive: true, force: true });
console.log(`${chosen.length} mutants, ${chosen.length - alive.length} noticed, ${alive.length} alive`);
process.exit(alive.length > 0 ? 1 : 0);
