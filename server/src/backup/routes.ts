import { statSync } from 'node:fs';
import type { DataState } from '@rough-gear/contract';
import { Router } from 'express';
import { IsNull, Not } from 'typeorm';
import type { Database } from '../db/database.js';
import { PlanEntity, RevisionEntity, ShelfEntity } from '../db/entities.js';
import { StorageProblem, storageFailureOf } from '../db/failure.js';
import { fileIn } from '../db/open.js';
import { freeBytes } from '../health.js';
import { HttpProblem } from '../http/problem.js';
import { backupFile, backupFolder, listBackups, makeBackup } from './backups.js';
import type { DailyBackups } from './daily.js';

/** /api/data: what is held here, and its backups. */
export function dataRoutes(data: Database, folder: string, daily: DailyBackups): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    const counts = await data.read(async (manager) => ({
      plans: await manager.countBy(PlanEntity, { deletedAt: IsNull() }),
      binned: await manager.countBy(PlanEntity, { deletedAt: Not(IsNull()) }),
      revisions: await manager.count(RevisionEntity),
      parts: await manager.count(ShelfEntity),
    }));
    response.json({
      ...counts,
      bytes: sizeOf(folder),
      freeBytes: await freeBytes(folder),
      folder: backupFolder(folder),
      backups: listBackups(folder),
      backupFailure: daily.failure,
    } satisfies DataState);
  });

  router.post('/backups', async (_request, response) => {
    try {
      response.status(201).json(await makeBackup(folder, 'by-hand', (file) => data.copyTo(file)));
    } catch (problem) {
      const failure = storageFailureOf(problem);
      throw failure ? new StorageProblem(failure, problem) : problem;
    }
  });

  router.get('/backups/:name', (request, response) => {
    const file = backupFile(folder, request.params.name);
    if (!file) throw new HttpProblem(404, 'There is no such backup');
    response.download(file);
  });

  return router;
}

/** Of the data and its log. */
const sizeOf = (folder: string): number =>
  ['', '-wal'].reduce(
    (sum, end) => sum + (statSync(`${fileIn(folder)}${end}`, { throwIfNoEntry: false })?.size ?? 0),
    0,
  );
