import type { Problem, ProblemDetails, StoredPlan } from '@rough-gear/contract';
import type { ErrorRequestHandler } from 'express';
import { Answered, type Answer } from '../answered.js';

/** Something a request got wrong: becomes application/problem+json. */
export class HttpProblem extends Answered {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly more: {
      readonly detail?: string;
      readonly problems?: readonly Problem[];
      readonly stored?: StoredPlan;
    } = {},
  ) {
    super(title);
  }

  static of({ status, title, ...more }: Answer): HttpProblem {
    return new HttpProblem(status, title, more);
  }

  get answer(): Answer {
    return { title: this.title, status: this.status, ...this.more };
  }
}

/** The last handler: known problems as they are, everything else as a plain 500 that is logged. */
export const problemHandler: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) return next(error);
  const said = known(error) ?? { title: 'The server could not do that', status: 500 };
  if (said.status >= 500) request.log.error(error);
  const details: ProblemDetails = { type: 'about:blank', ...said };
  response.status(said.status).type('application/problem+json').send(JSON.stringify(details));
};

function known(error: unknown): Answer | undefined {
  if (error instanceof Answered) return error.answer;
  // The router could not make sense of the address itself.
  if (error instanceof URIError) return { title: 'The address is malformed', status: 400, detail: error.message };
  return error instanceof Error ? ofBody(error) : undefined;
}

/** What the readers of bodies object to. */
function ofBody(error: Error & { readonly status?: number; readonly limit?: number }): Answer | undefined {
  const { status, limit, message } = error;
  switch (status) {
    case 400:
      return { title: 'The body is not JSON', status, detail: message };
    case 413:
      return { title: `That is more than ${Math.round((limit ?? 2e6) / 1e6)} MB`, status };
    case 415: {
      const detail = `${message}. Send UTF-8, plain, gzip or deflate.`;
      return { title: 'The body is written in a way that is not read here', status, detail };
    }
    default:
      return undefined;
  }
}
