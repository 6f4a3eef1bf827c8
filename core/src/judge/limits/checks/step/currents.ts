import { amount, say } from '../../../../plan/words/phrase.js';
import type { StepPath } from '../../../../path/powerpath/stepPath.js';
import { div, named } from '../../../../path/worked/expression.js';
import { figureOf } from '../../../../path/terms/pathTerms.js';
import type { CheckRule } from '../../check.js';

function currentCheck(
  words: Pick<CheckRule, 'id' | 'name' | 'link'> & {
    readonly figure: string;
    readonly of: string;
    readonly hint: string;
  },
  most: (path: StepPath) => number,
): CheckRule<StepPath> {
  const { figure, of, hint, ...rest } = words;
  return {
    ...rest,
    needs: ['motor', 'driver'],
    run: false,
    levers: ['set-current-down'],
    applies: ({ step }) => step.motor.loop === 'open',
    answer: (path) => {
      const { setCurrent } = path.step;
      const there = most(path);
      return {
        outcome: { multiple: there / setCurrent },
        asked: { value: setCurrent, dimension: 'current' },
        there: { value: there, dimension: 'current' },
        sentence: say`Set to ${amount(setCurrent, 'current')} of a phase, r.m.s.; ${of} ${amount(there, 'current')}.`,
        hint,
        working: () =>
          named(
            'x',
            'current allowed over current set',
            'number',
            div(figureOf(path, figure), figureOf(path, 'drive.setCurrent')),
          ),
      };
    },
  };
}

/** The motor's phases are rated for a current. */
export const setCurrent = currentCheck(
  {
    id: 'set-current',
    name: 'set current within the motor’s',
    link: 'motor',
    figure: 'stepper.ratedCurrent',
    of: 'the motor is rated for',
    hint: 'Set the driver to the motor’s rated current: mind whether its switches count peaks.',
  },
  ({ step }) => step.ratedCurrent,
);

/** The driver gives so much and no more. */
export const driverCurrent = currentCheck(
  {
    id: 'driver-current',
    name: 'set current within the driver’s',
    link: 'controller',
    figure: 'driver.mostCurrent',
    of: 'the driver gives up to',
    hint: 'A greater driver, or a motor for less current.',
  },
  ({ driver }) => driver.mostCurrent,
);
