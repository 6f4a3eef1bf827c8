import express, { type Request, type RequestHandler } from 'express';
import { HttpProblem } from './problem.js';

/** A body of JSON as its bytes: they are read where that keeps nobody waiting. */
export function bytes(limit: string): readonly RequestHandler[] {
  return [express.raw({ type: 'application/json', limit }), utf8];
}

/** Nothing else than UTF-8 is JSON. */
const utf8: RequestHandler = (request, _response, next) => {
  const charset = /;\s*charset="?([^";\s]+)/i.exec(request.headers['content-type'] ?? '')?.[1]?.toLowerCase();
  if (Buffer.isBuffer(request.body) && charset !== undefined && charset !== 'utf-8')
    throw new HttpProblem(415, 'The body is written in a way that is not read here', {
      detail: `unsupported charset “${charset}”. Send UTF-8, plain, gzip or deflate.`,
    });
  next();
};

/** The bytes of a body; none where there was none, or one that is no JSON. */
export function bytesOf(request: Request): Uint8Array {
  const body: unknown = request.body;
  return Buffer.isBuffer(body) ? body : new Uint8Array(0);
}
