import { performance } from 'node:perf_hooks';
import { LOTS, mergeShortlists, searchShortlist, type Shortlist, type ShortlistQuery } from '@rough-gear/core';
import { plan, shelf } from './demo.js';
import { leastMs, multipleOf, round } from './least.js';

/** The shortlist of a mechanism over the whole shelf: each lot is one worker's share, and both run at once. */
export function shortlist(bareMs: number, id: string) {
  const jobId = plan.mechanisms.find((mechanism) => mechanism.id === id)!.jobs[0]!.id;
  const query: ShortlistQuery = {
    mechanismId: id,
    jobId,
    scope: 'everything',
    ownedOnly: false,
    mostMotors: 4,
    packs: 'mine',
    from: 1,
    to: 300,
    wants: ['time', 'mass', 'price', 'current', 'margin'],
  };
  let firstAnswerMs = Infinity;
  const lots = Array.from({ length: LOTS }, (_, index) => {
    let found!: Shortlist;
    const milliseconds = leastMs(8, () => {
      const before = performance.now();
      const search = searchShortlist(plan, query, shelf.parts, { index, of: LOTS });
      let next = search.next();
      let answered = false;
      while (!next.done) {
        if (!answered && index === 0 && next.value.front.length > 0) {
          answered = true;
          firstAnswerMs = Math.min(firstAnswerMs, performance.now() - before);
        }
        next = search.next();
      }
      found = next.value;
    });
    return { found, milliseconds };
  });
  const { tried, judged, excluded, front } = mergeShortlists(
    lots.map(({ found }) => found),
    query.wants,
  );
  const milliseconds = Math.max(...lots.map((lot) => lot.milliseconds));
  return {
    tried,
    judged,
    excluded,
    left: front.length,
    firstAnswerMs: round(firstAnswerMs),
    milliseconds: round(milliseconds),
    per100000Ms: round((milliseconds * 100_000) / tried),
    per100000OfBare: multipleOf(bareMs, (milliseconds * 100_000) / tried),
  };
}
