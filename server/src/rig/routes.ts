import { connect } from 'node:net';
import { Router } from 'express';
import { HttpProblem } from '../http/problem.js';

/** No rig answers for so long, ms. */
const PATIENCE = 3000;

/**
 * /api/rig: lines of a rig that stands on this machine, handed on as they come. Only this machine's own port is asked, and
 * which one only its settings say: a page cannot send this server anywhere else.
 */
export function rigRoutes(port: number): Router {
  const router = Router();
  router.get('/lines', (_request, response, next) => {
    const rig = connect({ host: '127.0.0.1', port });
    const waiting = setTimeout(() => rig.destroy(new Error('it does not answer')), PATIENCE);
    let opened = false;
    rig.once('connect', () => {
      clearTimeout(waiting);
      opened = true;
      // Each line at once: none waits for more to be packed with it.
      response.type('text/plain').set('Cache-Control', 'no-store, no-transform');
      response.flushHeaders();
    });
    rig.on('data', (piece) => response.write(piece));
    rig.once('end', () => response.end());
    rig.once('error', (problem) => {
      clearTimeout(waiting);
      if (opened) response.destroy();
      else
        next(
          new HttpProblem(502, 'There is no rig on this machine', {
            detail: `port ${port}: ${problem.message}. Start the simulated one with npm run rig, or set ROUGH_GEAR_RIG.`,
          }),
        );
    });
    response.once('close', () => rig.destroy());
  });
  return router;
}
