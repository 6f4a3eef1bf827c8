import { judgedOver } from './judgedOver.js';
import type { Headline, Judgement } from './mechanism.js';
import { CONTROL_PERIOD } from '../../models/controller/leastSpeed.js';
import { ifFinite } from '../../plan/figures/ifFinite.js';
import { leastOutputSpeed } from '../limits/checks/slowControl.js';
import { pulseAtOutput } from '../limits/checks/step/resolves.js';
import { deadbandAngle } from '../../models/servo/precision.js';
import { SITUATIONS } from '../limits/situation.js';
import { currentChoice, trainsOf, type Mechanism, type Plan } from '../../plan/document/plan.js';
import { massOf } from '../ledger/massOf.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import { lacksOf } from '../../path/powerpath/path.js';
import { piecesOf, sameKey, stillToPay, type CommonHere, toBuy, usedElsewhere } from '../../plan/document/stockOf.js';
import type { Figures } from '../../plan/document/want.js';

/** A design judged in full, and what it measures. */
export interface MeasuredDesign {
  readonly headline: Headline;
  readonly figures: Figures;
  /** A ladder of some job that cannot be told for want of a figure. */
  readonly unknown?: string;
}

/**
 * Judges a mechanism by the choice in force, over all jobs, as its screen does; time and currents are those of one job.
 * Throws where the mechanism has no such job.
 *
 * @example measure(plan, mast, 'raise').figures.time //=> 1.509
 */
export function measure(
  plan: Plan,
  mechanism: Mechanism,
  jobId: string,
  commonHere: CommonHere = new Set(),
  used: ReadonlyMap<string, number> = usedElsewhere(plan, mechanism.id),
): MeasuredDesign {
  const { headline, path, result, all } = judgedOver(plan, mechanism, jobId);
  const unknown = all
    .flatMap(({ ladders }) => SITUATIONS.map((id) => ladders[id]))
    .find(({ verdict }) => verdict === 'not known');
  return {
    headline,
    figures: {
      ...motionFigures(path, result, all),
      ...stockFigures(plan, mechanism, commonHere, used),
    },
    unknown: unknown ? (unknown.lacks[0]?.label ?? 'a figure') : undefined,
  };
}

/** Time and current of one job, and the least multiple over all. */
function motionFigures(path: AnyPath, { run }: Judgement, all: readonly Judgement[]): Figures {
  const multiples = all.flatMap(({ ladders }) => SITUATIONS.map((id) => ladders[id].first?.multiple));
  const known = multiples.filter((multiple) => multiple !== undefined);
  const slow = slowestOf(path);
  return {
    time: run?.outcome === 'arrived' ? run.time : undefined,
    current: run?.peakSupplyCurrent,
    margin: known.length > 0 ? Math.min(...known) : undefined,
    slow,
  };
}

/**
 * The slowest speed kept steadily, of the load itself, m/s or rad/s; never 0. What takes pulses goes by one a period of
 * its commands, a servo by its dead band.
 *
 * @example slowestOf(path) //=> 0.008795
 */
export function slowestOf(path: AnyPath): number | undefined {
  switch (path.machine) {
    case 'dc': {
      const lacks = lacksOf(path, ['creep', 'motor', 'pack', 'wiring', 'controller', 'train', 'output']);
      return lacks.length > 0 ? undefined : leastOutputSpeed(path) * path.asked.perCoordinate;
    }
    case 'step':
      return ifFinite((pulseAtOutput(path) * path.asked.perCoordinate) / CONTROL_PERIOD);
    case 'servo': {
      const { travel, longestPulse, shortestPulse, deadband } = path.servo;
      const angle = deadbandAngle(travel, longestPulse - shortestPulse, deadband);
      return ifFinite(((path.linked?.ratioAt(0) ?? NaN) * angle * path.asked.perCoordinate) / CONTROL_PERIOD);
    }
  }
}

/** What it weighs, what is still to be paid and bought, and what is in common with others. */
export function stockFigures(
  plan: Plan,
  mechanism: Mechanism,
  commonHere: CommonHere,
  used: ReadonlyMap<string, number>,
): Figures {
  const choice = currentChoice(mechanism);
  let [price, bought, common]: [number | undefined, number, number] = [0, 0, 0];
  for (const [id, pieces] of piecesOf(choice.drive)) {
    const copy = plan.parts[id];
    if (!copy) continue;
    const key = sameKey(copy);
    const missing = toBuy(pieces, copy.part.owned, used.get(key));
    bought += missing;
    if (used.has(key) || commonHere.has(key)) common++;
    price = plus(price, stillToPay(copy.part, pieces, used.get(key)));
  }
  const { motors, controllers, train } = massOf(plan, mechanism);
  // Stages that were bought say what they cost; others are not counted.
  const stages = choice.stages.reduce((sum, stage) => sum + (stage.price?.si ?? 0), 0);
  return {
    mass: motors.missing.length > 0 ? undefined : motors.mass + controllers.mass + train.mass,
    price: plus(price, trainsOf(choice.drive) * stages),
    bought,
    common,
  };
}

const plus = (a: number | undefined, b: number | undefined) => (a === undefined || b === undefined ? undefined : a + b);
