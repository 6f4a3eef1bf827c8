import { etagOf } from '@rough-gear/contract';
import { Router, type Request, type Response } from 'express';
import Joi from 'joi';
import { basedOn } from '../http/basedOn.js';
import { bytesOf } from '../http/body.js';
import { HttpProblem } from '../http/problem.js';
import { jsonWith, sendJson } from '../http/rawJson.js';
import { validated } from '../http/validated.js';
import { sound, type Reader } from '../reading/reader.js';
import { bookRoutes } from './bookRoutes.js';
import { Writers } from './writers.js';
import { BookFull, type TrialAt, type TrialSaved, type TrialStore, type TrialStored } from './store.js';

const missing = (): HttpProblem => new HttpProblem(404, 'There is no such trial');
const trialId = Joi.string().guid();

/** /api/trials: the bench book. */
export function trialRoutes(store: TrialStore, reader: Reader): Router {
  const router = Router();
  const writers = new Writers();

  router.get('/', async (_request, response) => {
    response.json(await store.list());
  });

  router.post('/', async (request, response) => {
    const trial = await sound(reader.ask('trial', bytesOf(request)));
    try {
      send(response.status(201), await store.add(trial));
    } catch (problem) {
      if (problem instanceof BookFull) throw new HttpProblem(409, 'The bench book is full');
      throw problem;
    }
  });

  // Before the trials themselves: "book" is no trial's id.
  router.use('/book', bookRoutes(store, reader));

  router.get('/:id', async (request, response) => {
    const { than } = validated(newerQuery, request.query, 'query');
    const stored = await store.open(idOf(request));
    if (!stored) throw missing();
    // Who looks again and again for rows of others is told in a word that there are none.
    if (stored.revision === than) response.status(204).end();
    else send(response, stored);
  });

  router.put('/:id', async (request, response) => {
    const [id, base] = [idOf(request), basedOn(request, 'trial')];
    const { from = '', anyway } = validated(writerQuery, request.query, 'query');
    const trial = await sound(reader.ask('trial', bytesOf(request)));
    if (trial.head.closedAt !== undefined && !anyway && writers.othersWrite(id, from)) throw othersWrite();
    const { revision, savedAt } = taken(response, await store.save(id, base, trial));
    writers.wrote(id, from);
    response.set('ETag', etagOf(revision)).json({ id, revision, savedAt });
  });

  router.delete('/:id', async (request, response) => {
    const came = await store.remove(idOf(request), basedOn(request, 'trial'));
    if (came === 'missing') throw missing();
    if (came === 'closed') throw closed();
    if (came === 'stale') throw stale();
    response.status(204).end();
  });

  router.post('/:id/takings', async (request, response) => {
    const takings = await store.take(idOf(request), await sound(reader.ask('taking', bytesOf(request))));
    if (!takings) throw missing();
    response.json(takings);
  });

  return router;
}

const newerQuery = Joi.object<{ readonly than?: number }>({ than: Joi.number().integer().min(0) });
const writerQuery = Joi.object<{ readonly from?: string; readonly anyway?: boolean }>({
  from: Joi.string().max(64),
  anyway: Joi.boolean(),
});

const stale = (): HttpProblem => new HttpProblem(412, 'The trial was changed by someone else in the meantime');
const othersWrite = (): HttpProblem => new HttpProblem(409, 'Another device wrote in this trial a moment ago.');
const closed = (): HttpProblem =>
  new HttpProblem(409, 'The trial is closed: what was measured stays as it is', {
    detail: 'Begin another one to measure again.',
  });

function idOf(request: Request): string {
  const id = String(request.params['id']);
  if (trialId.validate(id).error) throw missing();
  return id;
}

function taken(response: Response, saved: TrialSaved): TrialAt {
  if (saved.outcome === 'missing') throw missing();
  if (saved.outcome === 'closed') throw closed();
  if (saved.outcome === 'another') throw new HttpProblem(422, 'A trial keeps its kind and its beginning');
  if (saved.outcome === 'saved') return saved.stored;
  response.set('ETag', etagOf(saved.stored.revision));
  throw stale();
}

function send(response: Response, { id, revision, savedAt, document, takings }: TrialStored): void {
  response.set('ETag', etagOf(revision));
  sendJson(response, jsonWith({ id, revision, savedAt }, { trial: document, takings }));
}
