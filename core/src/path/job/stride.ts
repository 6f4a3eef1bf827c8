import { leg } from '../../models/load/leg.js';
import type { LegOutput, StrideJob } from '../../plan/document/load.js';
import type { PowerPath } from '../powerpath/path.js';
import { div, mul, num, type Expression } from '../worked/expression.js';
import { figureOf, weightOf } from '../worked/leaf.js';
import { amount, say } from '../../plan/words/phrase.js';
import { GRAVITY } from '../../models/load/gravity.js';
import { readAsked } from './asked.js';
import type { JobKindSpec } from './kind.js';
import { figureText } from './words.js';
import { ANGLE, MASS, TIME, type WishKind, type WishPlan, type WishValues, need, timing, typicalOf } from './wish.js';

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

const STANDING = 3;

function stepping(values: WishValues): WishPlan {
  const [mass, lever, angle] = [need(values, 'mass'), need(values, 'length'), need(values, 'angle')];
  const speed = angle.si / need(values, 'time').si;
  const torque = ((mass.si * GRAVITY) / STANDING) * lever.si;
  return {
    jobs: [
      {
        id: 'stride',
        kind: 'stride',
        name: 'Step',
        mass,
        angle,
        every: typicalOf(1, '1 s'),
        held: typicalOf(60, '60 s'),
        shock: typicalOf(3, '3'),
        ...timing(values),
      },
    ],
    output: { kind: 'leg', lever },
    behind: [],
    shaftSpeed: speed,
    power: torque * speed,
    motors: 1,
  };
}

/** A leg joint as it is asked for. */
export const legWish: WishKind = {
  title: 'Leg joint',
  says: 'carries its share of a walker',
  name: 'Leg',
  fields: [
    MASS('what: the whole walker', [amount(1.4, 'mass')]),
    { key: 'length', label: 'foot to joint, level', dimension: 'length', hint: [amount(0.06, 'length')] },
    ANGLE('40°'),
    TIME('0.3 s'),
  ],
  machine: 'servo',
  plan: stepping,
};
