import { SERVO_RUN_NEEDS } from '../../../motion/needs.js';
import { windingWords } from '../../../duty/lives.js';
import { servoWarmthOf } from '../../../duty/servoWarmth.js';
import type { ServoPath } from '../../../../path/powerpath/servoPath.js';
import { figureOf } from '../../../../path/terms/pathTerms.js';
import { amount, say } from '../../../../plan/words/phrase.js';
import { div, found, named, sub } from '../../../../path/worked/expression.js';
import type { CheckRule } from '../../check.js';

/** What its mass says of its heat is right to a factor of two: only beyond that it is held against it. */
const SURELY = 0.5;

/** Its motor must stay under its limit through the matches. */
export const servoHeat: CheckRule<ServoPath> = {
  id: 'servo-heat',
  name: 'servo stays cool',
  link: 'motor',
  needs: ['heat', ...SERVO_RUN_NEEDS],
  run: false,
  levers: ['less-often', 'held-shorter', 'deeper', 'lighter', 'holder', 'spring', 'counterforce'],
  // Without its mass there is not even an estimate: that is no reason to know nothing of the rest.
  applies: ({ servo }) => !Number.isNaN(servo.thermal.windingCapacity),
  answer: (path) => {
    const { thermal } = path.servo;
    const { winding, shell, holdWatts, moveWatts, share, stalledFor } = servoWarmthOf(path);
    const stalled = Number.isFinite(stalledFor)
      ? say`Stalled it is there in ${amount(stalledFor, 'time', 2)}.`
      : 'Stalled it does not get there within an hour.';
    const holds = share > 0 ? say`, ${amount(holdWatts, 'power', 2)} while it holds` : '';
    const multiple = (thermal.windingLimit - thermal.ambient) / Math.max(winding - thermal.ambient, 1e-9);
    const unsure = multiple < 1 && multiple >= SURELY;
    return {
      outcome: unsure ? { note: true } : { multiple },
      asked: { value: thermal.windingLimit, dimension: 'temperature' },
      there: windingWords(winding, thermal.windingLimit),
      sentence: say`${amount(moveWatts, 'power', 2)} stay inside while it moves${holds}: ${winding > thermal.windingLimit ? say`through the matches its motor burns out: ${amount(thermal.windingLimit, 'temperature')} are allowed.` : say`through the matches its motor comes to ${amount(winding, 'temperature')} and its case to ${amount(shell, 'temperature')}; ${amount(thermal.windingLimit, 'temperature')} are allowed.`} ${stalled}${unsure ? ' That is estimated from its mass, and may be half: touch it, or measure.' : ''}`,
      hint: 'Let it rest, hold with a spring, a ratchet or a stop, or a servo with more torque: the same load is a smaller share of it.',
      working: () =>
        named(
          'x',
          'rise allowed over rise there',
          'number',
          div(
            sub(figureOf(path, 'servo.windingLimit'), figureOf(path, 'ambient')),
            found(
              '\\Delta T',
              'rise of its motor through the day',
              'number',
              winding - thermal.ambient,
              'what stays inside, through the two lumps, go after go',
            ),
          ),
        ),
    };
  },
};
