import {
  etagOf,
  LONGEST_PAGE,
  PLAN_SORTS,
  type PlanQuery,
  type PlanSaved,
  type RevisionSummary,
  type StoredPlan,
} from '@rough-gear/contract';
import { Router, type Request, type Response } from 'express';
import Joi from 'joi';
import { basedOn } from '../http/basedOn.js';
import { bytesOf } from '../http/body.js';
import { HttpProblem } from '../http/problem.js';
import { jsonWith, sendJson } from '../http/rawJson.js';
import { validated } from '../http/validated.js';
import { sound, type Reader } from '../reading/reader.js';
import type { PlanStore, PlanStored, SaveRow, Saved } from './store.js';

/** Of so many saves it is told what was done in each: one has to be read for each that is not worked out. */
const TOLD = 60;

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
export function planRoutes(store: PlanStore, reader: Reader): Router {
  const router = Router();

  /** A plan that is in use, its document as this version writes it. */
  async function found(request: Request): Promise<PlanStored> {
    const stored = await store.open(idOf(request));
    if (!stored) throw missing();
    return current(stored);
  }

  const current = async (stored: PlanStored): Promise<PlanStored> => {
    const { text } = await sound(reader.ask('stored plan', stored.text));
    return { ...stored, text };
  };

  /** A save that was taken; one that was not is a problem with what stands in its way. */
  async function taken(response: Response, saved: Saved | undefined): Promise<PlanStored> {
    if (!saved) throw missing();
    if (saved.ok) return saved.plan;
    const { text, ...stored } = await current(saved.stored);
    response.set('ETag', etagOf(stored.revision));
    throw new HttpProblem(412, 'The plan was saved by someone else in the meantime', {
      stored: { ...stored, document: JSON.parse(text) as StoredPlan['document'] },
    });
  }

  /** What was done in a save, worked out where it is not written yet. */
  async function changedIn(
    id: string,
    { revision, changed }: SaveRow,
    before?: SaveRow,
  ): Promise<readonly string[] | undefined> {
    if (!before) return undefined;
    if (changed !== null) return JSON.parse(changed) as readonly string[];
    const [older, newer] = [await store.revision(id, before.revision), await store.revision(id, revision)];
    if (!older || !newer) return undefined;
    const lines = await reader.ask('what changed', older.text, newer.text);
    if (lines) await store.keepChanged(id, revision, lines);
    return lines;
  }

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

  router.get('/:id', async (request, response) => sendPlan(response, await found(request)));

  router.put('/:id', async (request, response) => {
    const [at, base] = [idOf(request), basedOn(request, 'plan')];
    const before = await store.revision(at, base);
    const plan = await sound(reader.ask('plan', bytesOf(request), before?.text));
    const { id, revision, savedAt } = await taken(response, await store.save(at, base, plan));
    // Without the document: whoever has just sent it has it.
    response.set('ETag', etagOf(revision)).json({ id, revision, savedAt } satisfies PlanSaved);
  });

  router.patch('/:id', async (request, response) => {
    const base = basedOn(request, 'plan');
    const { id, text } = await found(request);
    const plan = await sound(reader.ask('renaming', bytesOf(request), text));
    sendPlan(response, await taken(response, await store.save(id, base, plan)));
  });

  router.post('/:id/duplicate', async (request, response) => {
    const { text } = await found(request);
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

  router.get('/:id/revisions', async (request, response) => {
    const { id } = await found(request);
    const rows = await store.revisions(id);
    const told: RevisionSummary[] = [];
    for (const [i, row] of rows.entries()) {
      const changed = i < TOLD ? await changedIn(id, row, rows[i + 1]) : undefined;
      told.push({ revision: row.revision, savedAt: row.savedAt, ...(changed ? { changed } : {}) });
    }
    response.json(told);
  });

  router.get('/:id/revisions/:revision', async (request, response) => {
    const stored = await store.revision(
      idOf(request),
      validated(revisionNumber, request.params['revision'], 'revision'),
    );
    if (!stored) throw missing();
    sendJson(response, planJson(await current(stored)));
  });

  return router;
}

const missing = (): HttpProblem => new HttpProblem(404, 'There is no such plan');

function idOf(request: Request): string {
  const id = String(request.params['id']);
  if (planId.validate(id).error) throw missing();
  return id;
}

const planJson = ({ text, ...rest }: PlanStored): string => jsonWith({ ...rest }, { document: text });

function sendPlan(response: Response, plan: PlanStored): void {
  response.set('ETag', etagOf(plan.revision));
  sendJson(response, planJson(plan));
}
