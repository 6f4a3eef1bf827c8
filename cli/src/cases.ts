import { readFileSync } from 'node:fs';
import { readCases, runCase, type Case } from './cases/run.js';

/** `npm run -s cases -- FILE…`: runs reference cases through the core; 0 all pass, 1 one fails, 2 not such a file. */
const files = process.argv.slice(2);
const cases: Case[] = [];
if (files.length === 0) fail('give at least one file of cases');
for (const file of files) {
  try {
    cases.push(...readCases(readFileSync(file, 'utf8')));
  } catch (problem) {
    fail(`${file}: ${(problem as Error).message}`);
  }
}
const results = cases.map(runCase);
const passed = results.filter((result) => result.pass).length;
console.log(JSON.stringify({ cases: results, passed, failed: results.length - passed }, null, 1));
process.exitCode = passed === results.length ? 0 : 1;

function fail(reason: string): never {
  process.stderr.write(`${reason}\n`);
  process.exit(2);
}
