import { amount, say } from '../../../../plan/words/phrase.js';
import type { StepPath } from '../../../../path/powerpath/stepPath.js';
import { lowerForRate, timerRange } from '../../../../models/signal/timerChip.js';
import { div, mul, named, num } from '../../../../path/worked/expression.js';
import { figureOf } from '../../../../path/terms/pathTerms.js';
import type { CheckRule } from '../../check.js';
import { rateOf } from './pulseRate.js';

/** A timer chip gives pulses at a steady rate: no ramp, and short enough that the driver must still see them. */
export const timer: CheckRule<StepPath> = {
  id: 'timer',
  name: 'timer chip’s pulses',
  link: 'controller',
  needs: ['pulses', 'train', 'output', 'job'],
  run: false,
  levers: [],
  applies: ({ board }) => board.timer !== undefined,
  answer: (path) => {
    const { fast, slow } = timerRange(path.board.timer!);
    const { leastPulse } = path.driver;
    const gives = say`${amount(slow.rate, 'rate', 2)} to ${amount(fast.rate, 'rate', 2)}, high for ${amount(fast.duty, 'share', 2)} of each at the fast end`;
    const asked = { value: leastPulse, dimension: 'pulse' } as const;
    const there = { value: fast.low, dimension: 'pulse' } as const;
    if (path.ramp)
      return {
        outcome: { holds: false },
        asked: 'a ramp',
        there: 'one rate',
        sentence: say`The timer gives ${gives}: the rate its knob stands at, from the first pulse on. A ramp needs a program.`,
        hint: 'Say that it starts at once, and keep under the rate it starts at; or a board with a program.',
      };
    const rate = rateOf(path);
    const { upper, capacitor } = path.board.timer!;
    const wanted = lowerForRate(upper, capacitor, rate);
    const knob =
      rate > fast.rate
        ? say` The job’s ${amount(rate, 'rate', 3)} are beyond its fast end.`
        : rate < slow.rate
          ? say` The job’s ${amount(rate, 'rate', 3)} are under its slow end: it goes faster than asked.`
          : say` For the job’s ${amount(rate, 'rate', 3)} the lower resistor is ${amount(wanted, 'input resistance', 3)}.`;
    return {
      outcome: { multiple: fast.low / leastPulse },
      asked,
      there,
      sentence: say`The timer gives ${gives}; its shortest pulse is ${amount(fast.low, 'pulse', 2)}, the driver sees one of ${amount(leastPulse, 'pulse', 2)}.${knob}`,
      hint: 'A larger lower resistor with a smaller capacitor keeps the rate and evens the pulse; a driver that sees shorter ones.',
      working: () =>
        named(
          'x',
          'shortest pulse over the least the driver sees',
          'number',
          div(
            mul(num(Math.LN2), figureOf(path, 'board.timerLower'), figureOf(path, 'board.timerCapacitor')),
            figureOf(path, 'driver.leastPulse'),
          ),
        ),
    };
  },
};
