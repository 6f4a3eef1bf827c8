import { amount, say } from '../../../plan/words/phrase.js';
import { currentToLimit } from '../../../models/motor/heat.js';
import { found } from '../../../path/worked/expression.js';
import { electricLimit } from './electricLimit.js';

/** The current that brings the winding to its limit in the time it is held. */
export const heat = electricLimit({
  id: 'heat',
  name: 'heat while held',
  subject: 'The motor’s heat',
  link: 'motor',
  wants: 1.5,
  goodFirst: false,
  also: ['heat', 'job'],
  situations: ['holding'],
  levers: ['held-shorter', 'deeper', 'motors', 'lighter', 'counterforce', 'spring', 'holder'],
  applies: () => true,
  motorCurrent: ({ drive, motor, asked }) => currentToLimit(drive.motor.resistance, motor.thermal, asked.held),
  currentWorking: ({ drive, motor, asked }) =>
    found(
      'I',
      'motor current',
      'current',
      currentToLimit(drive.motor.resistance, motor.thermal, asked.held),
      say`the current that takes the winding from ${amount(motor.thermal.ambient, 'temperature')} to ${amount(motor.thermal.windingLimit, 'temperature')} in ${amount(asked.held, 'time')}, by halving`,
    ),
});
