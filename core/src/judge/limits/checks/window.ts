import { amount, say } from '../../../plan/words/phrase.js';
import type { Need } from '../../../plan/figures/figure.js';
import { CELLS } from '../../../models/pack/cells.js';
import type { PowerPath } from '../../../path/powerpath/path.js';
import { div, mul, named, num } from '../../../path/worked/expression.js';
import { figureOf } from '../../../path/terms/pathTerms.js';
import type { CheckRule } from '../check.js';

const NEEDS: readonly Need[] = ['window', 'pack'];

/** What stands in front of the motor, and the highest volts it takes. */
interface Front<P extends PowerPath> {
  readonly word: 'controller' | 'driver';
  readonly figure: string;
  /** Said besides. */
  readonly also?: string;
  highest(path: P): number;
}

/** The pack fresh off the charger must not be more than what stands in front of the motor takes. */
export const fullVoltsCheck = <P extends PowerPath>({ word, figure, also = '', highest }: Front<P>): CheckRule<P> => ({
  id: 'volts-full',
  name: 'full pack in window',
  link: 'controller',
  needs: NEEDS,
  run: false,
  levers: [],
  applies: () => true,
  answer: (path) => {
    const { pack } = path;
    const { chemistry, series } = pack.figures;
    const there = highest(path);
    return {
      outcome: { multiple: there / pack.full },
      asked: { value: pack.full, dimension: 'voltage' },
      there: { value: there, dimension: 'voltage' },
      sentence: say`${chemistry === 'bench' ? 'The bench supply' : 'Off the charger the pack'} gives ${amount(pack.full, 'voltage')}; the ${word} takes up to ${amount(there, 'voltage')}${also}.`,
      hint: say`Choose a ${word} for at least ${amount(pack.full, 'voltage')}, ${chemistry === 'bench' ? 'or set the supply lower' : 'or a pack of fewer cells'}.`,
      working: () =>
        named(
          'x',
          'highest volts over full pack',
          'number',
          div(figureOf(path, figure), mul(num(series, 'cells'), num(CELLS[chemistry].full, 'full cell'))),
        ),
    };
  },
});
