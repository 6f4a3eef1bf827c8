import { Router } from 'express';
import { bytesOf } from '../http/body.js';
import { drained } from '../http/drained.js';
import { jsonWith } from '../http/rawJson.js';
import { sound, type Reader } from '../reading/reader.js';
import { BOOK_AROUND } from './reading.js';
import type { TrialStore } from './store.js';

/** /api/trials/book: the whole book as a file, and back. */
export function bookRoutes(store: TrialStore, reader: Reader): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.attachment('bench-book.json').type('application/json');
    const [before, after] = BOOK_AROUND;
    response.write(before);
    let between = '\n';
    for await (const { id, document, takings } of store.all()) {
      response.write(between + jsonWith({ id }, { trial: document, takings }));
      between = ',\n';
      await drained(response);
    }
    response.end(after);
  });

  router.post('/', async (request, response) => {
    const book = await sound(reader.ask('book', bytesOf(request)));
    const brought = await store.bring(book.sound);
    response.json({ ...brought, refused: [...book.refused, ...brought.refused] });
  });

  return router;
}
