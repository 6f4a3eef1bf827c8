import { amount, say } from '../../../../plan/words/phrase.js';
import { worstHoldingPlace } from '../../../../path/powerpath/path.js';
import { pulsesPerTurn, torqueAtMotor, type StepPath } from '../../../../path/powerpath/stepPath.js';
import { lagAngle } from '../../../../models/stepper/pullOut.js';
import { add, div, found, mul, named, num } from '../../../../path/worked/expression.js';
import { figureOf, leverOf } from '../../../../path/terms/pathTerms.js';
import type { CheckRule } from '../../check.js';

/** One pulse at the output, on q. */
export const pulseAtOutput = (path: StepPath): number =>
  ((2 * Math.PI) / pulsesPerTurn(path)) * (path.radius / path.train.total);

/** How far the output lags behind its pulses under the load it holds; a step-driven servo closes in on its place. */
export function lagAtOutput(path: StepPath): number {
  const { step, load, train, radius } = path;
  if (step.motor.loop === 'closed') return 0;
  const torque = Math.abs(torqueAtMotor(path, load.force(worstHoldingPlace(path), 0)));
  const holding = (step.holdingTorque * step.setCurrent) / step.ratedCurrent;
  return lagAngle(torque, holding, step.polePairs) * (radius / train.total);
}

/** Can it stand within the window: a pulse, the lag under load, the backlash? */
export const resolvesSteps: CheckRule<StepPath> = {
  id: 'resolves',
  name: 'stands within the window',
  link: 'output',
  needs: ['settling', 'train', 'job', 'motor', 'driver', 'load'],
  run: false,
  levers: ['finer-steps', 'deeper'],
  applies: (path) => path.settling !== undefined,
  answer: (path) => {
    const { window, backlash } = path.settling!;
    const [pulse, lag] = [pulseAtOutput(path), lagAtOutput(path)];
    const there = pulse + lag + backlash;
    return {
      outcome: { multiple: window / Math.max(there, 1e-9) },
      asked: { value: window, dimension: 'angle' },
      there: { value: there, dimension: 'angle' },
      sentence: say`One pulse is ${amount(pulse, 'angle')} at the output, friction and load leave it ${amount(lag, 'angle')} behind, and ${amount(backlash, 'angle')} of backlash lie behind that; it must stand within ${amount(window, 'angle')}.`,
      hint: 'Less backlash in the last stage; finer steps do not make a weak motor exact.',
      working: () => {
        const one = div(num((2 * Math.PI) / pulsesPerTurn(path), 'one pulse'), leverOf(path));
        const behind = found(
          'q_{lag}',
          'lag at the output',
          'angle',
          lag,
          'asin of load over holding torque, over pole pairs, through the train',
        );
        return named(
          'x',
          'window over what is uncertain',
          'number',
          div(figureOf(path, 'job.settle'), add(one, behind, mul(num(1), figureOf(path, 'output.backlash')))),
        );
      },
    };
  },
};
