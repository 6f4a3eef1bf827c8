import { etagOf } from '@rough-gear/contract';
import type { UnitSystem } from '@rough-gear/contract/units';
import { exportCsv } from '@rough-gear/contract/shelf-files';
import { PART_KINDS, type PartKind } from '@rough-gear/core';
import { Router, type Request, type Response } from 'express';
import Joi from 'joi';
import { basedOn } from '../http/basedOn.js';
import { bytesOf } from '../http/body.js';
import { HttpProblem } from '../http/problem.js';
import { jsonWith, sendJson } from '../http/rawJson.js';
import { validated } from '../http/validated.js';
import { sound, type Reader } from '../reading/reader.js';
import type { ShelfSaved, ShelfStore } from './store.js';

const kind = Joi.string().valid(...PART_KINDS);
const listQuery = Joi.object<{ kind?: PartKind; retired: boolean }>({ kind, retired: Joi.boolean().default(false) });
const fileQuery = Joi.object<{ kind: PartKind; dry: boolean; units: UnitSystem }>({
  kind: kind.required(),
  dry: Joi.boolean().default(true),
  units: Joi.string().valid('metric', 'inch').default('metric'),
});
/** /api/shelf */
export function shelfRoutes(store: ShelfStore, reader: Reader): Router {
  const router = Router();

  router.get('/', async (request, response) => {
    const query = validated(listQuery, request.query, 'query');
    const items = (await store.rows(query.kind, query.retired)).map(
      ({ id, revision, part, shipped, common, retired }) =>
        jsonWith({ id, revision, own: shipped === null, common: Boolean(common), retired: Boolean(retired) }, { part }),
    );
    sendJson(response, `[${items.join(',')}]`);
  });

  router.post('/', async (request, response) => {
    response.status(201).json(await store.add(await sound(reader.ask('part', bytesOf(request)))));
  });

  router.get('/file', async (request, response) => {
    const query = validated(fileQuery, request.query, 'query');
    const file = exportCsv(query.kind, await store.list(query.kind, true), query.units);
    response.attachment(`shelf-${query.kind}.csv`).type('text/csv').send(file);
  });

  // The report is the same whether it is a dry run or not: what is not sound is not taken in, not even in part.
  router.post('/file', async (request, response) => {
    const query = validated(fileQuery, request.query, 'query');
    if (!request.is('text/csv')) throw new HttpProblem(415, 'A CSV file is wanted', { detail: 'Send it as text/csv.' });
    const shelf = await store.rows(query.kind, true);
    const sheet = await reader.ask('sheet', query.kind, bytesOf(request), shelf, query.dry);
    if (sheet.lines.length > 0) await store.take(query.kind, sheet.lines);
    sendJson(response, sheet.report);
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
    const part = await sound(reader.ask('part', bytesOf(request)));
    send(response, await store.replace(idOf(request), basedOn(request, 'part'), part));
  });

  router.patch('/:id', async (request, response) => {
    send(response, await store.mark(idOf(request), await sound(reader.ask('marks', bytesOf(request)))));
  });

  return router;
}

const idOf = (request: Request): string => String(request.params['id']);

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
