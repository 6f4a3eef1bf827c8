import { amount, say } from '../../../plan/words/phrase.js';
import { drivePoint } from '../../../models/controller/drivePoint.js';
import { timeToLimit } from '../../../models/motor/heat.js';
import { tripTime } from '../../../models/protection/breaker.js';
import { div, found, named } from '../../../path/worked/expression.js';
import { figureOf } from '../../../path/terms/pathTerms.js';
import type { DcPath } from '../../../path/powerpath/path.js';
import type { CheckRule } from '../check.js';
import { RUN_NEEDS } from '../../motion/needs.js';

const HOUR = 3600;

/** A jam stalls the motor at full effort: does it stand that as long as it may last? */
export const jam: CheckRule<DcPath> = {
  id: 'jam',
  name: 'stands a jam',
  link: 'motor',
  needs: ['heat', 'branch breaker', ...RUN_NEEDS],
  run: false,
  levers: ['stator-limit-down', 'supply-limit-down', 'motors'],
  applies: (path) => path.jam !== undefined,
  answer: (path) => {
    const { drive, motor, branch } = path;
    const { motorCurrent, supplyCurrent } = drivePoint(drive, 0);
    const burns = timeToLimit(drive.motor.resistance, motor.thermal, motorCurrent) ?? HOUR;
    const trips = branch.breaker
      ? (tripTime(branch.breaker, supplyCurrent * (branch.together ? drive.motors : 1)) ?? HOUR)
      : HOUR;
    const stands = Math.min(burns, trips);
    const first = burns <= trips ? 'the winding is at its limit' : 'the breaker trips';
    const lasting =
      stands >= HOUR ? 'It may jam for an hour' : say`Jammed at full effort ${first} after ${amount(stands, 'time')}`;
    return {
      outcome: { multiple: stands / path.jam! },
      asked: { value: path.jam!, dimension: 'time' },
      there: { value: stands, dimension: 'time' },
      sentence: say`${lasting}; ${amount(path.jam!, 'time')} are asked. It draws ${amount(motorCurrent, 'current')} in the motor then.`,
      working: () =>
        named(
          'x',
          'time it stands over time asked',
          'number',
          div(
            found(
              't_{jam}',
              `time until ${first}`,
              'time',
              stands,
              'the two lumps and the breaker at the stall current',
            ),
            figureOf(path, 'job.jam'),
          ),
        ),
    };
  },
};
