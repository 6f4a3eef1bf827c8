import { etagOf, type StoredTrial } from '@rough-gear/contract';
import { BOOK_FORMAT, bookSchema, readTrial, takingSchema } from '@rough-gear/contract/bench';
import type { Trial } from '@rough-gear/core';
import { Router, type Request, type Response } from 'express';
import Joi from 'joi';
import { basedOn } from '../http/basedOn.js';
import { HttpProblem } from '../http/problem.js';
import { validated } from '../http/validated.js';
import { Writers } from './writers.js';
import { BookFull, type TrialSaved, type TrialStore } from './store.js';

const missing = (): HttpProblem => new HttpProblem(404, 'There is no such trial');
const trialId = Joi.string().guid();

/** /api/trials: the bench book. */
export function trialRoutes(store: TrialStore): Router {
  const router = Router();
  const writers = new Writers();

  router.get('/', async (_request, response) => {
    response.json(await store.list());
  });

  router.post('/', async (request, response) => {
    try {
      send(response.status(201), await store.add(trialFrom(request.body)));
    } catch (problem) {
      if (problem instanceof BookFull) throw new HttpProblem(409, 'The bench book is full');
      throw problem;
    }
  });

  // Before the trials themselves: "book" is no trial's id.
  router.get('/book', async (_request, response) => {
    response.attachment('bench-book.json').type('application/json');
    response.write(`{"format":"${BOOK_FORMAT}","trials":[`);
    let first = true;
    for await (const { id, trial, takings } of store.all()) {
      response.write((first ? '\n' : ',\n') + JSON.stringify({ id, trial, takings }));
      first = false;
    }
    response.end('\n]}\n');
  });

  router.post('/book', async (request, response) => {
    const book = validated(bookSchema, request.body, 'book');
    const refused: string[] = [];
    const sound = book.trials.flatMap(({ id, trial, takings = [] }) => {
      const read = readTrial(trial);
      if (read.ok) return [{ id, trial: read.trial, takings }];
      const [first] = read.problems;
      refused.push(`${id}: ${first?.field ?? ''} ${first?.reason ?? ''}`);
      return [];
    });
    const brought = await store.bring(sound);
    response.json({ ...brought, refused: [...refused, ...brought.refused] });
  });

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
    const trial = trialFrom(request.body);
    if (trial.closedAt !== undefined && !anyway && writers.othersWrite(id, from)) throw othersWrite();
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
    const stored = await store.take(idOf(request), validated(takingSchema, request.body, 'taking'));
    if (!stored) throw missing();
    response.json(stored.takings);
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

function trialFrom(document: unknown): Trial {
  const read = readTrial(document);
  if (!read.ok) throw new HttpProblem(422, 'This is no trial', { problems: read.problems });
  return read.trial;
}

function taken(response: Response, saved: TrialSaved): StoredTrial {
  if (saved.outcome === 'missing') throw missing();
  if (saved.outcome === 'closed') throw closed();
  if (saved.outcome === 'another') throw new HttpProblem(422, 'A trial keeps its kind and its beginning');
  if (saved.outcome === 'saved') return saved.stored;
  response.set('ETag', etagOf(saved.stored.revision));
  throw stale();
}

function send(response: Response, stored: StoredTrial): void {
  response.set('ETag', etagOf(stored.revision)).json(stored);
}
