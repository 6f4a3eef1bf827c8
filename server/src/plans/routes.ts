import { etagOf, LONGEST_PAGE, PLAN_SORTS, type PlanQuery, type PlanSaved } from '@rough-gear/contract';
import { Router } from 'express';
import Joi from 'joi';
import { basedOn } from '../http/basedOn.js';
import { bytesOf } from '../http/body.js';
import { validated } from '../http/validated.js';
import { sound, type Reader } from '../reading/reader.js';
import { askedPlan, idOf, missing, sendPlan, taken } from './current.js';
import { revisionRoutes } from './revisionRoutes.js';
import type { PlanStore } from './store.js';

const listQuery = Joi.object<PlanQuery>({
  bin: Joi.boolean().default(false),
  find: Joi.string().max(80).allow(''),
  sort: Joi.string().valid(...PLAN_SORTS),
  from: Joi.number().integer().min(0).max(1e6),
  count: Joi.number().integer().min(1).max(LONGEST_PAGE),
});

/** /api/plans: all of them, and a new one. */
export function planRoutes(store: PlanStore, reader: Reader): Router {
  const router = Router();

  router.get('/', async (request, response) => {
    response.json(await store.list(validated(listQuery, request.query, 'query')));
  });

  router.post('/', async (request, response) => {
    sendPlan(response.status(201), await store.create(await sound(reader.ask('new plan', bytesOf(request)))));
  });

  // Before the plans themselves: "bin" is no plan's id.
  router.delete('/bin', async (_request, response) => {
    response.json({ removed: await store.emptyBin() });
  });

  router.use('/:id/revisions', revisionRoutes(store, reader));
  onePlan(router, store, reader);
  return router;
}

/** /api/plans/ID */
function onePlan(router: Router, store: PlanStore, reader: Reader): void {
  router.get('/:id', async (request, response) => sendPlan(response, await askedPlan(store, reader, request)));

  router.put('/:id', async (request, response) => {
    const [at, base] = [idOf(request), basedOn(request, 'plan')];
    const before = await store.revision(at, base);
    const plan = await sound(reader.ask('plan', bytesOf(request), before?.text));
    const { id, revision, savedAt } = await taken(reader, response, await store.save(at, base, plan));
    // Without the document: whoever has just sent it has it.
    response.set('ETag', etagOf(revision)).json({ id, revision, savedAt } satisfies PlanSaved);
  });

  router.patch('/:id', async (request, response) => {
    const base = basedOn(request, 'plan');
    const { id, text } = await askedPlan(store, reader, request);
    const plan = await sound(reader.ask('renaming', bytesOf(request), text));
    sendPlan(response, await taken(reader, response, await store.save(id, base, plan)));
  });

  router.post('/:id/duplicate', async (request, response) => {
    const { text } = await askedPlan(store, reader, request);
    sendPlan(response.status(201), await store.create(await sound(reader.ask('copy', text))));
  });

  router.delete('/:id', async (request, response) => {
    if (!(await store.setDeleted(idOf(request), true))) throw missing();
    response.status(204).end();
  });

  router.post('/:id/restore', async (request, response) => {
    if (!(await store.setDeleted(idOf(request), false))) throw missing();
    response.status(204).end();
  });

  // As it lies in the file: also what this version of the program cannot read.
  router.get('/:id/raw', async (request, response) => {
    const raw = await store.raw(idOf(request));
    if (!raw) throw missing();
    response.attachment(`${raw.name}.json`).type('application/octet-stream').send(raw.text);
  });
}
