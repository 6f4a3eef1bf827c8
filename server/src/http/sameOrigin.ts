import type { RequestHandler } from 'express';
import { HttpProblem } from './problem.js';

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

/**
 * Refuses requests that another site's page sends (a foreign Origin) and those that reached this
 * address under a foreign name (a foreign Host).
 */
export function sameOrigin(host: string): RequestHandler {
  const names = new Set([...LOOPBACK, host]);
  const anyName = host === '0.0.0.0' || host === '::';
  return (request, _response, next) => {
    const asked = request.headers.host ?? '';
    if (!anyName && !names.has(asked.replace(/:\d+$/, '')))
      throw new HttpProblem(421, 'This server is not known by that name', { detail: asked });
    const { origin } = request.headers;
    if (origin !== undefined && origin !== `http://${asked}` && origin !== `https://${asked}`)
      throw new HttpProblem(403, 'Requests from another origin are refused', { detail: origin });
    next();
  };
}
