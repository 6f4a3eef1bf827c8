import { show } from '../../format/show.js';
import { div, found, named } from '../../worked/expression.js';
import { figureOf } from '../../worked/terms.js';
import type { CheckRule } from '../check.js';

/** Does a run at full effort arrive in the time asked? */
export const inTime: CheckRule = {
  id: 'in-time',
  name: 'in time',
  link: 'load',
  needs: ['motor', 'rotor', 'pack', 'wiring', 'controller', 'train', 'output', 'load', 'grip', 'job'],
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
    'grip',
    'parallel',
  ],
  applies: (path) => path.asked.travel !== undefined,
  answer: (path, run) => {
    const asked = { value: path.asked.time, dimension: 'time' as const };
    if (!run || run.outcome !== 'arrived') {
      const stalled = run?.outcome === 'stalled';
      const there = stalled
        ? run.place > 0
          ? `stalls after ${show(run.place, 'length')}`
          : 'does not move'
        : 'not within a minute';
      return {
        outcome: { multiple: 0 },
        asked,
        there,
        sentence: stalled ? `At full effort it ${there}.` : 'At full effort it is not there within a minute.',
      };
    }
    const time = found(
      't_{run}',
      'time of a run at full effort',
      'time',
      run.time,
      'by stepping the motion from rest to the end',
    );
    return {
      outcome: { multiple: path.asked.time / run.time },
      asked,
      there: { value: run.time, dimension: 'time' },
      sentence: `It is there in ${show(run.time, 'time')}; ${show(path.asked.time, 'time')} are allowed.`,
      working: () => named('x', 'time allowed over time taken', 'number', div(figureOf(path, 'job.time'), time)),
    };
  },
};
