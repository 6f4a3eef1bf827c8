import { statfs } from 'node:fs/promises';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import type { Database } from './db/database.js';
import { HealthEntity, RevisionEntity } from './db/entities.js';
import { StorageProblem } from './db/failure.js';
import { SCHEMA } from './db/open.js';
import { VERSION } from './version.js';

/** What the health answer says. */
export interface Health {
  readonly ok: boolean;
  readonly version: string;
  /** The last change of the tables. */
  readonly schema: string;
  /** Saves of plans that are kept. */
  readonly revisions?: number;
  /** Room on the disk that holds the data, bytes. */
  readonly freeBytes?: number;
  /** Why it cannot save, and what to do. */
  readonly detail?: string;
}

/**
 * /api/health: writes and reads back what was written, on the same way as every save. 503 where that cannot be done.
 */
export function healthRoutes(data: Database, folder: string): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    const always = { version: VERSION, schema: SCHEMA, freeBytes: await freeBytes(folder) };
    try {
      const written = await data.write(async (manager) => {
        await manager.increment(HealthEntity, { id: 1 }, 'asked', 1);
        return asked(manager);
      });
      const revisions = await data.read(async (manager) => {
        if ((await asked(manager)) < written) throw new Error('what was written is not there');
        return manager.count(RevisionEntity);
      });
      response.json({ ok: true, ...always, revisions } satisfies Health);
    } catch (problem) {
      const detail = problem instanceof StorageProblem ? problem.failure.sentence : 'The data cannot be written now.';
      response.status(503).json({ ok: false, ...always, detail } satisfies Health);
    }
  });
  return router;
}

const asked = async (manager: EntityManager): Promise<number> =>
  (await manager.findOneByOrFail(HealthEntity, { id: 1 })).asked;

async function freeBytes(folder: string): Promise<number | undefined> {
  try {
    const { bavail, bsize } = await statfs(folder);
    return bavail * bsize;
  } catch {
    return undefined;
  }
}
