import { show } from '../../format/show.js';
import { CELLS } from '../../pack/cells.js';
import { div, mul, named, num } from '../../worked/expression.js';
import { figureOf } from '../../worked/terms.js';
import type { CheckRule } from '../check.js';

/** The pack fresh off the charger must not be more than the controller takes. */
export const voltsFull: CheckRule = {
  id: 'volts-full',
  name: 'full pack in window',
  link: 'controller',
  needs: ['window', 'pack'],
  run: false,
  levers: [],
  applies: () => true,
  answer: (path) => {
    const { pack, controller } = path;
    const { chemistry, series } = pack.figures;
    return {
      outcome: { multiple: controller.highestVoltage / pack.full },
      asked: { value: pack.full, dimension: 'voltage' },
      there: { value: controller.highestVoltage, dimension: 'voltage' },
      sentence: `Off the charger the pack gives ${show(pack.full, 'voltage')}; the controller takes up to ${show(controller.highestVoltage, 'voltage')}.`,
      hint: `Choose a controller for at least ${show(pack.full, 'voltage')}, or a pack of fewer cells.`,
      working: () =>
        named(
          'x',
          'highest volts over full pack',
          'number',
          div(
            figureOf(path, 'controller.highestVoltage'),
            mul(num(series, 'cells'), num(CELLS[chemistry].full, 'full cell')),
          ),
        ),
    };
  },
};
