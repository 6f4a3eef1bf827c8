import { heldForce } from '../../../../path/powerpath/path.js';
import { torqueAtMotor, type StepPath } from '../../../../path/powerpath/stepPath.js';
import { amount, say } from '../../../../plan/words/phrase.js';
import type { CheckRule } from '../../check.js';

/** A driver's enable input: some run with nothing on it, others stand dead until it is driven; released, only the detent holds. */
export const enableLine: CheckRule<StepPath> = {
  id: 'enable-line',
  name: 'enable line',
  link: 'controller',
  needs: ['motor', 'load', 'output', 'train', 'job'],
  run: false,
  levers: ['wire-enable'],
  applies: ({ enable }) => enable.input !== undefined,
  answer: (path) => {
    const { input, wired } = path.enable;
    if (!wired)
      return {
        outcome: { holds: input === 'runs when left open' },
        asked: input === 'runs when left open' ? 'nothing on it' : 'a level on it',
        there: 'left open',
        sentence:
          input === 'runs when left open'
            ? 'The enable input is left open, and this driver runs so: it holds the load as long as it has power.'
            : 'The enable input is left open, and this driver gives no current until it is driven: it will not move.',
        hint: 'A wire from the board to enable, set before the first pulse.',
      };
    const torque = torqueAtMotor(path, heldForce(path));
    const { detentTorque } = path.step;
    const falls = path.falls !== undefined && Math.abs(torque) > detentTorque;
    return {
      outcome: { note: true },
      asked: 'set before the first pulse',
      there: 'wired',
      sentence: falls
        ? say`The board can take the current away. Then the detent's ${amount(detentTorque, 'torque', 2)} stand against ${amount(Math.abs(torque), 'torque', 2)} at each shaft: the load comes down, and where it stands is lost.`
        : say`The board can take the current away to let it cool or be turned by hand. Afterwards it does not know where it stands: find the end switch again.`,
    };
  },
};
