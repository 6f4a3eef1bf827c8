import { say } from '../words/phrase.js';
import { turntable } from '../load/turntable.js';
import type { TurnJob } from '../plan/job.js';
import type { TurntableOutput } from '../plan/plan.js';
import { num } from '../worked/expression.js';
import { figureOf } from '../worked/leaf.js';
import { readAsked } from './asked.js';
import type { JobKindSpec } from './kind.js';
import { figureText } from './words.js';

/** A turntable turned by an angle. */
export const turn: JobKindSpec<TurnJob, TurntableOutput> = {
  output: 'turntable',
  read: (job, output, at, collect) => {
    const travel = collect.take('job.angle', job.angle, [...at.job, 'angle']);
    const window = collect.takeOptional('job.settle', job.settle, [...at.job, 'settle']);
    const counts = collect.takeOptional('output.counts', output.counts, [...at.output, 'counts']);
    const backlash = collect.take('output.backlash', output.backlash, [...at.output, 'backlash']);
    const asked = readAsked(job, travel, at.job, collect, { turning: true });
    const onAndOn = job.onAndOn ?? false;
    return {
      radius: 1,
      load: turntable({
        inertia: collect.take('output.tableInertia', output.inertia, [...at.output, 'inertia']),
        frictionTorque: collect.take('output.tableFriction', output.friction, [...at.output, 'friction']),
      }),
      asked: onAndOn
        ? Object.assign({}, asked, {
            endless: true,
            profile: 'moving' as const,
            every: Math.min(asked.every, asked.time),
            dutyShare: 1,
          })
        : asked,
      // What never stops has no place to stand in.
      settling: window === undefined || onAndOn ? undefined : { window, counts, backlash },
    };
  },
  heavy: 'output.tableInertia',
  outputTitle: 'Turntable',
  outputWord: 'torque',
  outputDetail: (path) => say`${figureText(path, 'output.tableInertia', 'inertia')}`,
  detail: (path) =>
    path.asked.endless
      ? say`on and on, ${figureText(path, 'job.angle', 'angle')} in ${figureText(path, 'job.time', 'time')}`
      : say`turn by ${figureText(path, 'job.angle', 'angle')}`,
  terms: {
    radius: () => num(1),
    hold: () => num(0),
    resisting: (path) => figureOf(path, 'output.tableFriction'),
    inertia: (path) => figureOf(path, 'output.tableInertia'),
    travel: (path) => figureOf(path, 'job.angle'),
  },
};
