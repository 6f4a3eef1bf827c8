import { say } from '../words/phrase.js';
import { GRAVITY } from '../load/gravity.js';
import { roller } from '../load/roller.js';
import type { ConveyJob } from '../plan/job.js';
import type { RollerOutput } from '../plan/plan.js';
import type { PowerPath } from '../powerpath/path.js';
import { add, mul, sin, type Expression } from '../worked/expression.js';
import { figureOf, weightOf } from '../worked/leaf.js';
import { readAsked } from './asked.js';
import type { JobKindSpec } from './kind.js';
import { diameterText, figureText } from './words.js';

/** A roller or conveyor that pulls something along, and may jam. */

const PULL_SHARE = 0.5;

const uphill = (path: PowerPath): Expression => mul(weightOf(path, 'job.conveyMass'), sin(figureOf(path, 'job.slope')));

export const convey: JobKindSpec<ConveyJob, RollerOutput> = {
  output: 'roller',
  read: (job, output, at, collect) => {
    const mass = collect.take('job.conveyMass', job.mass, [...at.job, 'mass']);
    const travel = collect.take('job.distance', job.distance, [...at.job, 'distance']);
    return {
      radius: collect.take('output.rollerRadius', output.radius, [...at.output, 'radius']),
      load: roller({
        mass,
        pull: collect.take('job.pull', job.pull, [...at.job, 'pull'], {
          value: Number.isNaN(mass) ? undefined : PULL_SHARE * mass * GRAVITY,
          why: 'half the weight of what is moved',
        }),
        slope: collect.take('job.slope', job.slope, [...at.job, 'slope'], {
          value: 0,
          why: 'level',
          source: 'typical',
        }),
      }),
      asked: readAsked(job, travel, at.job, collect),
      jam: collect.take('job.jam', job.jam, [...at.job, 'jam']),
    };
  },
  heavy: 'job.conveyMass',
  radiusFigure: 'output.rollerRadius',
  outputTitle: 'Roller',
  outputWord: 'pull',
  outputDetail: diameterText,
  detail: (path) => say`${figureText(path, 'job.conveyMass', 'mass')}, ${figureText(path, 'job.distance', 'length')}`,
  terms: {
    radius: (path) => figureOf(path, 'output.rollerRadius'),
    hold: uphill,
    resisting: (path) => add(figureOf(path, 'job.pull'), uphill(path)),
    inertia: (path) => figureOf(path, 'job.conveyMass'),
    travel: (path) => figureOf(path, 'job.distance'),
  },
};
