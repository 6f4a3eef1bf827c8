import type { RequestHandler } from 'express';
import { HttpProblem } from './problem.js';

export const READS = ['GET', 'HEAD', 'OPTIONS'];

const LONGEST_SAID = 100;

/**
 * Refuses requests that reached this server under a name that is not its own (as by a name server that lies), and those
 * that another site's page sends. Behind a proxy that is trusted the name is the one that was asked of the proxy.
 */
export function sameOrigin(names: ReadonlySet<string>): RequestHandler {
  return (request, _response, next) => {
    const asked = request.host ?? '';
    // Names of machines are the same in capitals.
    if (!names.has(asked.toLowerCase().replace(/:\d+$/, '')))
      throw new HttpProblem(421, 'This server is not known by that name', {
        detail: `${asked.slice(0, LONGEST_SAID)}: names it answers to are set by ROUGH_GEAR_HOSTS.`,
      });
    const { origin } = request.headers;
    if (origin !== undefined && origin !== `http://${asked}` && origin !== `https://${asked}`)
      throw new HttpProblem(403, 'Requests from another origin are refused', { detail: origin.slice(0, LONGEST_SAID) });
    // A browser that sends no Origin still says when another site's page asks for a change.
    const site = request.headers['sec-fetch-site'];
    if (!READS.includes(request.method) && (site === 'cross-site' || site === 'same-site'))
      throw new HttpProblem(403, 'Requests from another origin are refused', { detail: `Sec-Fetch-Site: ${site}` });
    next();
  };
}
