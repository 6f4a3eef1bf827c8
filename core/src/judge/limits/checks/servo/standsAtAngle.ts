import type { ServoPath } from '../../../../path/powerpath/servoPath.js';
import type { CheckAnswer, CheckRule } from '../../check.js';

/** A servo that turns on and on knows its speed at most, not where it stands: it cannot be sent to an angle. */
export const standsAtAngle: CheckRule<ServoPath> = {
  id: 'stands-at-angle',
  name: 'stands at an angle',
  link: 'motor',
  needs: [],
  run: false,
  levers: [],
  // What a rope or a rack stops may be wound by one: there its turns are counted elsewhere, or its end is a stop.
  applies: ({ servo, load, asked }) =>
    servo.part.motion !== 'linear' && load.unit === 'rad' && asked.travel !== undefined,
  answer: ({ servo, asked }) => {
    if (asked.endless) return goesOnAndOn(servo.part.motion === 'continuous');
    const holds = servo.part.motion !== 'continuous';
    return {
      outcome: { holds },
      asked: 'an angle it is sent to, and kept',
      there: holds ? 'a joint servo' : 'turns on and on',
      sentence: holds
        ? 'A joint servo goes to the angle its pulse says, and stays there.'
        : 'A continuous servo takes its pulse for a speed: it turns on and on, and nothing tells it where to stand.',
      hint: 'A joint servo of enough travel; or the continuous one on something that only has to turn.',
    };
  },
};

/** The other way round: what turns without an end asks for a servo that has none. */
const goesOnAndOn = (holds: boolean): CheckAnswer => ({
  outcome: { holds },
  asked: 'turns on and on',
  there: holds ? 'turns on and on' : 'a joint servo',
  sentence: holds
    ? 'A continuous servo takes its pulse for a speed: it turns on and on, somewhat slower under load.'
    : 'A joint servo stops at the end of its travel: it cannot turn on and on.',
  hint: 'A continuous servo, a stepper or a plain motor.',
});
