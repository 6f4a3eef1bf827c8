import { statfs } from 'node:fs/promises';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { listBackups } from './backup/backups.js';
import type { DailyBackups } from './backup/daily.js';
import type { Database } from './db/database.js';
import { HealthEntity, RevisionEntity } from './db/entities.js';
import { StorageProblem } from './db/failure.js';
import { SCHEMA } from './db/migrations/index.js';
import { VERSION } from './version.js';

/** What the health answer says. */
interface Health {
  readonly ok: boolean;
  readonly version: string;
  /** The last change of the tables. */
  readonly schema: string;
  /** Saves of plans that are kept. */
  readonly revisions?: number;
  /** Room on the disk that holds the data, bytes. */
  readonly freeBytes?: number;
  /** When the newest backup was made; absent where there is none. */
  readonly newestBackup?: string;
  /** Its age in hours. */
  readonly backupAgeHours?: number;
  /** Why the last backup could not be made. */
  readonly backupFailure?: string;
  /** Why it cannot save, and what to do. */
  readonly detail?: string;
}

/** As much as a large plan takes, bytes: a disk on which a number fits may be full for whoever saves. */
const AS_A_PLAN = 1_000_000;
/** The row that is written for that, and taken away again. */
const TRIED = 2;

/** Sees, once the disk was full, whether a plan fits again. */
async function tryRoom(data: Database): Promise<void> {
  await data.write((manager) =>
    manager.query('INSERT OR REPLACE INTO "health" ("id", "asked") VALUES (?, zeroblob(?))', [TRIED, AS_A_PLAN]),
  );
  data.wasFull = false;
  await data.write((manager) => manager.delete(HealthEntity, { id: TRIED }));
}

/**
 * /api/health: writes and reads back what was written, on the same way as every save. 503 where that cannot be done; once
 * the disk was full, until as much as a plan fits.
 */
export function healthRoutes(data: Database, folder: string, backups: DailyBackups): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    const newest = listBackups(folder)[0]?.madeAt;
    const always = {
      version: VERSION,
      schema: SCHEMA,
      freeBytes: await freeBytes(folder),
      newestBackup: newest,
      backupAgeHours: newest === undefined ? undefined : Math.round((Date.now() - Date.parse(newest)) / 360_000) / 10,
      backupFailure: backups.failure,
    };
    try {
      if (data.wasFull) await tryRoom(data);
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

/** Room on the disk that holds a folder; unknown where the system does not say. */
export async function freeBytes(folder: string): Promise<number | undefined> {
  try {
    const { bavail, bsize } = await statfs(folder);
    return bavail * bsize;
  } catch {
    return undefined;
  }
}
