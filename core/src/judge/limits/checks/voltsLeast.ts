import { amount, say } from '../../../plan/words/phrase.js';
import { div, found, mul, named, sub } from '../../../path/worked/expression.js';
import { figureOf, restVoltageOf, supplyResistanceOf } from '../../../path/terms/pathTerms.js';
import type { DcPath } from '../../../path/powerpath/path.js';
import type { CheckRule } from '../check.js';
import { RUN_NEEDS } from '../../motion/needs.js';

/** In a run at full effort the pack must not sag to where the controller lets go. */
export const voltsLeast: CheckRule<DcPath> = {
  id: 'volts-least',
  name: 'sagging pack in window',
  link: 'pack',
  needs: ['window', ...RUN_NEEDS],
  run: true,
  levers: ['supply-limit-down', 'stator-limit-down', 'parallel', 'thicker-wire', 'deeper'],
  applies: () => true,
  answer: (path, run) => {
    const { drive, controller } = path;
    const perMotor = (run?.peakSupplyCurrent ?? 0) / drive.motors;
    const least = drive.restVoltage - drive.supplyResistance * perMotor;
    const peak = found(
      'I_{peak}',
      'greatest supply current of one motor',
      'current',
      perMotor,
      'by stepping the motion at full effort',
    );
    return {
      outcome: { multiple: Math.max(0, least) / controller.lowestVoltage },
      asked: { value: controller.lowestVoltage, dimension: 'voltage' },
      there: { value: least, dimension: 'voltage' },
      sentence: say`At full effort the volts sag to ${amount(least, 'voltage')}; the controller works down to ${amount(controller.lowestVoltage, 'voltage')}.`,
      working: () =>
        named(
          'x',
          'least volts over the lowest the controller takes',
          'number',
          div(
            {
              op: 'max',
              args: [{ op: 'number', value: 0 }, sub(restVoltageOf(path), mul(supplyResistanceOf(path), peak))],
            },
            figureOf(path, 'controller.lowestVoltage'),
          ),
        ),
    };
  },
};
