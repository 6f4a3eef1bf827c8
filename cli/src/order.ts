import { exportOrder } from '@rough-gear/contract/order';
import { orderSheet, USUAL_SPARES, type SpareRule } from '@rough-gear/core';
import { Command as Options, InvalidArgumentError } from 'commander';
import { Stop, stopping, type Command } from './command.js';
import { readOptions } from './options.js';
import { readPlanFile } from './planFile.js';

function counted(text: string): number {
  const value = Number(text);
  if (!(value >= 0) || text.trim() === '') throw new InvalidArgumentError('a number of 0 or more is wanted.');
  return value;
}

/** What a robot takes and what of it is still to be bought, as CSV: 0, or 2 where the file is no plan. */
export const orderCommand: Command = stopping((args, terminal) => {
  const options = new Options('order')
    .description('Prints the order sheet of a plan file as CSV.')
    .argument('<file>', 'plan file, or - for standard input')
    .option('--spares <n>', 'one spare in so many', counted, USUAL_SPARES.oneIn)
    .option('--at-least <n>', 'spares of each at least', counted, USUAL_SPARES.atLeast)
    .option('--worn <n>', 'one spare in so many of what wears', counted, USUAL_SPARES.wornOneIn);
  const ended = readOptions(options, args, terminal);
  if (ended !== undefined) return ended;
  const plan = readPlanFile(options.args[0] ?? '-', terminal);
  const { spares, atLeast, worn } = options.opts<{ spares: number; atLeast: number; worn: number }>();
  const rule: SpareRule = { oneIn: spares, atLeast, wornOneIn: worn };
  if (spares <= 0 || worn <= 0) throw new Stop('one in so many must be more than 0');
  terminal.out(exportOrder(orderSheet(plan, rule)));
  return 0;
});
