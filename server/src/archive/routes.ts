import { Router } from 'express';
import type { Database } from '../db/database.js';
import { HttpProblem } from '../http/problem.js';
import type { Reader } from '../reading/reader.js';
import { bringBack } from './bringBack.js';
import { writeArchive } from './write.js';

/** /api/archive: everything as one file, and back. `changed` is called when plans have come in. */
export function archiveRoutes(data: Database, reader: Reader, changed: () => void): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    const day = new Date().toISOString().slice(0, 10);
    response.attachment(`rough-gear-${day}.zip`).type('application/zip');
    await writeArchive(data, response);
  });

  router.post('/', async (request, response) => {
    if (!request.is('application/zip'))
      throw new HttpProblem(415, 'An archive is wanted', { detail: 'Send it as application/zip.' });
    const archive = reader.archive();
    try {
      response.json(await bringBack(data, request, archive));
    } finally {
      await archive.close();
      changed();
    }
  });

  return router;
}
