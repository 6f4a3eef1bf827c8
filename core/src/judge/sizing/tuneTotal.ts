import { choiceAt } from '../../plan/document/place.js';
import type { Change } from '../../plan/document/change.js';
import { currentChoice, type Mechanism, type Plan } from '../../plan/document/plan.js';
import { digits } from '../../plan/words/show.js';
import type { Stage } from '../../plan/document/stage.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import type { PowerPath } from '../../path/powerpath/path.js';

/** Fewest and most driven teeth that dragging the total steps through. */
const FEWEST = 8;
const MOST = 200;

/**
 * The stage that moves when the total is dragged: the one named, else the last that can.
 *
 * @example tuningStage(mast).id //=> 's2'
 */
export function tuningStage(mechanism: Mechanism): Stage | undefined {
  const choice = currentChoice(mechanism);
  const tunable = choice.stages.filter((stage) => stage.kind !== 'worm' && stage.kind !== 'screw');
  return tunable.find((stage) => stage.id === choice.tuning) ?? tunable.at(-1);
}

export type Rounding = 'nearest' | 'up' | 'down';

/**
 * The change that brings the total as near to `wanted` as the tuning stage can: whole driven teeth,
 * or a ratio to three digits. `undefined` where no stage can move.
 */
export function tuneTotal(
  plan: Plan,
  mechanism: Mechanism,
  path: PowerPath,
  wanted: number,
  rounding: Rounding = 'nearest',
): Change | undefined {
  const stage = tuningStage(mechanism);
  if (!stage || stage.kind === 'worm' || stage.kind === 'screw') return undefined;
  const choice = currentChoice(mechanism);
  const index = choice.stages.indexOf(stage);
  const others = path.train.total / path.train.stages[index]!.ratio;
  const at = [...choiceAt(plan, mechanism), 'stages', index];
  const ratio = wanted / others;
  if (!Number.isFinite(ratio)) return undefined;
  if (stage.kind === 'ratio' || stage.kind === 'planetary') {
    const step = 10 ** (Math.floor(Math.log10(ratio)) - 2);
    const rounded = Number((round(ratio / step, rounding) * step).toPrecision(3));
    return { at: [...at, 'ratio'], to: quantityOf(rounded, `${rounded}:1`) };
  }
  const driven = Math.min(MOST, Math.max(FEWEST, round(ratio * stage.driver, rounding)));
  const freed = withoutLength(stage, path.stageParts[index]?.centre);
  return freed ? { at, to: { ...freed, driven } } : { at: [...at, 'driven'], to: driven };
}

/**
 * Another wheel takes another chain or belt: the length is set free, and the nearest to the same distance goes round.
 * `undefined` where no length was chosen.
 */
export function withoutLength(stage: Stage, centre: number | undefined): Stage | undefined {
  const keeps = 'centre' in stage && stage.centre ? undefined : centre;
  const wanted =
    keeps === undefined || Number.isNaN(keeps) ? {} : { centre: quantityOf(keeps, `${digits(1000 * keeps, 6)} mm`) };
  if (stage.kind === 'chain' && stage.links !== undefined) {
    const { links: _links, ...rest } = stage;
    return { ...rest, ...wanted };
  }
  if (stage.kind === 'belt' && stage.beltTeeth !== undefined) {
    const { beltTeeth: _teeth, ...rest } = stage;
    return { ...rest, ...wanted };
  }
  return undefined;
}

// A hair of slack, so that 54.0000001 teeth are 54 and not 55.
const HAIR = 1e-9;

function round(value: number, how: Rounding): number {
  if (how === 'up') return Math.ceil(value - HAIR);
  return how === 'down' ? Math.floor(value + HAIR) : Math.round(value);
}
