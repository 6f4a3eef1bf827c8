import { connect } from 'node:net';
import { Router } from 'express';
import { HttpProblem } from '../http/problem.js';

/** No rig answers for so long, ms. */
const PATIENCE = 3000;
/** So many may listen at once: each holds a connection to the rig. */
const MOST_LISTENERS = 16;
/** A rig may be silent for as long as it likes: an empty line this often, ms, says that it is still there. */
const LINE_OF_LIFE = 15_000;
const END_OF_LINE = 0x0a;

/**
 * /api/rig: lines of a rig that stands on this machine, handed on as they come. Only this machine's own port is asked, and
 * which one only its settings say: a page cannot send this server anywhere else.
 */
export function rigRoutes(port: number, lineOfLife = LINE_OF_LIFE): Router {
  const router = Router();
  let listeners = 0;
  router.get('/lines', (_request, response, next) => {
    if (listeners >= MOST_LISTENERS) throw new HttpProblem(503, `${MOST_LISTENERS} listen to the rig already`);
    listeners++;
    const rig = connect({ host: '127.0.0.1', port });
    const waiting = setTimeout(() => rig.destroy(new Error('it does not answer')), PATIENCE);
    let opened = false;
    let lineEnded = true;
    rig.once('connect', () => {
      clearTimeout(waiting);
      opened = true;
      // Each line at once: none waits for more to be packed with it.
      response.type('text/plain').set('Cache-Control', 'no-store, no-transform');
      response.flushHeaders();
      // Backpressure: a rig that is faster than whoever listens is read no faster than that.
      rig.pipe(response);
    });
    rig.on('data', (piece) => (lineEnded = piece[piece.length - 1] === END_OF_LINE));
    const living = setInterval(() => {
      if (opened && lineEnded && !response.writableNeedDrain) response.write('\n');
    }, lineOfLife);
    rig.once('error', (problem) => {
      if (opened) response.destroy();
      else
        next(
          new HttpProblem(502, 'There is no rig on this machine', {
            detail: `port ${port}: ${problem.message}. Start the simulated one with npm run rig, or set ROUGH_GEAR_RIG.`,
          }),
        );
    });
    // However it ends: the rig may be gone, or whoever listened.
    rig.once('close', () => {
      clearTimeout(waiting);
      clearInterval(living);
      listeners--;
    });
    response.once('close', () => rig.destroy());
  });
  return router;
}
