import { evaluate } from '@rough-gear/core';
import { Command as Options } from 'commander';
import { stopping, type Command } from './command.js';
import { readOptions } from './options.js';
import { readPlanFile } from './planFile.js';
import { reportOf } from './report/report.js';
import { robotReport } from './report/robotReport.js';

/** Judges every mechanism of a plan file: one JSON document; 0, or with `--strict` 1 where something gives way; 2 for no plan. */
export const evaluateCommand: Command = stopping((args, terminal) => {
  const options = new Options('evaluate')
    .description('Judges every mechanism of a plan file and prints one JSON document.')
    .argument('<file>', 'plan file, or - for standard input')
    .option('--strict', 'exit with 1 when something gives way');
  const ended = readOptions(options, args, terminal);
  if (ended !== undefined) return ended;
  const plan = readPlanFile(options.args[0] ?? '-', terminal);
  const result = evaluate(plan);
  const report = { ...reportOf(plan, result), robot: robotReport(plan, result) };
  terminal.out(`${JSON.stringify(report, null, 2)}\n`);
  const givesWay = report.robot.verdict === 'gives way';
  return options.opts<{ strict?: boolean }>().strict && givesWay ? 1 : 0;
});
