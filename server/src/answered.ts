import type { ProblemDetails } from '@rough-gear/contract';

export type Answer = Omit<ProblemDetails, 'type'>;

/** An error that says itself how a request which met it is answered: whoever throws one need not be known to the edge. */
export abstract class Answered extends Error {
  abstract readonly answer: Answer;
}
