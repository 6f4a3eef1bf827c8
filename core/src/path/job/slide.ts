import { carriage } from '../../models/load/carriage.js';
import type { CarriageOutput, SlideJob } from '../../plan/document/load.js';
import type { PowerPath } from '../powerpath/path.js';
import { END_FACTOR, WHIRL_FACTOR } from '../../models/reduction/screwLoad.js';
import { add, mul, num, sin, type Expression } from '../worked/expression.js';
import { figureOf, weightOf } from '../worked/leaf.js';
import { amount, say } from '../../plan/words/phrase.js';
import { GRAVITY } from '../../models/load/gravity.js';
import type { ScrewStage } from '../../plan/document/stage.js';
import { readAsked } from './asked.js';
import { readFalls } from './falls.js';
import type { JobKindSpec } from './kind.js';
import { figureText } from './words.js';
import {
  EVERY,
  FAR,
  MASS,
  TIME,
  type WishKind,
  type WishPlan,
  type WishValues,
  millimetres,
  need,
  straight,
  timing,
  typicalOf,
} from './wish.js';

/** A carriage on a lead screw. The screw is a stage: turns become metres there, so that radius is 1. */

const FRICTION_SHARE = 0.05;

const alone = (path: PowerPath): Expression =>
  add(mul(weightOf(path, 'job.mass'), sin(figureOf(path, 'job.slope'))), figureOf(path, 'job.slidePush'));

export const slide: JobKindSpec<SlideJob, CarriageOutput> = {
  output: 'carriage',
  read: (job, output, at, collect) => {
    const mass = collect.take('job.mass', job.mass, [...at.job, 'mass']);
    const travel = collect.take('job.distance', job.distance, [...at.job, 'distance']);
    const slope = collect.take('job.slope', job.slope, [...at.job, 'slope'], {
      value: 0,
      why: 'level',
      source: 'typical',
    });
    const falls = readFalls(output, at.output, collect);
    return {
      radius: 1,
      falls: slope > 0 ? falls : undefined,
      load: carriage({
        mass,
        push: collect.take('job.slidePush', job.push, [...at.job, 'push']),
        friction: collect.take('job.friction', job.friction, [...at.job, 'friction'], {
          value: Number.isNaN(mass) ? undefined : FRICTION_SHARE * mass * GRAVITY,
          why: '5 % of the load’s weight',
        }),
        slope,
      }),
      asked: readAsked(job, travel, at.job, collect),
      buckling: {
        diameter: collect.take('output.screwDiameter', output.screwDiameter, [...at.output, 'screwDiameter']),
        length: collect.take('output.freeLength', output.freeLength, [...at.output, 'freeLength'], {
          value: Number.isNaN(travel) ? undefined : travel,
          why: 'the travel',
        }),
        endFactor: END_FACTOR[output.ends ?? 'supported'],
        whirlFactor: WHIRL_FACTOR[output.ends ?? 'supported'],
      },
    };
  },
  heavy: 'job.mass',
  outputTitle: 'Carriage',
  outputWord: 'at nut',
  outputDetail: (path) =>
    path.machine === 'servo'
      ? 'on the servo’s rod'
      : say`screw ⌀ ${figureText(path, 'output.screwDiameter', 'length')}`,
  detail: (path) => say`${figureText(path, 'job.mass', 'mass')} along ${figureText(path, 'job.distance', 'length')}`,
  terms: {
    radius: () => num(1),
    hold: alone,
    resisting: (path) => add(alone(path), figureOf(path, 'job.friction')),
    inertia: (path) => figureOf(path, 'job.mass'),
    travel: (path) => figureOf(path, 'job.distance'),
  },
};

const LEAD = 0.008;
const SCREW = 0.008;

/** The screw of a carriage that has none yet, 8 mm of lead on 9 mm. */
export const usualScrew = (): ScrewStage => ({
  id: 's2',
  kind: 'screw',
  lead: millimetres(LEAD),
  pitchDiameter: millimetres(SCREW + 0.001),
  friction: typicalOf(0.15, '0.15'),
});

function sliding(values: WishValues): WishPlan {
  const { mass, distance, speed } = straight(values);
  return {
    jobs: [{ id: 'slide', kind: 'slide', name: 'Move along', mass, distance, profile: 'stop', ...timing(values) }],
    output: { kind: 'carriage', screwDiameter: millimetres(SCREW), freeLength: distance, holder: 'nothing' },
    behind: [usualScrew()],
    shaftSpeed: (1.5 * 2 * Math.PI * speed) / LEAD,
    power: 3 * (0.05 * mass.si * GRAVITY + (mass.si * 2 * distance.si) / need(values, 'time').si ** 2) * speed,
    motors: 1,
  };
}

/** A carriage on a screw as it is asked for. */
export const carriageWish: WishKind = {
  title: 'Screw carriage',
  says: 'a nut on a lead screw',
  name: 'Carriage',
  fields: [MASS('what: moves', [amount(2, 'mass')]), FAR([amount(0.3, 'length')]), TIME('2 s'), EVERY],
  machine: 'dc',
  plan: sliding,
};
