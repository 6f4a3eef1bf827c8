import { amount, say } from '../../../../plan/words/phrase.js';
import { motorSpeed } from '../../../../path/powerpath/path.js';
import { torqueAtMotor, type StepPath } from '../../../../path/powerpath/stepPath.js';
import { kickTorque, lagAllowed } from '../../../../models/stepper/kick.js';
import { mostTorqueAt } from '../../../../models/stepper/torque.js';
import { div, found, mul, named, num, pow } from '../../../../path/worked/expression.js';
import type { CheckRule } from '../../check.js';
import { STEP_RUN_NEEDS } from '../../../motion/needs.js';

/** Share of a turn that a step-driven servo may fall behind where its driver does not say. */
const SERVO_LAG = 2 * Math.PI * 0.1;

/** How far the motor may lag before it is lost, or alarms. */
function lagOf({ step, driver }: StepPath): number {
  if (step.motor.loop === 'open') return lagAllowed(step.polePairs);
  return driver.followingError === undefined || step.encoderLines === undefined
    ? SERVO_LAG
    : (2 * Math.PI * driver.followingError) / (4 * step.encoderLines);
}

/** Load inertia that is coupled in, seen at one motor. */
function coupledInertia({ engaged = 0, train, radius, motors }: StepPath): number {
  const lever = train.total / radius;
  return engaged / (motors * lever * lever * train.efficiency);
}

/** A load that is suddenly engaged while the output turns. */
export const kick: CheckRule<StepPath> = {
  id: 'kick',
  name: 'stands the jolt',
  link: 'motor',
  needs: STEP_RUN_NEEDS,
  run: false,
  levers: ['longer', 'deeper', 'shallower', 'set-current', 'motors'],
  applies: ({ engaged }) => engaged !== undefined && engaged > 0,
  answer: (path) => {
    const omega = motorSpeed(path, path.commanded.speed);
    const inertia = coupledInertia(path);
    const jolt = kickTorque(inertia, omega, lagOf(path));
    const spare = Math.max(
      0,
      mostTorqueAt(path.step.motor, omega) - torqueAtMotor(path, path.load.force(0, path.commanded.speed)),
    );
    const multiple = Math.min(spare / Math.max(jolt, 1e-12), 1e6);
    const open = path.step.motor.loop === 'open';
    const against = digitsOver(inertia / path.step.rotorInertia);
    return {
      outcome: { multiple },
      asked: { value: jolt, dimension: 'torque' },
      there: { value: spare, dimension: 'torque' },
      sentence: say`What is engaged is ${against} of the rotor’s inertia. Taken up at ${amount(omega, 'speed')} of the motor it kicks back with ${amount(jolt, 'torque')}; ${amount(spare, 'torque')} are free${multiple < 1 ? (open ? ': it loses steps, and nothing will tell you' : ': alarm, following error') : ''}.`,
      hint: 'Engage it slowly or at rest, through a rubber coupling or a clutch that slips.',
      working: () => {
        const coupled = found('J', 'what is engaged, at the motor', 'inertia', inertia, 'through the train');
        const speed = found('\\omega', 'motor speed', 'speed', omega, 'as the pulses command');
        const torque = named(
          'T_{kick}',
          'torque of the jolt',
          'torque',
          div(mul(coupled, pow(speed, 2)), mul(num(2), num(lagOf(path), 'lag allowed'))),
        );
        const free = found('T_{free}', 'torque left over', 'torque', spare, 'at this speed, less the load');
        return named('x', 'torque left over the jolt', 'number', div(free, torque));
      },
    };
  },
};

const digitsOver = (ratio: number): string =>
  ratio >= 1 ? `${ratio.toFixed(1)} times that` : `${Math.round(ratio * 100)} % of that`;
