import { currentAtVoltage } from '../../../models/controller/currents.js';
import { add, div, max, mul, named, num, pow, sub } from '../../../path/worked/expression.js';
import { figureOf, loopOf, restVoltageOf, supplyResistanceOf, voltsAgainstOf } from '../../../path/terms/pathTerms.js';
import { SITUATIONS } from '../situation.js';
import { electricLimit, motorSpeedOf } from './electricLimit.js';

/** The pack's volts through the motor's own resistance: I = (d·Voc − Ke·ω − Vb)/(R' + d²·Rs). */
export const volts = electricLimit({
  id: 'volts',
  name: 'motor, volts',
  subject: 'The motor at full volts',
  link: 'motor',
  wants: 1.5,
  goodFirst: false,
  slows: true,
  situations: SITUATIONS,
  levers: [
    'deeper',
    'shallower',
    'motors',
    'lighter',
    'longer',
    'less-push',
    'counterforce',
    'spring',
    'smaller-drum',
    'parallel',
  ],
  applies: () => true,
  motorCurrent: (path, situation) => currentAtVoltage(path.drive, situation.motorSpeed),
  currentWorking: (path, situation) => {
    const duty = figureOf(path, 'controller.greatestDuty');
    const spare = sub(mul(duty, restVoltageOf(path)), voltsAgainstOf(path, motorSpeedOf(path, situation)));
    const resistance = add(loopOf(path), mul(pow(duty, 2), supplyResistanceOf(path)));
    return named('I', 'motor current', 'current', max(num(0), div(spare, resistance)));
  },
});
