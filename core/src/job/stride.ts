import { say } from '../words/phrase.js';
import { leg } from '../load/leg.js';
import type { StrideJob } from '../plan/job.js';
import type { LegOutput } from '../plan/plan.js';
import type { PowerPath } from '../powerpath/path.js';
import { div, mul, num, type Expression } from '../worked/expression.js';
import { figureOf, weightOf } from '../worked/leaf.js';
import { readAsked } from './asked.js';
import type { JobKindSpec } from './kind.js';
import { figureText } from './words.js';

/** A leg that carries its share of the robot. */

const torque = (path: PowerPath): Expression =>
  mul(div(weightOf(path, 'job.legMass'), figureOf(path, 'job.legsDown')), figureOf(path, 'output.legLever'));

export const stride: JobKindSpec<StrideJob, LegOutput> = {
  output: 'leg',
  read: (job, output, at, collect) => {
    const travel = collect.take('job.angle', job.angle, [...at.job, 'angle']);
    return {
      radius: 1,
      load: leg({
        mass: collect.take('job.legMass', job.mass, [...at.job, 'mass']),
        legsDown: collect.take('job.legsDown', job.legsDown, [...at.job, 'legsDown']),
        lever: collect.take('output.legLever', output.lever, [...at.output, 'lever']),
        inertia: collect.take('output.legInertia', output.inertia, [...at.output, 'inertia']),
      }),
      asked: readAsked(job, travel, at.job, collect, { turning: true }),
    };
  },
  heavy: 'job.legMass',
  outputTitle: 'Leg',
  outputWord: 'torque',
  outputDetail: (path) => say`foot ${figureText(path, 'output.legLever', 'length')} out`,
  detail: (path) =>
    say`${figureText(path, 'job.legMass', 'mass')} on ${figureText(path, 'job.legsDown', 'number')} legs`,
  terms: {
    radius: () => num(1),
    hold: torque,
    resisting: torque,
    inertia: (path) => figureOf(path, 'output.legInertia'),
    travel: (path) => figureOf(path, 'job.angle'),
  },
};
