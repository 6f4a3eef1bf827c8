import type { RevisionSummary } from '@rough-gear/contract';
import { Router } from 'express';
import Joi from 'joi';
import { validated } from '../http/validated.js';
import type { Reader } from '../reading/reader.js';
import { askedPlan, current, idOf, missing, sendPlan } from './current.js';
import type { PlanStore, SaveRow } from './store.js';

/** Of so many saves it is told what was done in each: one has to be read for each that is not worked out. */
const TOLD = 60;
const revisionNumber = Joi.number().integer().min(1);

/** /api/plans/ID/revisions: the saves of a plan that are kept. */
export function revisionRoutes(store: PlanStore, reader: Reader): Router {
  const router = Router({ mergeParams: true });

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
    const { id } = await askedPlan(store, reader, request);
    const rows = await store.revisions(id);
    const told: RevisionSummary[] = [];
    for (const [i, row] of rows.entries()) {
      const changed = i < TOLD ? await changedIn(id, row, rows[i + 1]) : undefined;
      told.push({ revision: row.revision, savedAt: row.savedAt, ...(changed ? { changed } : {}) });
    }
    response.json(told);
  });

  router.get('/:revision', async (request, response) => {
    const params: Readonly<Record<string, string>> = request.params;
    const stored = await store.revision(idOf(request), validated(revisionNumber, params['revision'], 'revision'));
    if (!stored) throw missing();
    sendPlan(response, await current(reader, stored));
  });

  return router;
}
