import { amount, say } from '../../../plan/words/phrase.js';
import type { PowerPath } from '../../../path/powerpath/path.js';
import { add, div, mul, named, num } from '../../../path/worked/expression.js';
import { figureOf, leverOf } from '../../../path/terms/pathTerms.js';
import type { CheckRule } from '../check.js';

/** One step of the sensor at the output; nothing where the table itself is measured. */
const stepOf = ({ settling, train }: PowerPath): number =>
  settling?.counts === undefined ? 0 : (2 * Math.PI) / (settling.counts * train.total);

/** Can it stand within the window: a step of its sensor and the backlash behind it? */
export const resolves: CheckRule = {
  id: 'resolves',
  name: 'stands within the window',
  link: 'output',
  needs: ['settling', 'train', 'job'],
  run: false,
  levers: ['deeper'],
  applies: (path) => path.settling !== undefined,
  answer: (path) => {
    const { window, backlash, counts } = path.settling!;
    const there = stepOf(path) + backlash;
    return {
      outcome: { multiple: window / Math.max(there, 1e-9) },
      asked: { value: window, dimension: 'angle' },
      there: { value: there, dimension: 'angle' },
      sentence: say`One step of the sensor is ${amount(stepOf(path), 'angle')} at the output, and ${amount(backlash, 'angle')} of backlash lies behind it; it must stand within ${amount(window, 'angle')}.`,
      hint: 'Less backlash in the last stage, or a sensor on the table itself, tells it where it stands.',
      working: () => {
        const step =
          counts === undefined ? num(0) : div(num(2 * Math.PI), mul(figureOf(path, 'output.counts'), leverOf(path)));
        return named(
          'x',
          'window over what is uncertain',
          'number',
          div(figureOf(path, 'job.settle'), add(step, figureOf(path, 'output.backlash'))),
        );
      },
    };
  },
};
