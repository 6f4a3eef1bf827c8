import { problemText, readPlanText } from '@rough-gear/contract/plan';
import { evaluate } from '@rough-gear/core';
import { Command as Options, CommanderError } from 'commander';
import { Stop, stopping, type Command, type Terminal } from './command.js';
import { reportOf } from './report/report.js';
import { robotReport } from './report/robotReport.js';

/** Judges every mechanism of a plan file: one JSON document; 0, or with `--strict` 1 where something gives way; 2 for no plan. */
export const evaluateCommand: Command = stopping((args, terminal) => {
  const options = new Options('evaluate')
    .description('Judges every mechanism of a plan file and prints one JSON document.')
    .argument('<file>', 'plan file, or - for standard input')
    .option('--strict', 'exit with 1 when something gives way')
    .configureOutput({ writeOut: (text) => terminal.out(text), writeErr: (text) => terminal.err(text) })
    .exitOverride();
  try {
    options.parse(args, { from: 'user' });
  } catch (problem) {
    // It has said what was wrong, or shown its help.
    if (problem instanceof CommanderError) return problem.exitCode === 0 ? 0 : 2;
    throw problem;
  }
  const read = readPlanText(textOf(options.args[0] ?? '-', terminal));
  if (!read.ok) throw new Stop(problemText(read.problems));
  const report = { ...reportOf(read.plan, evaluate(read.plan)), robot: robotReport(read.plan) };
  terminal.out(`${JSON.stringify(report, null, 2)}\n`);
  const givesWay =
    report.mechanisms.some((mechanism) => mechanism.headline.verdict === 'gives way') ||
    report.robot.matches.some(({ verdict }) => verdict === 'gives way');
  return options.opts<{ strict?: boolean }>().strict && givesWay ? 1 : 0;
});

function textOf(path: string, terminal: Terminal): string {
  try {
    return terminal.read(path);
  } catch (problem) {
    throw new Stop(`file: ${path} cannot be read: ${(problem as Error).message}`);
  }
}
