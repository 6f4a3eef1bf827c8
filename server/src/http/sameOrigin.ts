import type { RequestHandler } from 'express';
import { HttpProblem } from './problem.js';

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];
const READS = ['GET', 'HEAD', 'OPTIONS'];

/** An address of the sixth version stands in brackets wherever a port may follow it. */
export const bracketed = (host: string): string => (host.includes(':') ? `[${host}]` : host);

/**
 * Refuses requests that another site's page sends (a foreign Origin) and those that reached this
 * address under a foreign name (a foreign Host).
 */
export function sameOrigin(host: string): RequestHandler {
  const names = new Set([...LOOPBACK, bracketed(host.toLowerCase())]);
  const anyName = host === '0.0.0.0' || host === '::';
  return (request, _response, next) => {
    const asked = request.headers.host ?? '';
    // Names of machines are the same in capitals.
    if (!anyName && !names.has(asked.toLowerCase().replace(/:\d+$/, '')))
      throw new HttpProblem(421, 'This server is not known by that name', { detail: asked });
    const { origin } = request.headers;
    if (origin !== undefined && origin !== `http://${asked}` && origin !== `https://${asked}`)
      throw new HttpProblem(403, 'Requests from another origin are refused', { detail: origin });
    // A browser that sends no Origin still says when another site's page asks for a change.
    const site = request.headers['sec-fetch-site'];
    if (!READS.includes(request.method) && (site === 'cross-site' || site === 'same-site'))
      throw new HttpProblem(403, 'Requests from another origin are refused', { detail: `Sec-Fetch-Site: ${site}` });
    next();
  };
}
