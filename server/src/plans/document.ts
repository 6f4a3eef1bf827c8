import { Answered, type Answer } from '../answered.js';
import { problemText, readPlanText, type Problem } from '@rough-gear/contract';
import type { Plan } from '@rough-gear/core';

/** A stored document that this version of the program cannot read. It stays as it is, and may be downloaded. */
export class UnreadablePlan extends Answered {
  constructor(readonly problems: readonly Problem[]) {
    super(problemText(problems).split('\n')[0]);
  }

  get answer(): Answer {
    return { title: 'This version of the program cannot read that plan', status: 409, problems: this.problems };
  }
}

/**
 * A stored document, by the same reader and migrations as an import: what was saved by an earlier version is brought up
 * to date. Throws an `UnreadablePlan` where that cannot be done.
 */
export function readDocument(text: string): Plan {
  const read = readPlanText(text);
  if (!read.ok) throw new UnreadablePlan(read.problems);
  return read.plan;
}
