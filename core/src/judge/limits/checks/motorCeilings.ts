import { freeSpeedAt } from '../../../models/motor/peaks.js';
import { ifFinite } from '../../../plan/figures/ifFinite.js';
import { amount, say } from '../../../plan/words/phrase.js';
import { CELLS } from '../../../models/pack/cells.js';
import { motorSpeed, type DcPath } from '../../../path/powerpath/path.js';
import { div, found, mul, named, num } from '../../../path/worked/expression.js';
import { figureOf } from '../../../path/terms/pathTerms.js';
import type { CheckRule } from '../check.js';
import { RUN_NEEDS } from '../../motion/needs.js';

/** What a motor stands: volts at its terminals and turns of its rotor. */

/** The pack fresh off the charger against the most volts the motor stands: the controller may pass all of them on. */
export const motorVolts: CheckRule<DcPath> = {
  id: 'motor-volts',
  name: 'motor takes the pack’s volts',
  link: 'motor',
  needs: ['pack', 'controller'],
  run: false,
  levers: [],
  applies: ({ motor }) => motor.highestVoltage !== undefined,
  answer: (path) => {
    const { pack, drive } = path;
    const there = path.motor.highestVoltage!;
    const reaches = drive.greatestDuty * pack.full;
    return {
      outcome: { multiple: there / reaches },
      asked: { value: reaches, dimension: 'voltage' },
      there: { value: there, dimension: 'voltage' },
      sentence: say`Off the charger ${amount(reaches, 'voltage')} reach the motor; it stands ${amount(there, 'voltage')}${path.figures['motor.highestVoltage']?.source === 'typical' ? ', as is usual of its kind' : ''}.`,
      hint: say`A pack of fewer cells, a greatest duty that holds it to ${amount(there, 'voltage')}, or a motor made for ${amount(reaches, 'voltage')}.`,
      working: () =>
        named(
          'x',
          'volts it stands over those of the full pack',
          'number',
          div(
            figureOf(path, 'motor.highestVoltage'),
            mul(
              figureOf(path, 'controller.greatestDuty'),
              num(pack.figures.series, 'cells'),
              num(CELLS[pack.figures.chemistry].full, 'full cell'),
            ),
          ),
        ),
    };
  },
};

/** The fastest the job and its run turn the motor, and how fast it is with nothing on it, against what its rotor stands. */
export const motorTopSpeed: CheckRule<DcPath> = {
  id: 'motor-speed',
  name: 'motor stands its speed',
  link: 'motor',
  needs: RUN_NEEDS,
  run: true,
  levers: ['shallower', 'longer', 'deeper'],
  applies: () => true,
  answer: (path, run) => {
    const reached = motorSpeed(path, Math.max(path.asked.speed, run?.topSpeed ?? 0));
    const asked = { value: reached, dimension: 'speed' as const };
    const there = path.motor.highestSpeed;
    if (there === undefined)
      return {
        outcome: { note: true },
        asked,
        there: 'not known',
        sentence: say`The motor turns at up to ${amount(reached, 'speed')} here. How fast its rotor may turn is not known: its sheet says, or its maker.`,
      };
    const free = freeSpeedAt(path.drive.motor, path.drive.greatestDuty * path.pack.full);
    const loose =
      free > there
        ? say` With nothing on it, it comes to ${amount(free, 'speed')} on a full pack: a load that lets go is enough.`
        : '';
    return {
      // What it must bear at work, and with margin what it comes to when its load lets go.
      outcome: { multiple: there / reached, wants: Math.max(1, ifFinite(free / reached) ?? 1) },
      asked,
      there: { value: there, dimension: 'speed' },
      sentence: say`The motor turns at up to ${amount(reached, 'speed')} here; it may turn at ${amount(there, 'speed')}${path.figures['motor.highestSpeed']?.source === 'typical' ? ', as is usual of its kind' : ''}.${loose}`,
      hint: 'Less reduction, fewer volts, or a motor wound for fewer rpm a volt.',
      working: () =>
        named(
          'x',
          'speed it may turn at over the greatest',
          'number',
          div(
            figureOf(path, 'motor.highestSpeed'),
            found(
              '\\omega_{top}',
              'fastest it turns',
              'speed',
              reached,
              'the job’s speed or the run’s top, at the motor',
            ),
          ),
        ),
    };
  },
};
