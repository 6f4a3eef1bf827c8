import { turntable } from '../../models/load/turntable.js';
import type { TurnJob, TurntableOutput } from '../../plan/document/load.js';
import { num } from '../worked/expression.js';
import { figureOf } from '../worked/leaf.js';
import { amount, say } from '../../plan/words/phrase.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import { show } from '../../plan/words/show.js';
import { readAsked } from './asked.js';
import type { JobKindSpec } from './kind.js';
import { figureText } from './words.js';
import { ANGLE, EVERY, MASS, TIME, type WishKind, type WishPlan, type WishValues, need, timing } from './wish.js';

/** A turntable turned by an angle. */
export const turn: JobKindSpec<TurnJob, TurntableOutput> = {
  output: 'turntable',
  read: (job, output, at, collect) => {
    const travel = collect.take('job.angle', job.angle, [...at.job, 'angle']);
    const window = collect.takeOptional('job.settle', job.settle, [...at.job, 'settle']);
    const counts = collect.takeOptional('output.counts', output.counts, [...at.output, 'counts']);
    const backlash = collect.take('output.backlash', output.backlash, [...at.output, 'backlash']);
    const asked = readAsked(job, travel, at.job, collect, { turning: true });
    const onAndOn = job.onAndOn ?? false;
    return {
      radius: 1,
      load: turntable({
        inertia: collect.take('output.tableInertia', output.inertia, [...at.output, 'inertia']),
        frictionTorque: collect.take('output.tableFriction', output.friction, [...at.output, 'friction']),
      }),
      asked: onAndOn
        ? Object.assign({}, asked, {
            endless: true,
            profile: 'moving' as const,
            every: Math.min(asked.every, asked.time),
            dutyShare: 1,
          })
        : asked,
      // What never stops has no place to stand in.
      settling: window === undefined || onAndOn ? undefined : { window, counts, backlash },
    };
  },
  heavy: 'output.tableInertia',
  outputTitle: 'Turntable',
  outputWord: 'torque',
  outputDetail: (path) => say`${figureText(path, 'output.tableInertia', 'inertia')}`,
  detail: (path) =>
    path.asked.endless
      ? say`on and on, ${figureText(path, 'job.angle', 'angle')} in ${figureText(path, 'job.time', 'time')}`
      : say`turn by ${figureText(path, 'job.angle', 'angle')}`,
  terms: {
    radius: () => num(1),
    hold: () => num(0),
    resisting: (path) => figureOf(path, 'output.tableFriction'),
    inertia: (path) => figureOf(path, 'output.tableInertia'),
    travel: (path) => figureOf(path, 'job.angle'),
  },
};

function turning(values: WishValues): WishPlan {
  const [mass, across, angle] = [need(values, 'mass'), need(values, 'across'), need(values, 'angle')];
  const time = need(values, 'time').si;
  const inertia = (mass.si * (across.si / 2) ** 2) / 2;
  const top = (2 * angle.si) / time;
  return {
    jobs: [{ id: 'turn', kind: 'turn', name: 'Turn', angle, profile: 'stop', ...timing(values) }],
    output: { kind: 'turntable', inertia: quantityOf(inertia, show(inertia, 'inertia'), 'estimated') },
    behind: [],
    shaftSpeed: 1.2 * top,
    power: (inertia * top ** 2 * 2) / time + 0.1 * top,
    motors: 1,
  };
}

/** A turntable as it is asked for. */
export const turntableWish: WishKind = {
  title: 'Turntable',
  says: 'turns a part of the robot',
  name: 'Turntable',
  fields: [
    MASS('what: turns', [amount(6, 'mass')]),
    { key: 'across', label: 'across', dimension: 'length', hint: [amount(0.4, 'length')] },
    ANGLE('180°'),
    TIME('1 s'),
    EVERY,
  ],
  machine: 'dc',
  plan: turning,
};
