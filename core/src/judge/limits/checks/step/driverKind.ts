import type { StepPath } from '../../../../path/powerpath/stepPath.js';
import type { CheckRule } from '../../check.js';

const WORDS = { stepper: 'steppers', 'step-servo': 'step servos' } as const;

/** The driver must be made for the motor's kind. */
export const driverKind: CheckRule<StepPath> = {
  id: 'motor-kind',
  name: 'driver fits the motor',
  link: 'controller',
  needs: [],
  run: false,
  levers: [],
  applies: () => true,
  answer: ({ driver, step }) => {
    const holds = driver.drives === step.kind;
    return {
      outcome: { holds },
      asked: WORDS[step.kind],
      there: WORDS[driver.drives],
      sentence: holds
        ? `The driver is made for ${WORDS[step.kind]}.`
        : `The driver is made for ${WORDS[driver.drives]}, the motor is one of the ${WORDS[step.kind]}.`,
      hint: `Choose a driver for ${WORDS[step.kind]}, or another motor.`,
    };
  },
};
