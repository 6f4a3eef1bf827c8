import { amount, say } from '../../../plan/words/phrase.js';
import { brakePoint } from '../../../models/controller/brakePoint.js';
import { worstPlace } from '../../../models/load/load.js';
import { motorSpeed, type DcPath } from '../../../path/powerpath/path.js';
import { add, div, found, mul, named, neg, num } from '../../../path/worked/expression.js';
import {
  backEfficiencyOf,
  backEmfConstantOf,
  freeCurrentOf,
  leverOf,
  motorsOf,
  resistingOf,
  torqueConstantOf,
} from '../../../path/terms/pathTerms.js';
import type { CheckRule } from '../check.js';

/** The place at which the load pushes hardest along the way. */
const pushingPlace = ({ asked, load }: DcPath): number =>
  worstPlace(asked.travel, load, (q) => -load.force(q, asked.speed));

/** What pushes at its hardest; 0 or under where nothing does. */
const pushingForce = (path: DcPath): number => -path.load.force(pushingPlace(path), path.asked.speed);

/** A load that runs away, going down or over the top, must be held back by the brakes at the speed asked. */
export const heldBack: CheckRule<DcPath> = {
  id: 'held-back',
  name: 'held back on the way down',
  link: 'controller',
  needs: ['motor', 'pack', 'wiring', 'controller', 'braking', 'train', 'output', 'load', 'job'],
  run: false,
  levers: ['brake-limit', 'return-limit', 'deeper', 'motors', 'lighter', 'longer'],
  applies: (path) => path.asked.travel !== undefined && pushingForce(path) > 0,
  answer: (path) => {
    const { drive, train, radius, load } = path;
    const asked = pushingForce(path);
    const brake = brakePoint(drive, motorSpeed(path, path.asked.speed));
    const lever = (drive.motors * train.total) / radius;
    const stays = train.backEfficiency === 0;
    const there = stays ? Infinity : (brake.shaftTorque * lever) / train.backEfficiency;
    const dimension = load.unit === 'm' ? 'force' : 'torque';
    if (stays)
      return {
        outcome: { holds: true },
        asked: { value: asked, dimension },
        there: 'a stage that stays',
        sentence: 'A stage of the train stays by itself: the load cannot run away.',
      };
    return {
      outcome: { multiple: there / asked },
      asked: { value: asked, dimension },
      there: { value: there, dimension },
      sentence: say`On the way the load pushes with ${amount(asked, dimension)}; braking holds back ${amount(there, dimension)} at the speed asked.`,
      working: () => {
        const current = found(
          'J',
          'braking current',
          'current',
          brake.motorCurrent,
          'by the braking limits at this speed',
        );
        const torque = add(
          mul(backEmfConstantOf(path), current),
          mul(torqueConstantOf(path), freeCurrentOf(path)),
          num(
            drive.motor.torqueConstant * drive.motor.freeCurrentPerSpeed * motorSpeed(path, path.asked.speed),
            'drag of its speed',
          ),
        );
        const brakes = div(mul(motorsOf(path), torque, leverOf(path)), backEfficiencyOf(path));
        return named(
          'x',
          'braking there over what pushes',
          'number',
          div(brakes, neg(resistingOf(path, pushingPlace(path)))),
        );
      },
    };
  },
};
