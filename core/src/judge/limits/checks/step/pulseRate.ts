import { amount, say } from '../../../../plan/words/phrase.js';
import { motorSpeed } from '../../../../path/powerpath/path.js';
import { pulsesPerTurn, type StepPath } from '../../../../path/powerpath/stepPath.js';
import { div, min, mul, named, num } from '../../../../path/worked/expression.js';
import { askedSpeedOf, figureOf, leverOf } from '../../../../path/terms/pathTerms.js';
import type { CheckRule } from '../../check.js';

/** Pulses per second the commanded speed takes. */
export const rateOf = (path: StepPath): number =>
  (motorSpeed(path, path.commanded.speed) * pulsesPerTurn(path)) / (2 * Math.PI);

/** The least of what driver, board and the shape of a pulse allow, and which it is. */
export function mostRate({ driver, board }: StepPath): { readonly rate: number; readonly by: string } {
  // A square wave is high for half of its time.
  const width = 1 / (2 * driver.leastPulse);
  return [
    { rate: driver.pulseLimit, by: 'the driver’s pulse limit' },
    { rate: board.pulseLimit, by: 'the board’s pulse limit' },
    { rate: width, by: 'the driver’s least pulse' },
  ].reduce((least, one) => (one.rate < least.rate ? one : least));
}

/** Reduction and micro-steps multiply the pulses: can driver and board follow? */
export const pulseRate: CheckRule<StepPath> = {
  id: 'pulse-rate',
  name: 'pulses fast enough',
  link: 'controller',
  needs: ['pulses', 'train', 'output', 'job'],
  run: false,
  levers: ['coarser-steps', 'shallower', 'longer'],
  applies: () => true,
  answer: (path) => {
    const asked = rateOf(path);
    const { rate, by } = mostRate(path);
    return {
      outcome: { multiple: rate / Math.max(asked, 1e-9) },
      asked: { value: asked, dimension: 'rate' },
      there: { value: rate, dimension: 'rate' },
      sentence: say`The job takes ${amount(asked, 'rate')}; ${by} allows ${amount(rate, 'rate')}.`,
      hint: 'A board with a pulse generator of its own, or electronic gearing in the driver.',
      working: () => {
        const most = min(
          figureOf(path, 'driver.pulseLimit'),
          figureOf(path, 'board.pulseLimit'),
          div(num(1), mul(num(2), figureOf(path, 'driver.leastPulse'))),
        );
        const turn = num(pulsesPerTurn(path), 'pulses per turn of the motor');
        const needed = named(
          'f',
          'pulses the job takes',
          'rate',
          div(mul(askedSpeedOf(path), leverOf(path), turn), num(2 * Math.PI)),
        );
        return named('x', 'pulses there over pulses taken', 'number', div(most, needed));
      },
    };
  },
};
