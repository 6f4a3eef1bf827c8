import { problemText, readPlanText } from '@rough-gear/contract/plan';
import type { Plan } from '@rough-gear/core';
import { Stop, type Terminal } from './command.js';

/** The plan in a file, `-` is standard input: stops with what is wrong of it, where and why. */
export function readPlanFile(path: string, terminal: Terminal): Plan {
  let text: string;
  try {
    text = terminal.read(path);
  } catch (problem) {
    throw new Stop(`file: ${path} cannot be read: ${(problem as Error).message}`);
  }
  const read = readPlanText(text);
  if (!read.ok) throw new Stop(problemText(read.problems));
  return read.plan;
}
