import { flywheel } from '../../models/load/flywheel.js';
import type { FlywheelOutput, ThrowJob } from '../../plan/document/load.js';
import type { PowerPath } from '../powerpath/path.js';
import { add, div, mul, named, num, pow, type Expression } from '../worked/expression.js';
import { figureOf } from '../worked/leaf.js';
import { amount, say } from '../../plan/words/phrase.js';
import { HOODED, type ThrowFigures, throwImpulse, wheelSpeedFor } from '../../models/load/throw.js';
import { show } from '../../plan/words/show.js';
import { readTiming } from './asked.js';
import type { JobKindSpec } from './kind.js';
import { figureText } from './words.js';
import { MASS, type WishKind, type WishPlan, type WishValues, millimetres, need, typicalOf } from './wish.js';

/** A flywheel that is spun up, throws, and comes back to speed. */

/** β by the piece: inertia over m·r². */
const BALL = { solid: 0.4, hollow: 0.67 } as const;
const RECOVER_SHARE = 0.5;

const throwOf = (path: PowerPath): ThrowFigures => {
  if (!path.thrown) throw new Error('this path throws nothing');
  return path.thrown;
};

function wheelSpeed(path: PowerPath): Expression {
  const share = mul(num(throwOf(path).speedShare, 'share of the rim'), figureOf(path, 'output.slip'));
  return named(
    '\\omega_1',
    'wheel speed for it',
    'speed',
    div(figureOf(path, 'job.exitSpeed'), mul(share, figureOf(path, 'output.flywheelRadius'))),
  );
}

export const throwPiece: JobKindSpec<ThrowJob, FlywheelOutput> = {
  output: 'flywheel',
  read: (job, output, at, collect) => {
    const figures: ThrowFigures = {
      pieceMass: collect.take('job.pieceMass', job.pieceMass, [...at.job, 'pieceMass']),
      wheelRadius: collect.take('output.flywheelRadius', output.radius, [...at.output, 'radius']),
      speedShare: output.wheels === 'two' ? 1 : HOODED,
      slip: collect.take('output.slip', output.slip, [...at.output, 'slip']),
      ballInertiaFactor: BALL[output.ball ?? 'hollow'],
    };
    const exit = collect.take('job.exitSpeed', job.exitSpeed, [...at.job, 'exitSpeed']);
    const timing = readTiming(job, at.job, collect);
    const recover = collect.take('job.recover', job.recover, [...at.job, 'recover'], {
      value: RECOVER_SHARE * timing.every,
      why: 'half the time between throws',
    });
    const target = wheelSpeedFor(figures, exit);
    return {
      radius: 1,
      load: flywheel({
        inertia: collect.take('output.flywheelInertia', output.inertia, [...at.output, 'inertia']),
        frictionTorque: collect.take('output.flywheelFriction', output.friction, [...at.output, 'friction']),
        airDrag: collect.take('output.airDrag', output.airDrag, [...at.output, 'airDrag']),
      }),
      thrown: figures,
      asked: {
        ...timing,
        target,
        perCoordinate: 1,
        speed: target,
        acceleration: target / timing.time,
        recovery: throwImpulse(figures, exit) / recover,
        workingSeconds: recover,
        dutyShare: Math.min(1, recover / timing.every),
      },
    };
  },
  heavy: 'job.pieceMass',
  outputTitle: 'Flywheel',
  outputWord: 'torque',
  outputDetail: (path) => {
    const radius = path.figures['output.flywheelRadius']?.value;
    return radius === undefined ? 'radius missing' : say`⌀ ${amount(2 * radius, 'length')}`;
  },
  detail: (path) =>
    say`${figureText(path, 'job.pieceMass', 'mass')} at ${figureText(path, 'job.exitSpeed', 'velocity')}`,
  terms: {
    radius: () => num(1),
    hold: () => num(0),
    resisting: (path) =>
      add(figureOf(path, 'output.flywheelFriction'), mul(figureOf(path, 'output.airDrag'), pow(wheelSpeed(path), 2))),
    inertia: (path) => figureOf(path, 'output.flywheelInertia'),
    target: wheelSpeed,
    recovery: (path) => {
      const { speedShare, ballInertiaFactor } = throwOf(path);
      const kappa = num(speedShare <= HOODED ? (1 + ballInertiaFactor) / 2 : 1, 'spin of the piece');
      const impulse = mul(
        kappa,
        figureOf(path, 'output.flywheelRadius'),
        figureOf(path, 'job.pieceMass'),
        figureOf(path, 'job.exitSpeed'),
      );
      return div(named('L', 'what a throw takes', 'angular impulse', impulse), figureOf(path, 'job.recover'));
    },
  },
  workingSeconds: (path) => figureOf(path, 'job.recover'),
};

const WHEEL = 0.05;
const SLIP = 0.9;
const SPIN_UP = 2;
const WHEEL_INERTIA = 0.004;

function throwing(values: WishValues): WishPlan {
  const [pieceMass, exitSpeed, every] = [need(values, 'mass'), need(values, 'exitSpeed'), need(values, 'every')];
  const target = exitSpeed.si / (HOODED * SLIP * WHEEL);
  const impulse = WHEEL * pieceMass.si * exitSpeed.si;
  return {
    jobs: [{ id: 'throw', kind: 'throw', name: 'Throw', pieceMass, exitSpeed, every, time: typicalOf(SPIN_UP, '2 s') }],
    output: {
      kind: 'flywheel',
      radius: millimetres(WHEEL),
      inertia: typicalOf(WHEEL_INERTIA, show(WHEEL_INERTIA, 'inertia')),
      wheels: 'one',
      ball: 'hollow',
    },
    behind: [],
    shaftSpeed: 1.15 * target,
    power: Math.max((WHEEL_INERTIA * target ** 2) / SPIN_UP, (2 * impulse * target) / every.si),
    motors: 1,
  };
}

/** A thrower as it is asked for. */
export const throwerWish: WishKind = {
  title: 'Thrower',
  says: 'a flywheel throws pieces',
  name: 'Thrower',
  fields: [
    MASS('what: one piece', [amount(0.25, 'mass')]),
    { key: 'exitSpeed', label: 'leaves at', dimension: 'velocity', hint: [amount(9, 'velocity')] },
    { key: 'every', label: 'one every', dimension: 'time', hint: '1.5 s' },
  ],
  machine: 'dc',
  plan: throwing,
};
