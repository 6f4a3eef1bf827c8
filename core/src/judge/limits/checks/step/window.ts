import { amount, say } from '../../../../plan/words/phrase.js';
import type { StepPath } from '../../../../path/powerpath/stepPath.js';
import { div, found, named } from '../../../../path/worked/expression.js';
import { figureOf } from '../../../../path/terms/pathTerms.js';
import type { CheckRule } from '../../check.js';
import { STEP_RUN_NEEDS } from '../../../motion/needs.js';
import { fullVoltsCheck } from '../window.js';

/** The pack off the charger against the driver's highest volts. */
export const driverVoltsFull = fullVoltsCheck<StepPath>({
  word: 'driver',
  figure: 'driver.highestVoltage',
  also: ', and a motor that is slowed down sends more back',
  highest: ({ driver }) => driver.highestVoltage,
});

/** The sagging pack against the driver's lowest volts. */
export const driverVoltsLeast: CheckRule<StepPath> = {
  id: 'volts-least',
  name: 'sagging pack in window',
  link: 'pack',
  needs: ['window', ...STEP_RUN_NEEDS],
  run: true,
  levers: ['parallel', 'thicker-wire'],
  applies: () => true,
  answer: (path, run) => {
    const { driver, restVoltage, supplyResistance, motors } = path;
    const least = Math.max(0, restVoltage - (supplyResistance * (run?.peakSupplyCurrent ?? 0)) / motors);
    return {
      outcome: { multiple: least / driver.lowestVoltage },
      asked: { value: driver.lowestVoltage, dimension: 'voltage' },
      there: { value: least, dimension: 'voltage' },
      sentence: say`At its worst the volts sag to ${amount(least, 'voltage')}; the driver works down to ${amount(driver.lowestVoltage, 'voltage')}.`,
      working: () =>
        named(
          'x',
          'least volts over the lowest the driver takes',
          'number',
          div(
            found('V', 'least volts', 'voltage', least, 'along the commanded motion'),
            figureOf(path, 'driver.lowestVoltage'),
          ),
        ),
    };
  },
};
