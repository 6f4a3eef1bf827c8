import {
  etagOf,
  LONGEST_PAGE,
  PLAN_SORTS,
  readPlan,
  type PlanQuery,
  type PlanSaved,
  type StoredPlan,
} from '@rough-gear/contract';
import { PLAN_FORMAT, PLAN_VERSION, type Plan } from '@rough-gear/core';
import { Router, type Request, type Response } from 'express';
import Joi from 'joi';
import { basedOn } from '../http/basedOn.js';
import { oneAtATime } from '../http/oneAtATime.js';
import { HttpProblem } from '../http/problem.js';
import { validated } from '../http/validated.js';
import { emptyPlan } from './emptyPlan.js';
import type { PlanStore, Saved } from './store.js';

const name = Joi.string().trim().min(1).max(80);
const createBody = Joi.object<{ name?: string; document?: unknown }>({ name, document: Joi.object() }).xor(
  'name',
  'document',
);
const renameBody = Joi.object<{ name: string }>({ name: name.required() });
const listQuery = Joi.object<PlanQuery>({
  bin: Joi.boolean().default(false),
  find: Joi.string().max(80).allow(''),
  sort: Joi.string().valid(...PLAN_SORTS),
  from: Joi.number().integer().min(0).max(1e6),
  count: Joi.number().integer().min(1).max(LONGEST_PAGE),
});
const planId = Joi.string().guid();
const revisionNumber = Joi.number().integer().min(1);

/** /api/plans */
export function planRoutes(store: PlanStore): Router {
  const router = Router();
  const inTurn = oneAtATime();

  router.get('/', async (request, response) => {
    response.json(await store.list(validated(listQuery, request.query, 'query')));
  });

  router.post('/', async (request, response) => {
    const body = validated(createBody, request.body, 'body');
    const made = await inTurn(() => store.create(planFrom(body.document ?? emptyPlan(body.name ?? ''))));
    sendPlan(response.status(201), made);
  });

  // Before the plans themselves: "bin" is no plan's id.
  router.delete('/bin', async (_request, response) => {
    response.json({ removed: await store.emptyBin() });
  });

  router.get('/:id', async (request, response) => sendPlan(response, await found(store, request)));

  router.put('/:id', async (request, response) => {
    const [at, base] = [idOf(request), basedOn(request, 'plan')];
    const saved = await inTurn(() => store.save(at, base, planFrom(request.body)));
    const { id, revision, savedAt } = taken(response, saved);
    // Without the document: whoever has just sent it has it.
    response.set('ETag', etagOf(revision)).json({ id, revision, savedAt } satisfies PlanSaved);
  });

  router.patch('/:id', async (request, response) => {
    const { name: renamed } = validated(renameBody, request.body, 'body');
    const stored = await found(store, request);
    const saved = await store.save(
      stored.id,
      basedOn(request, 'plan'),
      planFrom({ ...stored.document, name: renamed }),
    );
    sendPlan(response, taken(response, saved));
  });

  router.post('/:id/duplicate', async (request, response) => {
    const { document } = await found(store, request);
    sendPlan(response.status(201), await store.create({ ...document, name: `${document.name.slice(0, 74)} copy` }));
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

  router.get('/:id/revisions', async (request, response) => {
    const { id } = await found(store, request);
    response.json(await store.revisions(id));
  });

  router.get('/:id/revisions/:revision', async (request, response) => {
    const stored = await store.revision(
      idOf(request),
      validated(revisionNumber, request.params['revision'], 'revision'),
    );
    if (!stored) throw missing();
    response.json(stored);
  });

  return router;
}

function planFrom(document: unknown): Plan {
  const read = readPlan(document);
  if (!read.ok)
    throw new HttpProblem(422, `This is no plan of format ${PLAN_FORMAT}, version ${PLAN_VERSION}`, {
      problems: read.problems,
    });
  return read.plan;
}

const missing = (): HttpProblem => new HttpProblem(404, 'There is no such plan');

function idOf(request: Request): string {
  const id = String(request.params['id']);
  if (planId.validate(id).error) throw missing();
  return id;
}

async function found(store: PlanStore, request: Request): Promise<StoredPlan> {
  const stored = await store.open(idOf(request));
  if (!stored) throw missing();
  return stored;
}

function sendPlan(response: Response, plan: StoredPlan): void {
  response.set('ETag', etagOf(plan.revision)).json(plan);
}

/** A save that was taken; one that was not is a problem with what stands in its way. */
function taken(response: Response, saved: Saved | undefined): StoredPlan {
  if (!saved) throw missing();
  if (saved.ok) return saved.plan;
  response.set('ETag', etagOf(saved.stored.revision));
  throw new HttpProblem(412, 'The plan was saved by someone else in the meantime', { stored: saved.stored });
}
