import type { Problem, ProblemDetails, StoredPlan } from '@rough-gear/contract';
import type { ErrorRequestHandler, Response } from 'express';
import { StorageProblem } from '../db/failure.js';
import { UnreadablePlan } from '../plans/document.js';

/** Something a request got wrong: becomes application/problem+json. */
export class HttpProblem extends Error {
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
}

function send(response: Response, details: ProblemDetails): void {
  response.status(details.status).type('application/problem+json').send(JSON.stringify(details));
}

/** The last handler: known problems as they are, everything else as a plain 500 that is logged. */
export const problemHandler: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) return next(error);
  if (error instanceof HttpProblem)
    return send(response, { type: 'about:blank', title: error.title, status: error.status, ...error.more });
  if (error instanceof StorageProblem) {
    request.log.error(error);
    const { kind, sentence } = error.failure;
    // Insufficient Storage where it is for the person to make room or give the right; out of service otherwise.
    const status = kind === 'full' || kind === 'read-only' ? 507 : 503;
    return send(response, { type: 'about:blank', title: 'Nothing was saved or read', status, detail: sentence });
  }
  if (error instanceof UnreadablePlan)
    return send(response, {
      type: 'about:blank',
      title: 'This version of the program cannot read that plan',
      status: 409,
      problems: error.problems,
    });
  const status = statusOf(error);
  if (status === 413) {
    const { limit } = error as { limit?: number };
    const most = limit === undefined ? '' : ` than ${Math.round(limit / 1e6)} MB`;
    return send(response, { type: 'about:blank', title: `That is more${most}`, status });
  }
  if (status === 415)
    return send(response, {
      type: 'about:blank',
      title: 'The body is written in a way that is not read here',
      status,
      detail: `${(error as Error).message}. Send UTF-8, plain, gzip or deflate.`,
    });
  // The router could not make sense of the address itself.
  if (error instanceof URIError)
    return send(response, {
      type: 'about:blank',
      title: 'The address is malformed',
      status: 400,
      detail: error.message,
    });
  if (status === 400)
    return send(response, {
      type: 'about:blank',
      title: 'The body is not JSON',
      status,
      detail: (error as Error).message,
    });
  request.log.error(error);
  send(response, { type: 'about:blank', title: 'The server could not do that', status: 500 });
};

function statusOf(error: unknown): number | undefined {
  return typeof error === 'object' && error !== null && 'status' in error ? Number(error.status) : undefined;
}
