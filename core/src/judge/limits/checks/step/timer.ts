import { amount, say } from '../../../../plan/words/phrase.js';
import type { StepPath } from '../../../../path/powerpath/stepPath.js';
import { lowerForRate, timerRange } from '../../../../models/signal/timerChip.js';
import { div, mul, named, num } from '../../../../path/worked/expression.js';
import { figureOf } from '../../../../path/terms/pathTerms.js';
import type { CheckRule } from '../../check.js';
import { rateOf } from './pulseRate.js';

/** A hand turns a knob from one end to the other in about so long, s, typical. */
const KNOB_SECONDS = 0.5;

/** A timer chip gives pulses at the rate its knob stands at: no ramp but that of a hand, and short enough that the driver must still see them. */
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
    // A knob turned up by hand is a ramp; a chip without one gives its one rate from the first pulse on.
    const knobbed = fast.rate > slow.rate * (1 + 1e-9);
    if (path.ramp && !knobbed)
      return {
        outcome: { holds: false },
        asked: 'a ramp',
        there: 'one rate',
        sentence: say`The timer gives ${gives}: its one rate, from the first pulse on. A ramp needs a knob, or a program.`,
        hint: 'Say that it starts at once, and keep under the rate it starts at; or a board with a program.',
      };
    const turned = path.ramp
      ? say` Its knob, turned up by hand from the slow end, is the ramp: about ${amount(KNOB_SECONDS, 'time')} from end to end.`
      : '';
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
      sentence: say`The timer gives ${gives}; its shortest pulse is ${amount(fast.low, 'pulse', 2)}, the driver sees one of ${amount(leastPulse, 'pulse', 2)}.${knob}${turned}`,
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
