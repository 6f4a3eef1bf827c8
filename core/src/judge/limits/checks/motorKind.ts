import type { DcPath } from '../../../path/powerpath/path.js';
import type { CheckRule } from '../check.js';

/** The controller must be made for the motor's kind. */
export const motorKind: CheckRule<DcPath> = {
  id: 'motor-kind',
  name: 'controller fits the motor',
  link: 'controller',
  needs: [],
  run: false,
  levers: [],
  applies: () => true,
  answer: ({ controller, motor }) => {
    const holds = controller.drives.includes(motor.type);
    const there = controller.drives.join(' or ');
    return {
      outcome: { holds },
      asked: motor.type,
      there,
      hint: `Choose a controller that drives ${motor.type} motors, or another motor.`,
      sentence: holds
        ? `The controller drives ${motor.type} motors.`
        : `The motor is ${motor.type}, the controller drives ${there} only.`,
    };
  },
};
