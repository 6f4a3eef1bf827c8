import { PART_KINDS, type PartKind } from '@rough-gear/core';
import { Router } from 'express';
import Joi from 'joi';
import { HttpProblem } from '../http/problem.js';
import type { ShelfStore } from './store.js';

const query = Joi.object<{ kind?: PartKind }>({ kind: Joi.string().valid(...PART_KINDS) });

/** /api/shelf */
export function shelfRoutes(store: ShelfStore): Router {
  const router = Router();
  router.get('/', async (request, response) => {
    const { error, value } = query.validate(request.query);
    if (error)
      throw new HttpProblem(400, 'The request is not understood', {
        problems: [{ field: 'query.kind', reason: error.message }],
      });
    response.json(await store.list(value.kind));
  });
  return router;
}
