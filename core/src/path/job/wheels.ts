import type { Estimate, FigureCollector } from '../../plan/figures/collector.js';
import { driveBase } from '../../models/load/driveBase.js';
import type { PushJob, SkidJob, SprintJob, WheelsOutput } from '../../plan/document/load.js';
import type { PowerPath } from '../powerpath/path.js';
import { add, cos, div, mul, pow, sin, type Expression } from '../worked/expression.js';
import { figureOf, weightOf } from '../worked/leaf.js';
import { amount, say } from '../../plan/words/phrase.js';
import { GRAVITY } from '../../models/load/gravity.js';
import { readAsked, readTiming } from './asked.js';
import type { JobKindSpec, JobTerms, Places } from './kind.js';
import { diameterText, figureText } from './words.js';
import {
  EVERY,
  FAR,
  MASS,
  TIME,
  type WishKind,
  type WishPlan,
  type WishValues,
  heavier,
  millimetres,
  need,
  straight,
  timing,
  typicalOf,
} from './wish.js';

/** The two jobs of a drive base that go straight on: sprint and push; and what all its jobs read. */

const LEVEL = 0;

export function readWheels(
  job: SprintJob | PushJob | SkidJob,
  output: WheelsOutput,
  at: Places,
  collect: FigureCollector,
) {
  const radius = collect.take('output.wheelRadius', output.radius, [...at.output, 'radius']);
  const spins = collect.takeOptional('output.wheelInertia', output.wheelInertia, [...at.output, 'wheelInertia']);
  return {
    radius,
    spins,
    base: {
      wheels: spins === undefined ? 0 : spins / radius ** 2,
      mass: collect.take('output.mass', output.mass, [...at.output, 'mass']),
      grip: collect.take('output.grip', output.grip, [...at.output, 'grip']),
      drivenShare: collect.take(
        'output.drivenShare',
        output.drivenShare,
        [...at.output, 'drivenShare'],
        drivenOf(output, at.apart),
      ),
      rollingResistance: collect.take('output.rollingResistance', output.rollingResistance, [
        ...at.output,
        'rollingResistance',
      ]),
      slope: collect.take('job.slope', job.slope, [...at.job, 'slope'], {
        value: LEVEL,
        why: 'level ground',
        source: 'typical',
      }),
    },
  };
}

/** Wheels that a robot stands on where that is not said. */
export const USUAL_WHEELS = 4;

/**
 * Of how many wheels how many are driven: as is said, or one a motor where each turns its own; `undefined` where neither is,
 * so that all are.
 *
 * @param apart motors that turn a wheel of their own
 * @example drivenWheels({ kind: 'wheels', driven: 2 }, undefined) //=> { driven: 2, wheels: 4 }
 */
export function drivenWheels(
  { wheels, driven }: WheelsOutput,
  apart: number | undefined,
): { readonly driven: number; readonly wheels: number } | undefined {
  if (wheels === undefined && driven === undefined && apart === undefined) return undefined;
  const all = wheels ?? Math.max(USUAL_WHEELS, apart ?? 0);
  return { driven: Math.min(all, apart ?? driven ?? all), wheels: all };
}

/** Driven wheels over all of them, each carrying alike. */
function drivenOf(output: WheelsOutput, apart: number | undefined): Estimate | undefined {
  const counted = drivenWheels(output, apart);
  if (!counted) return undefined;
  const { driven, wheels } = counted;
  return { value: driven / wheels, why: `${driven} of ${wheels} wheels driven, all carrying alike` };
}

const uphill = (path: PowerPath): Expression => mul(weightOf(path, 'output.mass'), sin(figureOf(path, 'job.slope')));

function rolling(path: PowerPath): Expression {
  return mul(
    weightOf(path, 'output.mass'),
    figureOf(path, 'output.rollingResistance'),
    cos(figureOf(path, 'job.slope')),
  );
}

/** μ·m·g·cosγ·share */
export const carriedByTyres = (path: PowerPath): Expression =>
  mul(
    figureOf(path, 'output.grip'),
    weightOf(path, 'output.mass'),
    cos(figureOf(path, 'job.slope')),
    figureOf(path, 'output.drivenShare'),
  );

const terms: JobTerms = {
  carried: carriedByTyres,
  radius: (path) => figureOf(path, 'output.wheelRadius'),
  hold: uphill,
  resisting: (path) => add(uphill(path), rolling(path)),
  inertia: (path) =>
    path.spins === undefined
      ? figureOf(path, 'output.mass')
      : add(
          figureOf(path, 'output.mass'),
          div(figureOf(path, 'output.wheelInertia'), pow(figureOf(path, 'output.wheelRadius'), 2)),
        ),
};

const common = {
  output: 'wheels',
  heavy: 'output.mass',
  radiusFigure: 'output.wheelRadius',
  outputTitle: 'Wheels',
  outputWord: 'push',
  outputDetail: diameterText,
} as const;

export const sprint: JobKindSpec<SprintJob, WheelsOutput> = {
  ...common,
  read: (job, output, at, collect) => {
    const { radius, base, spins } = readWheels(job, output, at, collect);
    const travel = collect.take('job.distance', job.distance, [...at.job, 'distance']);
    return { radius, spins, load: driveBase(base), asked: readAsked(job, travel, at.job, collect) };
  },
  detail: (path) => say`${figureText(path, 'output.mass', 'mass')} over ${figureText(path, 'job.distance', 'length')}`,
  terms: { ...terms, travel: (path) => figureOf(path, 'job.distance') },
};

export const push: JobKindSpec<PushJob, WheelsOutput> = {
  ...common,
  read: (job, output, at, collect) => {
    const { radius, base, spins } = readWheels(job, output, at, collect);
    const against = collect.take('job.push', job.push, [...at.job, 'push']);
    const timing = readTiming(job, at.job, collect);
    const speed = collect.take('job.pushSpeed', job.speed, [...at.job, 'speed']);
    const creep = collect.takeOptional('job.creep', job.creep, [...at.job, 'creep']);
    return {
      radius,
      spins,
      load: driveBase({ ...base, push: against }),
      asked: Object.assign(timing, { speed, acceleration: 0, perCoordinate: 1, creep }),
    };
  },
  detail: (path) => say`push ${figureText(path, 'job.push', 'force')}`,
  terms: { ...terms, resisting: (path) => add(uphill(path), rolling(path), figureOf(path, 'job.push')) },
};

const ROLLING = 0.02;
const PUSH_SHARE = 0.4;

function driving(values: WishValues): WishPlan {
  const { mass, distance, speed } = straight(values);
  const time = need(values, 'time').si;
  const heavy = heavier(values);
  const radius = heavy ? 0.075 : 0.04;
  const push = Number((PUSH_SHARE * mass.si * GRAVITY).toPrecision(2));
  return {
    jobs: [
      { id: 'sprint', kind: 'sprint', name: 'Sprint', distance, ...timing(values) },
      {
        id: 'push',
        kind: 'push',
        name: 'Push',
        push: values['push'] ?? typicalOf(push, `${push} N`),
        time: typicalOf(3, '3 s'),
        every: typicalOf(40, '40 s'),
      },
    ],
    output: { kind: 'wheels', radius: millimetres(radius), mass },
    behind: [],
    shaftSpeed: (1.5 * speed) / radius,
    // Speeding up all the way and rolling: twice the mean speed at the end.
    power: mass.si * ((2 * distance.si) / time ** 2 + ROLLING * GRAVITY) * speed,
    motors: heavy ? 4 : 2,
  };
}

/** A drive base as it is asked for. */
export const driveBaseWish: WishKind = {
  title: 'Drive base',
  says: 'the robot on its wheels',
  name: 'Drive base',
  fields: [
    MASS('what: the whole robot', [amount(50, 'mass')]),
    FAR([amount(6, 'length')]),
    TIME('2.6 s'),
    EVERY,
    { key: 'push', label: 'push with', dimension: 'force', hint: '0.4 of its weight, typical', optional: true },
  ],
  machine: 'dc',
  plan: driving,
};
