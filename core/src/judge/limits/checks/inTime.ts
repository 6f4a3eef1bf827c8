import { amount, say, type Words } from '../../../plan/words/phrase.js';
import type { Run } from '../../motion/run.js';
import type { PowerPath } from '../../../path/powerpath/path.js';
import { div, found, named } from '../../../path/worked/expression.js';
import { figureOf } from '../../../path/terms/pathTerms.js';
import type { CheckRule } from '../check.js';
import { RUN_NEEDS } from '../../motion/needs.js';

/** What keeps a run from its end, short and as a sentence. */
function whyNot({ load, asked }: PowerPath, run: Run | undefined): { readonly there: Words; readonly sentence: Words } {
  if (run?.outcome === 'cannot-stop')
    return { there: 'cannot stop there', sentence: 'Its brakes cannot stop it at the end: the load pushes on.' };
  if (run?.outcome !== 'stalled')
    return { there: 'not within a minute', sentence: 'At full effort it is not there within a minute.' };
  const place = amount(run.place * asked.perCoordinate, load.unit === 'm' ? 'length' : 'angle');
  const there = run.place > 0 ? say`stalls after ${place}` : 'does not move';
  return { there, sentence: say`At full effort it ${there}.` };
}

/** Does a run by the job's profile arrive in the time asked? */
export const inTime: CheckRule = {
  id: 'in-time',
  name: 'in time',
  link: 'load',
  needs: RUN_NEEDS,
  run: true,
  levers: [
    'shallower',
    'deeper',
    'motors',
    'longer',
    'lighter',
    'supply-limit',
    'stator-limit',
    'counterforce',
    'better-tread',
    'parallel',
    'spring',
    'brake-limit',
  ],
  // What pulses keep turning on and on is as fast as they say: it has nowhere to be in time.
  applies: ({ asked }) =>
    (asked.travel !== undefined || asked.target !== undefined) && !(asked.endless && asked.pulses !== undefined),
  answer: (path, run) => {
    const asked = { value: path.asked.time, dimension: 'time' as const };
    if (!run || run.outcome !== 'arrived') return { outcome: { holds: false }, asked, ...whyNot(path, run) };
    const time = found('t_{run}', 'time of a run', 'time', run.time, 'by stepping the motion from rest to the end');
    return {
      // A motion commanded to take exactly its time is in time, whatever the last digit says.
      outcome: {
        multiple:
          run.time <= path.asked.time * (1 + 1e-9)
            ? Math.max(1, path.asked.time / run.time)
            : path.asked.time / run.time,
      },
      asked,
      there: { value: run.time, dimension: 'time' },
      sentence: say`It is there in ${amount(run.time, 'time')}; ${amount(path.asked.time, 'time')} are allowed.`,
      working: () => named('x', 'time allowed over time taken', 'number', div(figureOf(path, 'job.time'), time)),
    };
  },
};
