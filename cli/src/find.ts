import { Finder, placesOf } from '@rough-gear/contract/find';
import { Command as Options } from 'commander';
import type { Command } from './command.js';
import { Stop, stopping } from './command.js';
import { readOptions } from './options.js';
import { readPlanFile } from './planFile.js';

/** What the finder of the program lists for some words, as JSON. The address of the robot stands for its file: `/robots/-`. */
export const findCommand: Command = stopping((args, terminal) => {
  const options = new Options('npm run -s find --')
    .description(
      'Lists the places that the words lead to: figures, questions, desks, rooms, parts, trials, words, actions.',
    )
    .argument('<plan>', 'the plan’s file; - is standard input')
    .argument('<words...>', 'what is looked for')
    .option('--mechanism <id>', 'the mechanism that is open; the first, if left out')
    .option('--most <count>', 'as many as this', '12');
  const ended = readOptions(options, args, terminal);
  if (ended !== undefined) return ended;
  const [file = '-', ...words] = options.args;
  const { mechanism, most } = options.opts<{ mechanism?: string; most: string }>();
  const count = Number(most);
  if (!Number.isInteger(count) || count < 1) throw new Stop(`most: “${most}” is no whole number from 1 up`);
  const plan = readPlanFile(file, terminal);
  const ids = plan.mechanisms.map(({ id }) => id);
  if (mechanism !== undefined && !ids.includes(mechanism))
    throw new Stop(`mechanism: “${mechanism}” is not among ${ids.join(', ')}`);
  const found = new Finder(placesOf(plan, '-', mechanism)).find(words.join(' '), count);
  const told = found.map(({ label, kind, path, where }) => ({ label, kind, path, where }));
  terminal.out(`${JSON.stringify(told, null, 2)}\n`);
  return 0;
});
