import { etagOf, partSchema, type ShelfMarks } from '@rough-gear/contract';
import type { UnitSystem } from '@rough-gear/contract/units';
import { exportCsv, importCsv } from '@rough-gear/contract/shelf-files';
import { PART_KINDS, type Part, type PartKind } from '@rough-gear/core';
import { Router, type Request, type Response } from 'express';
import Joi from 'joi';
import { basedOn } from '../http/basedOn.js';
import { HttpProblem } from '../http/problem.js';
import { validated } from '../http/validated.js';
import type { ShelfSaved, ShelfStore } from './store.js';

const kind = Joi.string().valid(...PART_KINDS);
const listQuery = Joi.object<{ kind?: PartKind; retired: boolean }>({ kind, retired: Joi.boolean().default(false) });
const fileQuery = Joi.object<{ kind: PartKind; dry: boolean; units: UnitSystem }>({
  kind: kind.required(),
  dry: Joi.boolean().default(true),
  units: Joi.string().valid('metric', 'inch').default('metric'),
});
const price = Joi.object({
  si: Joi.number().min(0).required(),
  as: Joi.string().max(80).required(),
  source: Joi.string().valid('sheet', 'typed', 'measured', 'estimated', 'typical').required(),
});
const marks = Joi.object<ShelfMarks>({
  owned: Joi.number().integer().min(0).max(9999),
  price: price.allow(null),
  common: Joi.boolean(),
  retired: Joi.boolean(),
}).min(1);

/** /api/shelf */
export function shelfRoutes(store: ShelfStore): Router {
  const router = Router();

  router.get('/', async (request, response) => {
    const query = validated(listQuery, request.query, 'query');
    response.json(await store.list(query.kind, query.retired));
  });

  router.post('/', async (request, response) => {
    response.status(201).json(await store.add(partFrom(request.body)));
  });

  router.get('/file', async (request, response) => {
    const query = validated(fileQuery, request.query, 'query');
    const file = exportCsv(query.kind, await store.list(query.kind, true), query.units);
    response.attachment(`shelf-${query.kind}.csv`).type('text/csv').send(file);
  });

  // The report is the same whether it is a dry run or not: what is not sound is not taken in, not even in part.
  router.post('/file', async (request, response) => {
    const query = validated(fileQuery, request.query, 'query');
    if (typeof request.body !== 'string')
      throw new HttpProblem(415, 'A CSV file is wanted', { detail: 'Send it as text/csv.' });
    const report = importCsv(query.kind, request.body, await store.list(query.kind, true));
    if (!query.dry && report.sound) await store.take(query.kind, report.lines);
    response.json({ ...report, taken: !query.dry && report.sound });
  });

  router.get('/imports', async (_request, response) => {
    response.json(await store.imports());
  });

  router.delete('/imports/:id', async (request, response) => {
    const back = await store.takeBack(Number(request.params['id']));
    if (!back) throw new HttpProblem(404, 'There is no such import, or it was taken back already');
    response.json(back);
  });

  router.put('/:id', async (request, response) => {
    const part = partFrom(request.body);
    send(response, await store.replace(idOf(request), basedOn(request, 'part'), part));
  });

  router.patch('/:id', async (request, response) => {
    send(response, await store.mark(idOf(request), validated(marks, request.body, 'body')));
  });

  return router;
}

const idOf = (request: Request): string => String(request.params['id']);

function partFrom(body: unknown): Part {
  const { error, value } = partSchema.validate(body, {
    convert: false,
    abortEarly: false,
    errors: { wrap: { label: false } },
  });
  if (error)
    throw new HttpProblem(422, 'This is no part', {
      problems: error.details
        .slice(0, 20)
        .map(({ path, message }) => ({ field: path.join('.') || 'part', reason: message })),
    });
  return value as Part;
}

function send(response: Response, saved: ShelfSaved): void {
  switch (saved.outcome) {
    case 'saved':
      response.set('ETag', etagOf(saved.item.revision)).json(saved.item);
      return;
    case 'missing':
      throw new HttpProblem(404, 'There is no such part on the shelf');
    case 'shipped':
      throw new HttpProblem(403, 'This part ships with the application', {
        detail: 'Its figures cannot be changed: duplicate it, and change the copy.',
      });
    case 'stale':
      throw new HttpProblem(412, 'The part has changed meanwhile', {
        detail: `It is at version ${saved.stored.revision} now: open it again.`,
      });
  }
}
