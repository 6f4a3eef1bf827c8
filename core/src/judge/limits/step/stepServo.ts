import { peakTorqueAt, ratedTorqueAt } from '../../../models/stepper/stepServo.js';
import { div, found, mul, named, sqrt, type Expression } from '../../../path/worked/expression.js';
import { dutyShareOf, figureOf } from '../../../path/terms/pathTerms.js';
import { SITUATIONS, type Situation } from '../situation.js';
import { stepLimit } from './stepLimit.js';

/** What of its torque is there at a speed: all up to the rated speed, falling to nothing at the top. */
function atSpeed(situation: Situation, torque: Expression, value: number, whole: number): Expression {
  if (situation.motorSpeed === 0 || whole === 0) return torque;
  return mul(
    torque,
    found(
      'k',
      'share of it at this speed',
      'share',
      value / whole,
      'all up to the rated speed, falling evenly to 0 at the top',
    ),
  );
}

/** For a moment it gives its peak torque; beyond it the shaft falls behind its command. */
export const peakTorque = stepLimit({
  id: 'peak-torque',
  name: 'peak torque',
  subject: 'The step servo’s peak torque',
  slows: true,
  wants: 1.5,
  goodFirst: false,
  situations: SITUATIONS,
  levers: [
    'deeper',
    'shallower',
    'longer',
    'gentler',
    'lighter',
    'motors',
    'less-push',
    'counterforce',
    'spring',
    'smaller-drum',
  ],
  applies: ({ step }) => step.motor.loop === 'closed',
  torque: ({ step }, situation) =>
    step.motor.loop === 'closed' ? peakTorqueAt(step.motor.figures, situation.motorSpeed) : Infinity,
  torqueWorking: (path, situation) => {
    const { motor } = path.step;
    const peak = figureOf(path, 'stepServo.peakTorque');
    if (motor.loop !== 'closed') return peak;
    return atSpeed(situation, peak, peakTorqueAt(motor.figures, situation.motorSpeed), motor.figures.peakTorque);
  },
});

/** For ever it gives its rated torque; over its share of the time more. */
export const ratedTorque = stepLimit({
  id: 'rated-torque',
  name: 'rated torque',
  subject: 'The step servo’s rated torque',
  wants: 1.5,
  goodFirst: false,
  situations: ['working', 'holding'],
  levers: [
    'deeper',
    'shallower',
    'less-often',
    'longer',
    'lighter',
    'motors',
    'less-push',
    'counterforce',
    'spring',
    'holder',
  ],
  applies: ({ step }) => step.motor.loop === 'closed',
  torque: ({ step, asked }, situation) => {
    if (step.motor.loop !== 'closed') return Infinity;
    const steady = ratedTorqueAt(step.motor.figures, situation.motorSpeed);
    return situation.id === 'holding' ? steady : steady / Math.sqrt(asked.dutyShare);
  },
  torqueWorking: (path, situation) => {
    const { motor } = path.step;
    const rated = figureOf(path, 'stepServo.ratedTorque');
    if (motor.loop !== 'closed') return rated;
    const steady = atSpeed(
      situation,
      rated,
      ratedTorqueAt(motor.figures, situation.motorSpeed),
      motor.figures.ratedTorque,
    );
    if (situation.id === 'holding') return steady;
    return named('T_{steady}', 'over its share of the time', 'torque', div(steady, sqrt(dutyShareOf(path))));
  },
});
