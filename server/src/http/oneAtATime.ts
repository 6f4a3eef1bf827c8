import { setImmediate } from 'node:timers/promises';

/**
 * Makes work that keeps the processor wait for its own kind: between two pieces whoever else has asked is answered, so
 * that twenty who save do not stand in the way of one who reads.
 */
export function oneAtATime(): <T>(work: () => Promise<T>) => Promise<T> {
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    const turn = last.then(async () => {
      await setImmediate();
      return work();
    });
    last = turn.catch(() => undefined);
    return turn;
  };
}
