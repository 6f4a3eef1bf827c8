import { readFileSync } from 'node:fs';

/** Where a command reads and writes: the shell's, or a test's. */
export interface Terminal {
  /** A file's text; `-` is standard input. Throws where it cannot be read. */
  read(path: string): string;
  out(text: string): void;
  err(text: string): void;
}

/** A command: its arguments in, its exit status out. */
export type Command = (args: readonly string[], terminal: Terminal) => number;

const SHELL: Terminal = {
  read: (path) => readFileSync(path === '-' ? 0 : path, 'utf8'),
  out: (text) => void process.stdout.write(text),
  err: (text) => void process.stderr.write(text),
};

/** Runs a command of the shell: its status becomes the process's, once everything is written. */
export function runFromShell(command: Command): void {
  process.exitCode = command(process.argv.slice(2), SHELL);
}

/** A reason to stop: one line for the person, exit status 2. */
export class Stop extends Error {}

/** Turns a `Stop` into its line and its status. */
export const stopping =
  (command: Command): Command =>
  (args, terminal) => {
    try {
      return command(args, terminal);
    } catch (problem) {
      if (!(problem instanceof Stop)) throw problem;
      terminal.err(`${problem.message}\n`);
      return 2;
    }
  };
