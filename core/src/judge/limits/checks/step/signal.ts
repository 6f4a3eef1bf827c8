import { amount, capitalised, say, type Words } from '../../../../plan/words/phrase.js';
import type { StepPath } from '../../../../path/powerpath/stepPath.js';
import { optoCurrent, signalFit } from '../../../../models/signal/optoInput.js';
import { resistorAtLeast, transistorStage } from '../../../../models/signal/transistorStage.js';
import { div, named, sub } from '../../../../path/worked/expression.js';
import { figureOf } from '../../../../path/terms/pathTerms.js';
import type { CheckRule } from '../../check.js';

/** What flows through the driver's input with what lies between, and whether the pin stands it. */
export function inputDrive({ driver, board, signalStage }: StepPath): {
  readonly current: number;
  readonly lights: boolean;
  readonly pinStands: boolean;
} {
  const { input } = driver;
  if (signalStage === 'transistor') {
    const { inputCurrent } = transistorStage(input, board, board.feedVoltage);
    return { current: inputCurrent, lights: inputCurrent >= input.needCurrent, pinStands: true };
  }
  const fit = signalFit(input, board);
  if (signalStage === 'resistor' && fit.seriesResistor > 0) {
    const current = optoCurrent(
      { ...input, inputResistance: input.inputResistance + resistorAtLeast(fit.seriesResistor) },
      board.signalVoltage,
    );
    return { current, lights: current >= input.needCurrent, pinStands: current <= board.pinCurrent };
  }
  // A level above what the input is made for burns its diode.
  const burns = fit.seriesResistor > 0;
  return { current: fit.current, lights: fit.enoughLight && !burns, pinStands: fit.pinCanGive };
}

/** What helps a pin that does not do it by itself. */
export function signalHelp({ driver, board }: StepPath): Words {
  const fit = signalFit(driver.input, board);
  if (fit.seriesResistor > 0)
    return say`A resistor of ${amount(resistorAtLeast(fit.seriesResistor), 'input resistance')} in series brings the current back.`;
  const stage = transistorStage(driver.input, board, board.feedVoltage);
  return say`A small transistor between pin and input: ${Math.round(stage.gateResistor)} Ω to its gate, the input fed from ${amount(board.feedVoltage, 'voltage')}.`;
}

/** Level and current of the driver's inputs against the board's pins. */
export const signal: CheckRule<StepPath> = {
  id: 'signal',
  name: 'pin drives the input',
  link: 'controller',
  needs: ['signal'],
  run: false,
  levers: ['signal-transistor', 'signal-resistor'],
  applies: () => true,
  answer: (path) => {
    const { driver, board, signalStage } = path;
    const { current, lights, pinStands } = inputDrive(path);
    const pin = say`The pin gives ${amount(board.signalVoltage, 'voltage')} and ${amount(board.pinCurrent, 'pin current')}`;
    const wants = say`the input wants ${amount(driver.input.needCurrent, 'pin current')} at ${amount(driver.input.ratedSignal, 'voltage')}`;
    const through =
      signalStage === 'transistor'
        ? 'through the transistor'
        : signalStage === 'resistor'
          ? 'through the resistor'
          : 'straight';
    const outcome = !lights
      ? current < driver.input.needCurrent
        ? 'too little light: pulses go missing'
        : 'too much: the level is above what it is made for'
      : pinStands
        ? 'it switches for certain'
        : 'more than the pin may give: the pin sags or dies';
    return {
      outcome: { holds: lights && pinStands },
      asked: { value: driver.input.needCurrent, dimension: 'pin current' },
      there: { value: current, dimension: 'pin current' },
      sentence: say`${pin}; ${wants}. ${capitalised(through)}, ${amount(current, 'pin current')} flow: ${outcome}.`,
      hint: lights && pinStands ? undefined : signalHelp(path),
      working: () =>
        named(
          'I',
          'through the input, straight from the pin',
          'pin current',
          div(
            sub(figureOf(path, 'board.pinVoltage'), figureOf(path, 'driver.inputForward')),
            figureOf(path, 'driver.inputResistance'),
          ),
        ),
    };
  },
};
