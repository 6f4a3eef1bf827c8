import type { Conclusion } from '../trials/conclusion.js';
import type { MeasuredFigure } from '../trials/measured.js';
import { FigureCollector } from '../../plan/figures/collector.js';
import type { PackPart, Part, ServoPart } from '../../plan/document/part.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import type { Quantity } from '../../plan/document/quantity.js';
import { readPackFigures } from '../../path/resolve/packFigures.js';
import type { Dimension } from '../../plan/words/dimension.js';
import { show } from '../../plan/words/show.js';
import { correctMotor, motorDifference } from './correctMotor.js';
import type { CorrectedFigure } from '../trials/trial.js';
import { foundIn, measuredQuantity, type TrialSource } from './correction.js';

export interface CorrectedPart {
  readonly part: Part;
  readonly figures: readonly CorrectedFigure[];
}

/** Sets figures one after the other, and remembers what stood there. */
class Setting {
  readonly figures: CorrectedFigure[] = [];
  constructor(private readonly source: TrialSource) {}

  take(label: string, dimension: Dimension, before: Quantity | undefined, found: MeasuredFigure | undefined) {
    if (!found) return before;
    this.figures.push({ label, dimension, before: before?.si, after: found.value });
    return measuredQuantity(found, dimension, this.source);
  }
}

/**
 * What was found is of the whole pack: its leads stay as they are, typical ones too, as far as they leave anything to the
 * cells. With shorter ones said, the pack comes to what was found and no more.
 */
function correctPack(part: PackPart, conclusion: Conclusion, set: Setting): Part {
  const found = foundIn(conclusion, 'packResistance');
  if (!found || found.value <= 0 || part.chemistry === 'bench') return part;
  const { figures } = readPackFigures(part, [], new FigureCollector());
  const leads = Math.min(figures.leadResistance, found.value / 2);
  const each = part.parallel / part.series;
  const cell = { value: (found.value - leads) * each, error: found.error * each };
  return {
    ...part,
    cellResistance: set.take('resistance of a cell', 'resistance', part.cellResistance, cell),
    leadResistance:
      leads < figures.leadResistance ? quantityOf(leads, show(leads, 'resistance'), 'estimated') : part.leadResistance,
  };
}

function correctServo(part: ServoPart, conclusion: Conclusion, set: Setting): Part {
  const stall = foundIn(conclusion, 'stallCurrent');
  const last = part.points.length - 1;
  return {
    ...part,
    idleCurrent: set.take('idle current', 'current', part.idleCurrent, foundIn(conclusion, 'idleCurrent')),
    runningCurrent: set.take(
      'current while moving',
      'current',
      part.runningCurrent,
      foundIn(conclusion, 'runningCurrent'),
    ),
    travel:
      part.motion === 'joint' ? set.take('travel', 'angle', part.travel, foundIn(conclusion, 'travel')) : part.travel,
    slop: set.take('play', 'angle', part.slop, positiveOf(foundIn(conclusion, 'play'))),
    points: part.points.map((point, i) =>
      i === last ? { ...point, stallCurrent: set.take('stall current', 'current', point.stallCurrent, stall) } : point,
    ),
  };
}

/** Play cannot be under nothing: readings that say so say there is none. */
const positiveOf = (found: MeasuredFigure | undefined): MeasuredFigure | undefined =>
  found && found.value > 0 ? found : undefined;

/**
 * A part with what a trial found in place of what its sheet says: marked measured, with error and the way back to the
 * readings. `undefined` where the trial finds nothing that the part has a figure for.
 *
 * @example correctPart(plan.parts['pack-1'].part, conclusion, { id: 'trial-1', trial }) //=> { part: …, figures: … }
 */
export function correctPart(part: Part, conclusion: Conclusion, source: TrialSource): CorrectedPart | undefined {
  if (part.kind === 'motor') {
    const after = correctMotor(part, conclusion, source);
    const figures = after && motorDifference(part, after);
    return after && figures && figures.length > 0 ? { part: after, figures } : undefined;
  }
  const set = new Setting(source);
  const after =
    part.kind === 'pack'
      ? correctPack(part, conclusion, set)
      : part.kind === 'servo'
        ? correctServo(part, conclusion, set)
        : part;
  return set.figures.length > 0 ? { part: after, figures: set.figures } : undefined;
}
