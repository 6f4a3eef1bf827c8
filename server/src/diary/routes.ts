import { readEntries } from '@rough-gear/contract/diary';
import { Router, type Request } from 'express';
import Joi from 'joi';
import { HttpProblem } from '../http/problem.js';
import { validated } from '../http/validated.js';
import type { DiaryStore } from './store.js';

const missing = (): HttpProblem => new HttpProblem(404, 'There is no such robot');
const planId = Joi.string().guid();

/** /api/diary/ROBOT: what was ordered, typed in, ticked and played. */
export function diaryRoutes(store: DiaryStore): Router {
  const router = Router();

  // Before the robots themselves: "faults" is no robot's id.
  router.get('/faults', async (_request, response) => {
    response.json({ faults: await store.faults() });
  });

  router.get('/:planId', async (request, response) => {
    const news = await store.news(idOf(request), sinceOf(request));
    if (!news) throw missing();
    response.json(news);
  });

  // Sent twice it is there once: a phone that got no answer sends again.
  router.post('/:planId', async (request, response) => {
    const read = readEntries((request.body as { entries?: unknown } | undefined)?.entries);
    if (!read.ok) throw new HttpProblem(422, 'This is no entry of a diary', { problems: read.problems });
    const came = await store.add(idOf(request), read.entries, { since: sinceOf(request) });
    if (came.outcome === 'missing') throw missing();
    if (came.outcome === 'full') throw new HttpProblem(409, 'The diary of this robot is full');
    if (came.outcome === 'elsewhere')
      throw new HttpProblem(409, 'An entry has the id of one of another robot', { detail: came.id });
    response.json(came.news);
  });

  return router;
}

const sinceQuery = Joi.object<{ readonly since?: string }>({ since: Joi.string().max(80).allow('') });
const sinceOf = (request: Request): string | undefined => validated(sinceQuery, request.query, 'query').since;

function idOf(request: Request): string {
  const id = String(request.params['planId']);
  if (planId.validate(id).error) throw missing();
  return id;
}
