import { show } from '../../plan/words/show.js';
import { amount, type Amount, type Words } from '../../plan/words/phrase.js';
import { choiceAt, type Place } from '../../plan/document/place.js';
import type { FigureName } from '../../plan/figures/table.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import type { Lever, LeverContext } from './lever.js';
import type { LeverId } from '../limits/leverId.js';

/** A figure of the plan that is simply made smaller or greater. */
export function figureLever(
  id: LeverId,
  name: FigureName,
  farthest: number,
  label: (value: Amount, from: Amount) => Words,
): Lever {
  return {
    id,
    span: ({ path }) => {
      const from = path.figures[name]?.value;
      return from === undefined || from <= 0 ? undefined : { from, to: from * farthest };
    },
    set: ({ path }, value) => {
      const figure = path.figures[name]!;
      const rounded = roundOutwards(value, farthest > 1);
      return {
        changes: [{ at: figure.at, to: quantityOf(rounded, show(rounded, figure.dimension)) }],
        label: label(amount(rounded, figure.dimension), amount(figure.value!, figure.dimension)),
      };
    },
  };
}

/**
 * Two significant digits and a half: away from where it stands, so that the mend still does it.
 *
 * @example roundOutwards(1.234, true) //=> 1.25
 */
export function roundOutwards(value: number, up: boolean): number {
  const step = 10 ** (Math.floor(Math.log10(value)) - 1) / 2;
  const rounded = up ? Math.ceil(value / step - 1e-9) * step : Math.floor(value / step + 1e-9) * step;
  return Number(rounded.toPrecision(6));
}

export const driveAt = ({ plan, mechanism }: LeverContext): Place => [...choiceAt(plan, mechanism), 'drive'];
