import { say } from '../words/phrase.js';
import type { Estimate, FigureCollector } from '../figures/collector.js';
import { driveBase } from '../load/driveBase.js';
import type { PushJob, SkidJob, SprintJob } from '../plan/job.js';
import type { WheelsOutput } from '../plan/plan.js';
import type { PowerPath } from '../powerpath/path.js';
import { add, cos, div, mul, pow, sin, type Expression } from '../worked/expression.js';
import { figureOf, weightOf } from '../worked/leaf.js';
import { readAsked, readTiming } from './asked.js';
import type { JobKindSpec, JobTerms, Places } from './kind.js';
import { diameterText, figureText } from './words.js';

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

/** Driven wheels over all of them, each carrying alike; nothing where their number is not said. */
function drivenOf({ wheels, driven }: WheelsOutput, apart: number | undefined): Estimate | undefined {
  if (wheels === undefined) return undefined;
  const turned = Math.min(wheels, apart ?? driven ?? wheels);
  return { value: turned / wheels, why: `${turned} of ${wheels} wheels driven, all carrying alike` };
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
