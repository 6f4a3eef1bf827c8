import type { PowerPath } from '../../../path/powerpath/path.js';
import { screwAt } from '../../../path/powerpath/screw.js';
import { criticalSpeed } from '../../../models/reduction/screwLoad.js';
import { amount, say } from '../../../plan/words/phrase.js';
import { div, found, mul, named, num } from '../../../path/worked/expression.js';
import type { CheckRule } from '../check.js';

/** Share of its critical speed that a screw is run at, at most. */
const USED = 0.8;

/** rad/s of the screw at the speed the job needs. */
const screwSpeed = (path: PowerPath): number => path.asked.speed * path.train.stages[screwAt(path)]!.ratio;

/** A long thin screw that turns fast enough bows out and whips. */
export const screwWhirls: CheckRule = {
  id: 'screw-whirls',
  name: 'screw runs straight',
  link: 'output',
  needs: ['buckling', 'train', 'job'],
  run: false,
  levers: ['thicker-screw', 'longer'],
  applies: (path) => path.buckling !== undefined && screwAt(path) >= 0,
  answer: (path) => {
    const { diameter, length, whirlFactor } = path.buckling!;
    const critical = criticalSpeed(diameter, length, whirlFactor);
    const speed = screwSpeed(path);
    return {
      outcome: { multiple: (USED * critical) / speed },
      asked: { value: speed, dimension: 'speed' },
      there: { value: USED * critical, dimension: 'speed' },
      sentence: say`The screw turns at ${amount(speed, 'speed')}; with its ends held so it begins to whip at ${amount(critical, 'speed')}, and is run at up to ${amount(USED, 'share')} of that.`,
      hint: 'A screw with more lead turns slower; a thicker one, ends that are held better, or a shorter free length.',
      working: () =>
        named(
          'x',
          'what it may turn over what it turns',
          'number',
          div(
            mul(
              num(USED),
              found('\\omega_c', 'where it begins to whip', 'speed', critical, '(β/l)²·(d/4)·√(E/ρ), root ⌀'),
            ),
            found('\\omega', 'of the screw', 'speed', speed, 'speed the job needs over the lead'),
          ),
        ),
    };
  },
};
