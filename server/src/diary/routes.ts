import { Router, type Request, type Response } from 'express';
import Joi from 'joi';
import { bytesOf } from '../http/body.js';
import { HttpProblem } from '../http/problem.js';
import { sendList } from '../http/rawJson.js';
import { validated } from '../http/validated.js';
import { sound, type Reader } from '../reading/reader.js';
import type { DiaryStore, News } from './store.js';

const missing = (): HttpProblem => new HttpProblem(404, 'There is no such robot');
const planId = Joi.string().guid();

/** /api/diary/ROBOT: what was ordered, typed in, ticked and played. */
export function diaryRoutes(store: DiaryStore, reader: Reader): Router {
  const router = Router();

  // Before the robots themselves: "faults" is no robot's id.
  router.get('/faults', async (_request, response) => {
    response.json({ faults: await store.faults() });
  });

  router.get('/', async (_request, response) => {
    response.json(await store.lengths());
  });

  // What was put away, as a file.
  router.get('/:planId/put-away', async (request, response) => {
    const planId = idOf(request);
    const entries = await store.putAway(planId);
    response.attachment('diary-put-away.json');
    await sendList(response, { planId }, 'entries', entries);
  });

  router.post('/:planId/put-away', async (request, response) => {
    const planId = idOf(request);
    const news = await store.news(planId);
    if (!news) throw missing();
    const ids = await reader.ask('overtaken', news.entries);
    await store.putLinesAway(planId, ids);
    response.json({ putAway: ids.length });
  });

  router.get('/:planId', async (request, response) => {
    const news = await store.news(idOf(request), sinceOf(request));
    if (!news) throw missing();
    await sendNews(response, news);
  });

  // Sent twice it is there once: a phone that got no answer sends again.
  router.post('/:planId', async (request, response) => {
    const entries = await sound(reader.ask('entries', bytesOf(request)));
    const came = await store.add(idOf(request), entries, { since: sinceOf(request) });
    if (came.outcome === 'missing') throw missing();
    if (came.outcome === 'full') throw new HttpProblem(409, 'The diary of this robot is full');
    if (came.outcome === 'elsewhere')
      throw new HttpProblem(409, 'An entry has the id of one of another robot', { detail: came.id });
    await sendNews(response, came.news);
  });

  return router;
}

const sendNews = (response: Response, { entries, cursor, whole }: News): Promise<void> =>
  sendList(response, { cursor, whole }, 'entries', entries);

const sinceQuery = Joi.object<{ readonly since?: string }>({ since: Joi.string().max(80).allow('') });
const sinceOf = (request: Request): string | undefined => validated(sinceQuery, request.query, 'query').since;

function idOf(request: Request): string {
  const id = String(request.params['planId']);
  if (planId.validate(id).error) throw missing();
  return id;
}
