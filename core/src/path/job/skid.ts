import { say } from '../../plan/words/phrase.js';
import { headingPerTurn, meanReach, scrubOf, skid } from '../../models/load/skid.js';
import type { SkidJob, WheelsOutput } from '../../plan/document/load.js';
import type { PowerPath } from '../powerpath/path.js';
import { add, cos, div, found, mul, num, pow, type Expression } from '../worked/expression.js';
import { figureOf, weightOf } from '../worked/leaf.js';
import { readAsked } from './asked.js';
import type { JobKindSpec } from './kind.js';
import { figureText } from './words.js';
import { carriedByTyres, readWheels, USUAL_WHEELS } from './wheels.js';

/** A drive base that turns on the spot: its treads scrub sideways while they drive. */

/**
 * Axles a robot stands on, two wheels to each.
 *
 * @example axlesOf({ kind: 'wheels', wheels: 6 }) //=> 3
 */
export const axlesOf = ({ wheels = USUAL_WHEELS }: WheelsOutput): number => Math.max(1, Math.round(wheels / 2));

const scrubbing = (path: PowerPath): { readonly push: Expression; readonly faster: Expression } => {
  const { reach } = path.turning!;
  const { push, faster } = scrubOf(path.figures['output.track']?.value ?? NaN, reach);
  const how = 'tan φ is how far the wheels stand from the middle over half the track';
  return {
    push: found('\\sin\\varphi', 'share of its grip that a scrubbing tread pushes with', 'number', push, how),
    faster: found('1/\\cos^2\\varphi', 'how much faster than rolling the treads run', 'number', faster, how),
  };
};

/** track/(2·cos²φ): what a push of the treads turns by. */
const leverOf = (path: PowerPath): Expression =>
  mul(div(figureOf(path, 'output.track'), num(2)), scrubbing(path).faster);

/** Heading for a turn of the wheels. */
const headingTurnOf = (path: PowerPath): Expression =>
  div(mul(num(2), figureOf(path, 'output.wheelRadius')), mul(figureOf(path, 'output.track'), scrubbing(path).faster));

export const skidTurn: JobKindSpec<SkidJob, WheelsOutput> = {
  output: 'wheels',
  read: (job, output, at, collect) => {
    const { radius: wheelRadius, base: wheels, spins } = readWheels(job, output, at, collect);
    const track = collect.take('output.track', output.track, [...at.output, 'track']);
    const base = collect.take('output.base', output.base, [...at.output, 'base']);
    const block = (wheels.mass * (track ** 2 + (base + 2 * wheelRadius) ** 2)) / 12;
    const inertia = collect.take('output.yawInertia', output.yawInertia, [...at.output, 'yawInertia'], {
      value: Number.isNaN(block) ? undefined : block,
      why: 'a block of its mass over track and base',
    });
    const scrub = collect.take('output.scrub', output.scrub, [...at.output, 'scrub'], {
      value: Number.isNaN(wheels.grip) ? undefined : wheels.grip,
      why: 'as it grips along',
      source: 'typical',
    });
    const travel = collect.take('job.angle', job.angle, [...at.job, 'angle']);
    const reach = base * meanReach(axlesOf(output));
    const radius = headingPerTurn({ wheelRadius, track, reach });
    return {
      radius,
      spins,
      load: skid({ ...wheels, inertia: inertia + (spins ?? 0) / radius ** 2, wheelRadius, track, reach, scrub }),
      asked: readAsked(job, travel, at.job, collect, { turning: true }),
      turning: { reach },
    };
  },
  heavy: 'output.mass',
  outputTitle: 'Wheels',
  outputWord: 'turning moment',
  outputDetail: (path) => say`${figureText(path, 'output.track', 'length')} apart`,
  detail: (path) => say`turn by ${figureText(path, 'job.angle', 'angle')}`,
  terms: {
    radius: headingTurnOf,
    hold: () => num(0),
    resisting: (path) =>
      mul(
        weightOf(path, 'output.mass'),
        cos(figureOf(path, 'job.slope')),
        leverOf(path),
        add(mul(figureOf(path, 'output.scrub'), scrubbing(path).push), figureOf(path, 'output.rollingResistance')),
      ),
    inertia: (path) =>
      path.spins === undefined
        ? figureOf(path, 'output.yawInertia')
        : add(
            figureOf(path, 'output.yawInertia'),
            div(figureOf(path, 'output.wheelInertia'), pow(headingTurnOf(path), 2)),
          ),
    travel: (path) => figureOf(path, 'job.angle'),
    carried: (path) => mul(carriedByTyres(path), leverOf(path)),
  },
};
