import { revisionOf } from '@rough-gear/contract';
import type { Request } from 'express';
import { HttpProblem } from './problem.js';

/** The revision a save is based on, from If-Match: without it nothing could be kept from being lost. */
export function basedOn(request: Request, what: string): number {
  const header = request.headers['if-match'];
  if (header === undefined) throw new HttpProblem(428, 'A save must say by If-Match which revision it is based on');
  const revision = revisionOf(header);
  if (revision === undefined) throw new HttpProblem(400, `If-Match is not a revision of a ${what}`, { detail: header });
  return revision;
}
