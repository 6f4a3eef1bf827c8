import { motorSpeed } from '../../../../path/powerpath/path.js';
import type { StepPath } from '../../../../path/powerpath/stepPath.js';
import { STEP_RUN_NEEDS } from '../../../motion/needs.js';
import { fastDecayRipple, slowDecayRate } from '../../../../models/stepper/decay.js';
import { rateAtSpeed } from '../../../../models/stepper/stepRates.js';
import { figureOf } from '../../../../path/terms/pathTerms.js';
import { amount, say } from '../../../../plan/words/phrase.js';
import { div, found, mul, named, num } from '../../../../path/worked/expression.js';
import type { CheckAnswer, CheckRule } from '../../check.js';

/** Of the set current, from top to bottom: more than this hums and warms. */
const RIPPLE = 0.25;

/** Whether the current follows the wave of micro-steps on its way down, with the decay the driver is set to. */
export const decay: CheckRule<StepPath> = {
  id: 'decay',
  name: 'current follows the micro-steps',
  link: 'controller',
  needs: STEP_RUN_NEEDS,
  run: false,
  levers: [],
  applies: ({ step, decay: set }) => step.motor.loop === 'open' && step.microsteps > 1 && set !== undefined,
  answer: (path) => (path.decay === 'slow' ? slow(path) : path.decay === 'fast' ? fast(path) : mixed()),
};

function slow(path: StepPath): CheckAnswer {
  const { phaseResistance, polePairs } = path.step;
  const inductance = inductanceOf(path);
  const rate = rateAtSpeed(motorSpeed(path, path.commanded.speed), polePairs);
  const there = slowDecayRate(phaseResistance, inductance);
  const multiple = there / rate;
  return {
    // Uneven steps are rough, not lost: the load decides whether that matters.
    outcome: multiple >= 1 ? { multiple } : { note: true },
    asked: { value: rate, dimension: 'rate' },
    there: { value: there, dimension: 'rate' },
    sentence:
      multiple >= 1
        ? say`Slow decay follows up to ${amount(there, 'rate', 2)} of full steps; it goes along at ${amount(rate, 'rate', 2)}: even micro-steps, little ripple.`
        : say`Slow decay follows up to ${amount(there, 'rate', 2)} of full steps; at ${amount(rate, 'rate', 2)} the current is still there when it should be gone: the micro-steps are uneven, it runs rough and swings more.`,
    hint: 'Mixed or fast decay where it goes fast; slow where it stands or creeps.',
    working: () =>
      named(
        'f',
        'full steps a second it follows',
        'rate',
        div(figureOf(path, 'stepper.phaseResistance'), mul(num(2), figureOf(path, 'stepper.phaseInductance'))),
      ),
  };
}

function fast(path: StepPath): CheckAnswer {
  const there = fastDecayRipple(path.restVoltage, inductanceOf(path)) / path.step.setCurrent;
  const multiple = RIPPLE / there;
  return {
    outcome: multiple >= 1 ? { multiple } : { note: true },
    asked: { value: RIPPLE, dimension: 'share' },
    there: { value: there, dimension: 'share' },
    sentence: say`Fast decay follows at every speed; its ripple is ${amount(there, 'share', 2)} of the set current at a usual chopper.${multiple >= 1 ? '' : ' That hums and warms: little inductance for so many volts.'}`,
    hint: 'Mixed decay, slow decay while it stands, or fewer volts.',
    working: () =>
      named(
        'x',
        'ripple allowed over ripple there',
        'number',
        div(num(RIPPLE), found('r', 'ripple of the set current', 'share', there, 'V/(2·L·f), f 20 kHz')),
      ),
  };
}

const mixed = (): CheckAnswer => ({
  outcome: { holds: true },
  asked: 'even micro-steps',
  there: 'mixed decay',
  sentence: 'Mixed decay takes the current down quickly first and gently then: it follows, with less ripple than fast.',
});

const inductanceOf = ({ step }: StepPath): number =>
  step.motor.loop === 'open' ? step.motor.figures.phaseInductance : NaN;
