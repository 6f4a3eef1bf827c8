import { readFileSync } from 'node:fs';
import { problemText, readPlanText } from '@rough-gear/contract/plan';
import { evaluate } from '@rough-gear/core';
import { Command } from 'commander';
import { reportOf } from './report/report.js';

/** `npm run -s evaluate -- PLAN.json`: everything the application knows of a plan, as one JSON document. */
const program = new Command('evaluate')
  .description('Judges every mechanism of a plan file and prints one JSON document.')
  .argument('<file>', 'plan file, or - for standard input')
  .option('--strict', 'exit with 1 when something gives way')
  .exitOverride((error) => process.exit(error.exitCode === 0 ? 0 : 2));
program.parse();

const [file = '-'] = program.args;
const read = readPlanText(textOf(file));
if (!read.ok) stop(problemText(read.problems));
const report = reportOf(read.plan, evaluate(read.plan));
process.stdout.write(`${JSON.stringify(report, null, 2)}\n`);
const givesWay = report.mechanisms.some((mechanism) => mechanism.headline.verdict === 'gives way');
process.exitCode = program.opts<{ strict?: boolean }>().strict && givesWay ? 1 : 0;

function textOf(path: string): string {
  try {
    return readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch (problem) {
    stop(`file: ${path} cannot be read: ${(problem as Error).message}`);
  }
}

function stop(reason: string): never {
  process.stderr.write(`${reason}\n`);
  process.exit(2);
}
