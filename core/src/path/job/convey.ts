import { roller } from '../../models/load/roller.js';
import type { ConveyJob, RollerOutput } from '../../plan/document/load.js';
import type { PowerPath } from '../powerpath/path.js';
import { add, mul, sin, type Expression } from '../worked/expression.js';
import { figureOf, weightOf } from '../worked/leaf.js';
import { amount, say } from '../../plan/words/phrase.js';
import { GRAVITY } from '../../models/load/gravity.js';
import { readAsked } from './asked.js';
import type { JobKindSpec } from './kind.js';
import { diameterText, figureText } from './words.js';
import {
  EVERY,
  FAR,
  MASS,
  TIME,
  type WishKind,
  type WishPlan,
  type WishValues,
  millimetres,
  straight,
  timing,
} from './wish.js';

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

const ROLLER = 0.025;

function conveying(values: WishValues): WishPlan {
  const { mass, distance, speed } = straight(values);
  return {
    jobs: [{ id: 'convey', kind: 'convey', name: 'Pull in', mass, distance, ...timing(values) }],
    output: { kind: 'roller', radius: millimetres(ROLLER) },
    behind: [],
    shaftSpeed: (1.5 * speed) / ROLLER,
    power: 0.5 * mass.si * GRAVITY * 1.5 * speed,
    motors: 1,
  };
}

/** A roller as it is asked for. */
export const rollerWish: WishKind = {
  title: 'Roller, conveyor',
  says: 'pulls pieces along',
  name: 'Roller',
  fields: [MASS('what: one piece', [amount(1.2, 'mass')]), FAR([amount(0.35, 'length')]), TIME('0.5 s'), EVERY],
  machine: 'dc',
  plan: conveying,
};
