import { meanOverTime } from '../../models/numbers/overTime.js';
import type { Run } from './run.js';

/**
 * Mean current of the pack over a run, A; NaN where nothing moved.
 *
 * @example meanSupplyCurrent({ samples: [{ time: 0, supplyCurrent: 10 }, { time: 2, supplyCurrent: 20 }] }) //=> 15
 */
export const meanSupplyCurrent = ({
  samples,
}: {
  readonly samples: readonly Pick<Run['samples'][number], 'time' | 'supplyCurrent'>[];
}): number => meanOverTime(samples.map(({ time, supplyCurrent }) => ({ time, value: supplyCurrent })));
