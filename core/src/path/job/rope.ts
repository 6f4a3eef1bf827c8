import type { FigureCollector } from '../../plan/figures/collector.js';
import { lift, lowering } from '../../models/load/lift.js';
import type { DrumOutput, HaulJob, RaiseJob } from '../../plan/document/load.js';
import type { PowerPath } from '../powerpath/path.js';
import { spoolRadius } from '../../models/reduction/spool.js';
import { add, div, found, mul, neg, pow, sin, sub, type Expression } from '../worked/expression.js';
import { figureOf, weightOf } from '../worked/leaf.js';
import { amount, say } from '../../plan/words/phrase.js';
import { GRAVITY } from '../../models/load/gravity.js';
import { readAsked } from './asked.js';
import { readFalls } from './falls.js';
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
  straight,
  timing,
  typicalOf,
} from './wish.js';

/** What hangs on a rope and a drum: the straight lift, up and down, and the climb. */

const STRAIGHT_UP = Math.PI / 2;
const FRICTION_SHARE = 0.05;

function readRope(job: RaiseJob | HaulJob, output: DrumOutput, at: Places, collect: FigureCollector) {
  const mass = collect.take('job.mass', job.mass, [...at.job, 'mass']);
  const loadPerRope = collect.take('output.loadPerRope', output.loadPerRope, [...at.output, 'loadPerRope']);
  const height = collect.take('job.distance', job.distance, [...at.job, 'distance']);
  const strength = collect.takeOptional('output.ropeStrength', output.ropeStrength, [...at.output, 'ropeStrength']);
  const drum = collect.take('output.drumRadius', output.radius, [...at.output, 'radius']);
  const rope = collect.take('output.ropeDiameter', output.ropeDiameter, [...at.output, 'ropeDiameter']);
  const width = collect.take('output.drumWidth', output.drumWidth, [...at.output, 'drumWidth']);
  const figures = {
    counterforce: 0,
    mass,
    loadPerRope,
    slope: collect.take('job.slope', job.slope, [...at.job, 'slope'], {
      value: STRAIGHT_UP,
      why: 'straight up',
      source: 'typical',
    }),
    friction: collect.take('job.friction', job.friction, [...at.job, 'friction'], {
      value: Number.isNaN(mass) ? undefined : FRICTION_SHARE * mass * GRAVITY,
      why: '5 % of the load’s weight',
    }),
  };
  const travel = height / loadPerRope;
  return {
    figures,
    resolved: {
      falls: readFalls(output, at.output, collect),
      radius: spoolRadius(drum, rope, width, travel),
      outputEfficiency: collect.take('output.efficiency', output.efficiency, [...at.output, 'efficiency']),
      asked: readAsked(job, travel, at.job, collect, { perCoordinate: loadPerRope }),
      rope: strength === undefined ? undefined : { strength, knotted: output.knotted ?? false },
    },
  };
}

const perRope = (path: PowerPath): Expression => figureOf(path, 'output.loadPerRope');
const uphill = (path: PowerPath): Expression => mul(weightOf(path, 'job.mass'), sin(figureOf(path, 'job.slope')));

function radius(path: PowerPath): Expression {
  const drum = figureOf(path, 'output.drumRadius');
  if (!(path.figures['output.ropeDiameter']?.value ?? 0)) return drum;
  return found(
    'r',
    'radius of the fullest layer',
    'length',
    path.radius,
    'drum + rope·(layer − ½), by winding the rope up',
  );
}

const common = {
  output: 'drum',
  heavy: 'job.mass',
  radiusFigure: 'output.drumRadius',
  outputTitle: 'Drum',
  outputWord: 'rope',
  outputDetail: diameterText,
} as const;

const terms: JobTerms = {
  radius,
  hold: (path) => mul(perRope(path), uphill(path)),
  resisting: (path) => mul(perRope(path), add(uphill(path), figureOf(path, 'job.friction'))),
  inertia: (path) => mul(pow(perRope(path), 2), figureOf(path, 'job.mass')),
  travel: (path) => div(figureOf(path, 'job.distance'), perRope(path)),
};

const balanced = (path: PowerPath): Expression =>
  mul(perRope(path), sub(uphill(path), figureOf(path, 'job.counterforce')));

const goesDown = (path: PowerPath): boolean => path.job.kind === 'raise' && path.job.direction === 'down';

export const raise: JobKindSpec<RaiseJob, DrumOutput> = {
  ...common,
  read: (job, output, at, collect) => {
    const { figures, resolved } = readRope(job, output, at, collect);
    const counterforce = collect.take('job.counterforce', job.counterforce, [...at.job, 'counterforce']);
    const model = job.direction === 'down' ? lowering : lift;
    return Object.assign(resolved, { load: model({ ...figures, counterforce }) });
  },
  detail: (path) =>
    say`${figureText(path, 'job.mass', 'mass')} ${goesDown(path) ? 'down' : 'up'} ${figureText(path, 'job.distance', 'length')}`,
  terms: {
    ...terms,
    hold: balanced,
    resisting: (path) => {
      const friction = mul(perRope(path), figureOf(path, 'job.friction'));
      return goesDown(path) ? add(neg(balanced(path)), friction) : add(balanced(path), friction);
    },
  },
};

export const haul: JobKindSpec<HaulJob, DrumOutput> = {
  ...common,
  read: (job, output, at, collect) => {
    const { figures, resolved } = readRope(job, output, at, collect);
    return Object.assign(resolved, { load: lift(figures) });
  },
  detail: (path) => say`haul ${figureText(path, 'job.mass', 'mass')} by ${figureText(path, 'job.distance', 'length')}`,
  terms,
};

const ONCE_A_MATCH = typicalOf(150, '150 s');

function lifting(values: WishValues, kind: 'raise' | 'haul', name: string, radius: number): WishPlan {
  const { mass, distance, speed } = straight(values);
  return {
    jobs: [
      { id: kind, kind, name, mass, distance, ...(kind === 'haul' ? { every: ONCE_A_MATCH } : {}), ...timing(values) },
    ],
    output: { kind: 'drum', radius: millimetres(radius), holder: 'nothing' },
    behind: [],
    shaftSpeed: speed / radius,
    power: mass.si * GRAVITY * speed,
    motors: 1,
  };
}

/** A straight lift as it is asked for. */
export const liftWish: WishKind = {
  title: 'Straight lift',
  says: 'raises a load on a rope or slide',
  name: 'Lift',
  fields: [MASS('what: the load', [amount(20, 'mass')]), FAR([amount(1.35, 'length')]), TIME('1.6 s'), EVERY],
  machine: 'dc',
  plan: (values) => lifting(values, 'raise', 'Raise', heavier(values) ? 0.022 : 0.012),
};

/** A climb or winch as it is asked for. */
export const climbWish: WishKind = {
  title: 'Climb, winch',
  says: 'hauls on a rope',
  name: 'Climb',
  fields: [
    MASS('what: hangs on it', [amount(50, 'mass')]),
    FAR([amount(0.7, 'length')]),
    TIME('4 s'),
    { ...EVERY, hint: 'once a match, typical' },
  ],
  machine: 'dc',
  plan: (values) => lifting(values, 'haul', 'Haul', heavier(values) ? 0.02 : 0.01),
};
