import { performance } from 'node:perf_hooks';
import { searchTrains } from '@rough-gear/core';
import { shelf } from './demo.js';
import { round } from './least.js';

const stock = shelf.parts.flatMap(({ id, part }) => (part.kind === 'series' ? [{ id, part }] : []));
/** Trains off the shelf that ships: combinations decided, and how long that takes. */
export const trains = () =>
  Object.fromEntries(
    ([1, 2, 3] as const).map((mostStages) => {
      const before = performance.now();
      const search = searchTrains(stock, {
        from: 8.73,
        to: 9.27,
        wanted: 9,
        kinds: ['teeth', 'chain', 'belt'],
        leastTeeth: mostStages === 3 ? 20 : 16,
        mostStages,
        sense: 'either',
        by: 'nearest',
        most: 120,
        carry: 5,
      });
      let latest = search.next();
      // Three stages are cut short: the rate is what is asked for.
      while (!latest.done && performance.now() - before < 3000) latest = search.next();
      const milliseconds = performance.now() - before;
      const { decided } = latest.value;
      return [
        `up to ${mostStages}`,
        { decided, milliseconds: round(milliseconds), per200000Ms: round((milliseconds * 200_000) / decided) },
      ];
    }),
  );
