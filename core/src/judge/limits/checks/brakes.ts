import { amount, say } from '../../../plan/words/phrase.js';
import { voltsWhileReturning } from '../../../models/controller/brakePoint.js';
import type { Run } from '../../motion/run.js';
import type { DcPath } from '../../../path/powerpath/path.js';
import { add, div, found, max, mul, named, num } from '../../../path/worked/expression.js';
import { figureOf, supplyResistanceOf } from '../../../path/terms/pathTerms.js';
import type { CheckRule } from '../check.js';
import { RUN_NEEDS } from '../../motion/needs.js';

/** What braking sends back: against the pack's charge limit and the controller's highest volts. */

/** The job brakes by its profile: only then something flows back during its run. */
const brakes = ({ asked }: DcPath): boolean => asked.travel !== undefined && asked.profile !== 'moving';

const returnedOf = (run: Run | undefined) =>
  found('I_{ret}', 'greatest current back into the pack', 'current', run?.peakReturned ?? 0, 'by stepping the run');

const TINY = 0.01;

export const returnCharge: CheckRule<DcPath> = {
  id: 'return-charge',
  name: 'pack takes what braking returns',
  link: 'pack',
  needs: ['returned', ...RUN_NEEDS],
  run: true,
  levers: ['return-limit-down', 'brake-limit-down', 'parallel', 'longer', 'lighter'],
  applies: brakes,
  answer: (path, run) => {
    const returned = run?.peakReturned ?? 0;
    const there = { value: path.pack.chargeLimit, dimension: 'current' as const };
    if (returned < TINY)
      return {
        outcome: { holds: true },
        asked: 'nothing returns',
        there,
        sentence: 'Braking here returns nothing to the pack: it goes into the motor as heat.',
      };
    const bench = path.pack.figures.chemistry === 'bench';
    return {
      outcome: { multiple: path.pack.chargeLimit / returned },
      asked: { value: returned, dimension: 'current' },
      there,
      hint: bench
        ? 'A braking resistor across the supply, a diode and a capacitor that take the lift, or a return limit of next to nothing.'
        : undefined,
      sentence: bench
        ? say`Braking sends up to ${amount(returned, 'current')} back; a bench supply takes ${path.pack.chargeLimit > 0 ? say`${amount(path.pack.chargeLimit, 'current')} with what stands beside it` : 'none'}: its volts rise until it shuts off or something gives.`
        : say`Braking sends up to ${amount(returned, 'current')} back; the pack may be charged with ${amount(path.pack.chargeLimit, 'current')}. For a second or two most packs take more: ask its sheet.`,
      working: () =>
        named(
          'x',
          'charge limit over what returns',
          'number',
          div(figureOf(path, 'pack.chargeLimit'), returnedOf(run)),
        ),
    };
  },
};

export const returnVolts: CheckRule<DcPath> = {
  id: 'return-volts',
  name: 'volts while braking',
  link: 'controller',
  needs: ['window', ...RUN_NEEDS],
  run: true,
  levers: ['return-limit-down', 'brake-limit-down'],
  applies: brakes,
  answer: (path, run) => {
    const each = (run?.peakReturned ?? 0) / path.drive.motors;
    const volts = voltsWhileReturning(path.drive, path.pack.full, each);
    const highest = path.controller.highestVoltage;
    return {
      outcome: { multiple: highest / volts },
      asked: { value: volts, dimension: 'voltage' },
      there: { value: highest, dimension: 'voltage' },
      sentence: say`Braking lifts the volts to ${amount(volts, 'voltage')} on a full pack; the controller takes ${amount(highest, 'voltage')}.`,
      hint: say`Choose a controller for more than ${amount(volts, 'voltage')}, or let less current return.`,
      working: () => {
        const drop = mul(supplyResistanceOf(path), div(max(num(0), returnedOf(run)), num(path.drive.motors, 'motors')));
        return named(
          'x',
          'highest volts over volts while braking',
          'number',
          div(figureOf(path, 'controller.highestVoltage'), add(num(path.pack.full, 'full pack, V'), drop)),
        );
      },
    };
  },
};
