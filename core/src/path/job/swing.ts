import { arm } from '../../models/load/arm.js';
import type { ArmOutput, SwingJob } from '../../plan/document/load.js';
import type { PowerPath } from '../powerpath/path.js';
import { add, cos, max, mul, named, neg, num, pow, sub, type Expression } from '../worked/expression.js';
import { figureOf, weightOf } from '../worked/leaf.js';
import { amount, say } from '../../plan/words/phrase.js';
import { GRAVITY } from '../../models/load/gravity.js';
import { digits } from '../../plan/words/show.js';
import { readAsked } from './asked.js';
import { readFalls } from './falls.js';
import type { JobKindSpec } from './kind.js';
import { figureText } from './words.js';
import { ANGLE, MASS, TIME, type WishKind, type WishPlan, type WishValues, need, timing, typicalOf } from './wish.js';

/** An arm swung from one angle to another. */

/** An arm that hangs down starts so far under level, where nothing is said: degrees. */
const HANGING_DEGREES = -30;
const HANGING = (HANGING_DEGREES * Math.PI) / 180;
const FRICTION_SHARE = 0.02;

const sense = (path: PowerPath): 1 | -1 =>
  (path.figures['job.to']?.value ?? 0) >= (path.figures['job.from']?.value ?? 0) ? 1 : -1;

/** Angle of the arm at a place of q. */
function angleAt(path: PowerPath, place: number): Expression {
  const from = figureOf(path, 'job.from');
  const angle = sense(path) > 0 ? add(from, num(place)) : sub(from, num(place));
  return named('q', 'angle of the arm, from level', 'angle', angle);
}

function weightTorque(path: PowerPath): Expression {
  return add(
    mul(weightOf(path, 'output.armMass'), figureOf(path, 'output.armCentre')),
    mul(weightOf(path, 'job.payload'), figureOf(path, 'output.armLength')),
  );
}

/** m·g·d·cos q − c·(q0 − q) */
function alone(path: PowerPath, place: number): Expression {
  const angle = angleAt(path, place);
  const spring = mul(figureOf(path, 'output.springRate'), sub(figureOf(path, 'output.springZero'), angle));
  return sub(mul(weightTorque(path), cos(angle)), spring);
}

export const swing: JobKindSpec<SwingJob, ArmOutput> = {
  output: 'arm',
  read: (job, output, at, collect) => {
    const length = collect.take('output.armLength', output.length, [...at.output, 'length']);
    const mass = collect.take('output.armMass', output.mass, [...at.output, 'mass']);
    const centre = collect.take('output.armCentre', output.centre, [...at.output, 'centre'], {
      value: Number.isNaN(length) ? undefined : length / 2,
      why: 'half the arm’s length',
    });
    const inertia = collect.take('output.armInertia', output.inertia, [...at.output, 'inertia'], {
      value: Number.isNaN(mass * length) ? undefined : (mass * length ** 2) / 12,
      why: 'a slim rod of its mass and length',
    });
    const friction = collect.take('output.armFriction', output.friction, [...at.output, 'friction'], {
      value: Number.isNaN(mass * centre) ? undefined : FRICTION_SHARE * mass * GRAVITY * centre,
      why: '2 % of the arm’s greatest weight torque',
    });
    const from = collect.take('job.from', job.from, [...at.job, 'from'], {
      value: HANGING,
      why: 'hanging a little below level',
      source: 'typical',
    });
    const to = collect.take('job.to', job.to, [...at.job, 'to']);
    const holdAngle = collect.takeOptional('job.holdAngle', job.holdAngle, [...at.job, 'holdAngle']);
    const load = arm({
      mass,
      centreOfMass: centre,
      inertiaAboutCentre: inertia,
      frictionTorque: friction,
      springRate: collect.take('output.springRate', output.springRate, [...at.output, 'springRate']),
      springZero: collect.take('output.springZero', output.springZero, [...at.output, 'springZero']),
      fromAngle: from,
      toAngle: to,
      payload: collect.take('job.payload', job.payload, [...at.job, 'payload']),
      length,
    });
    const asked = readAsked(job, Math.abs(to - from), at.job, collect, { turning: true });
    const holdPlace = holdAngle === undefined ? undefined : (to >= from ? 1 : -1) * (holdAngle - from);
    return {
      radius: 1,
      load,
      falls: readFalls(output, at.output, collect),
      asked: Object.assign(asked, { holdPlace }),
    };
  },
  heavy: 'output.armMass',
  outputTitle: 'Arm',
  outputWord: 'torque',
  outputDetail: (path) => say`${figureText(path, 'output.armLength', 'length')} long`,
  // Where something hangs at its tip, that decides more than the angles do, and the strip has room for one of them.
  detail: (path) =>
    (path.figures['job.payload']?.value ?? 0) > 0
      ? say`${figureText(path, 'output.armMass', 'mass')}, tip ${figureText(path, 'job.payload', 'mass')}`
      : say`${figureText(path, 'output.armMass', 'mass')}, ${figureText(path, 'job.from', 'angle')} to ${figureText(path, 'job.to', 'angle')}`,
  terms: {
    radius: () => num(1),
    hold: (path, place) => {
      const load = alone(path, place);
      return max(load, neg(load));
    },
    resisting: (path, place) => {
      const load = alone(path, place);
      return add(sense(path) > 0 ? load : neg(load), figureOf(path, 'output.armFriction'));
    },
    inertia: (path) =>
      add(
        figureOf(path, 'output.armInertia'),
        mul(figureOf(path, 'output.armMass'), pow(figureOf(path, 'output.armCentre'), 2)),
        mul(figureOf(path, 'job.payload'), pow(figureOf(path, 'output.armLength'), 2)),
      ),
    travel: (path) =>
      sense(path) > 0
        ? sub(figureOf(path, 'job.to'), figureOf(path, 'job.from'))
        : sub(figureOf(path, 'job.from'), figureOf(path, 'job.to')),
  },
};

function swinging(values: WishValues): WishPlan {
  const [mass, length, angle] = [need(values, 'mass'), need(values, 'length'), need(values, 'angle')];
  const payload = values['tip'];
  const degrees = (angle.si * 180) / Math.PI;
  const from = typicalOf(HANGING, `${HANGING_DEGREES}°`);
  const end = HANGING_DEGREES + degrees;
  const speed = angle.si / need(values, 'time').si;
  return {
    jobs: [
      {
        id: 'swing',
        kind: 'swing',
        name: 'Swing up',
        from,
        ...(payload ? { payload } : {}),
        to: typicalOf((end * Math.PI) / 180, `${digits(end)}°`),
        profile: 'stop',
        ...timing(values),
      },
    ],
    output: { kind: 'arm', mass, length, holder: 'nothing' },
    behind: [],
    shaftSpeed: 1.5 * speed,
    // The arm's own weight pulls at half its length, what it carries at all of it.
    power: (mass.si / 2 + (payload?.si ?? 0)) * GRAVITY * length.si * speed,
    motors: 1,
  };
}

/** An arm as it is asked for. */
export const armWish: WishKind = {
  title: 'Arm',
  says: 'swings about a pivot',
  name: 'Arm',
  fields: [
    { ...MASS('the arm itself weighs', [amount(2, 'mass')]), orNone: true },
    { key: 'tip', label: 'and carries at its tip', dimension: 'mass', hint: [amount(1.5, 'mass')], orNone: true },
    { key: 'length', label: 'reaches', dimension: 'length', hint: [amount(0.9, 'length')] },
    ANGLE('110°'),
    TIME('1.2 s'),
  ],
  machine: 'dc',
  plan: swinging,
};
