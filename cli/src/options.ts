import { CommanderError, type Command as Options } from 'commander';
import type { Terminal } from './command.js';

/** Reads a command's arguments; where that ends it (help was asked for, or something is wrong) its exit status. */
export function readOptions(options: Options, args: readonly string[], terminal: Terminal): number | undefined {
  options
    .configureOutput({ writeOut: (text) => terminal.out(text), writeErr: (text) => terminal.err(text) })
    .exitOverride();
  try {
    options.parse(args, { from: 'user' });
    return undefined;
  } catch (problem) {
    // It has said what was wrong, or shown its help.
    if (problem instanceof CommanderError) return problem.exitCode === 0 ? 0 : 2;
    throw problem;
  }
}
