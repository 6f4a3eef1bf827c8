import type { GripJob, GripOutput } from '../../plan/document/load.js';
import type { PowerPath } from '../powerpath/path.js';
import { mul, num, type Expression } from '../worked/expression.js';
import { figureOf } from '../worked/leaf.js';
import { amount, say } from '../../plan/words/phrase.js';
import { grip as gripLoad, gripForceFor } from '../../models/load/grip.js';
import { readAsked } from './asked.js';
import type { JobKindSpec } from './kind.js';
import { figureText } from './words.js';
import { EVERY, MASS, TIME, type WishKind, type WishPlan, type WishValues, need, timing, typicalOf } from './wish.js';

/** Fingers that close on an object and hold it. */

const torque = (path: PowerPath): Expression =>
  mul(figureOf(path, 'job.gripForce'), figureOf(path, 'output.fingerLength'));

export const grip: JobKindSpec<GripJob, GripOutput> = {
  output: 'grip',
  read: (job, output, at, collect) => {
    // With the force itself typed nothing has to be weighed.
    const weighed = job.mass !== undefined || job.gripForce === undefined;
    const mass = weighed ? collect.take('job.gripMass', job.mass, [...at.job, 'mass']) : NaN;
    const shake = collect.take('job.shake', job.shake, [...at.job, 'shake']);
    const padGrip = collect.take('job.padGrip', job.padGrip, [...at.job, 'padGrip']);
    const safety = collect.take('job.safety', job.safety, [...at.job, 'safety']);
    const needed = gripForceFor(mass, shake, safety, padGrip);
    const travel = collect.take('job.angle', job.angle, [...at.job, 'angle']);
    return {
      radius: 1,
      load: gripLoad({
        gripForce: collect.take('job.gripForce', job.gripForce, [...at.job, 'gripForce'], {
          value: Number.isNaN(needed) ? undefined : needed,
          why: 'so that it does not slip out: m·(g + a)·safety/(2·μ)',
        }),
        fingerLength: collect.take('output.fingerLength', output.fingerLength, [...at.output, 'fingerLength']),
        inertia: collect.take('output.gripInertia', output.inertia, [...at.output, 'inertia']),
      }),
      asked: readAsked(job, travel, at.job, collect, { turning: true }),
    };
  },
  heavy: 'job.gripMass',
  outputTitle: 'Fingers',
  outputWord: 'torque',
  outputDetail: (path) => say`${figureText(path, 'output.fingerLength', 'length')} long`,
  detail: (path) =>
    'job.gripMass' in path.figures
      ? say`hold ${figureText(path, 'job.gripMass', 'mass')}`
      : say`press with ${figureText(path, 'job.gripForce', 'force')}`,
  terms: {
    radius: () => num(1),
    hold: torque,
    resisting: torque,
    inertia: (path) => figureOf(path, 'output.gripInertia'),
    travel: (path) => figureOf(path, 'job.angle'),
  },
};

const CLOSING = 40;

function gripping(values: WishValues): WishPlan {
  const [mass, fingerLength] = [need(values, 'mass'), need(values, 'length')];
  const angle = (CLOSING * Math.PI) / 180;
  const speed = angle / need(values, 'time').si;
  return {
    jobs: [{ id: 'grip', kind: 'grip', name: 'Hold', mass, angle: typicalOf(angle, `${CLOSING}°`), ...timing(values) }],
    output: { kind: 'grip', fingerLength },
    behind: [],
    shaftSpeed: 1.5 * speed,
    power: gripForceFor(mass.si, 5, 2, 0.6) * fingerLength.si * speed,
    motors: 1,
  };
}

/** A grip as it is asked for. */
export const gripWish: WishKind = {
  title: 'Grip',
  says: 'fingers that hold',
  name: 'Grip',
  fields: [
    MASS('what: is held', [amount(1.5, 'mass')]),
    { key: 'length', label: 'finger length', dimension: 'length', hint: [amount(0.12, 'length')] },
    TIME('0.4 s'),
    EVERY,
  ],
  machine: 'dc',
  plan: gripping,
};
