import { workingFlow } from '../workingFlow.js';
import type { PathProtection, DcPath } from '../../../path/powerpath/path.js';
import { holdingCurrent, tripCurrent, type Breaker } from '../../../models/protection/breaker.js';
import {
  div,
  exp,
  max,
  mul,
  named,
  neg,
  num,
  sqrt,
  sub,
  found,
  type Expression,
} from '../../../path/worked/expression.js';
import { figureOf, motorsOf, workingSecondsOf } from '../../../path/terms/pathTerms.js';
import type { Limit } from '../limit.js';
import { SITUATIONS, type Situation } from '../situation.js';
import { supplySideLimit } from './electricLimit.js';

/** What runs through a breaker: `share` times one motor's supply current, and the others' beside. */
interface Watched {
  readonly breaker: Breaker;
  readonly share: number;
  readonly others: number;
}

function watched(path: DcPath, where: 'main' | 'branch'): Watched | undefined {
  const protection: PathProtection | undefined = path[where];
  if (!protection?.breaker) return undefined;
  if (where === 'main') return { breaker: protection.breaker, share: path.drive.motors, others: path.pack.others };
  return { breaker: protection.breaker, share: path.branch.together ? path.drive.motors : 1, others: 0 };
}

/**
 * Heat a breaker carries from the goes before, 0…1: the mean square of what the job draws while
 * working, over its share of the time.
 */
function heatBefore(path: DcPath, { breaker, share, others }: Watched): number {
  const { drive } = path;
  // A job beyond the pack's greatest power draws what that power takes, not more.
  const most = drive.restVoltage / (2 * drive.supplyResistance);
  const { supplyCurrent: supply = most } = workingFlow(path);
  const through = share * supply + others;
  return Math.min(1, path.asked.dutyShare * (through / holdingCurrent(breaker)) ** 2);
}

function breakerLimit(where: 'main' | 'branch', words: Pick<Limit, 'id' | 'name' | 'subject'>): Limit {
  return supplySideLimit({
    ...words,
    link: 'branch',
    wants: 1.5,
    goodFirst: false,
    also: [where === 'main' ? 'main breaker' : 'branch breaker', 'job'],
    situations: SITUATIONS,
    levers: ['breaker', 'deeper', 'motors', 'lighter', 'longer', 'less-push', 'less-often'],
    applies: (path) => watched(path, where) !== undefined,
    supplyCurrent: (path, situation) => {
      const on = watched(path, where)!;
      return Math.max(0, tripCurrent(on.breaker, situation.seconds, heatBefore(path, on)) - on.others) / on.share;
    },
    supplyWorking: (path, situation) => supplyWorking(path, situation, where, watched(path, where)!),
  });
}

function supplyWorking(path: DcPath, situation: Situation, where: 'main' | 'branch', on: Watched): Expression {
  const before = heatBefore(path, on);
  const heat = found(
    '\\theta_0',
    'heat from the goes before',
    'share',
    before,
    'mean square of the working current over its share of the time',
  );
  const seconds = named('t', 'time pushed', 'time', secondsWorking(path, situation));
  const left = exp(neg(div(seconds, figureOf(path, `${where}.timeConstant`))));
  const hold = mul(figureOf(path, `${where}.holdMultiple`), figureOf(path, `${where}.rated`));
  const trip =
    before >= 1
      ? num(0)
      : named(
          'I_{trip}',
          'current that just trips it',
          'current',
          mul(hold, sqrt(div(sub(num(1), mul(heat, left)), sub(num(1), left)))),
        );
  const share = where === 'main' || path.branch.together ? motorsOf(path) : num(1);
  const others = where === 'main' ? figureOf(path, 'pack.others') : num(0);
  return named('I_b', 'supply current of one motor', 'current', div(max(num(0), sub(trip, others)), share));
}

function secondsWorking(path: DcPath, situation: Situation): Expression {
  if (situation.id === 'holding') return figureOf(path, 'job.held');
  if (situation.id === 'working') return workingSecondsOf(path);
  if (path.asked.acceleration === 0) return figureOf(path, 'job.time');
  return num(situation.seconds, 'v/a');
}

export const branchBreaker = breakerLimit('branch', {
  id: 'branch-breaker',
  name: 'branch breaker',
  subject: 'The branch breaker',
});
export const mainBreaker = breakerLimit('main', {
  id: 'main-breaker',
  name: 'main breaker',
  subject: 'The main breaker',
});
