import { windingWords } from '../../../duty/lives.js';
import { amount, say } from '../../../../plan/words/phrase.js';
import { resistanceAt } from '../../../../models/motor/heat.js';
import { heldForce } from '../../../../path/powerpath/path.js';
import type { StepPath } from '../../../../path/powerpath/stepPath.js';
import { div, found, named, num, sub } from '../../../../path/worked/expression.js';
import { figureOf } from '../../../../path/terms/pathTerms.js';
import type { CheckRule } from '../../check.js';

/** Mean copper heat of one motor over its duty, W: the set current at work, the idle current between. */
function meanHeat({ step, asked }: StepPath): number {
  const at = (current: number): number =>
    2 * current ** 2 * resistanceAt(step.phaseResistance, step.thermal.windingLimit);
  const working = at(step.setCurrent);
  return asked.dutyShare * working + (1 - asked.dutyShare) * at(step.idleShare * step.setCurrent);
}

/** Where a stepper's winding settles after an hour of it, °C. */
export const standingTemperature = (path: StepPath): number => {
  const { thermal } = path.step;
  return thermal.ambient + meanHeat(path) * (thermal.windingToCase + thermal.caseToAir);
};

/** The least share of its current that still holds the load with the usual twofold margin; undefined where none does. */
export function idleShareNeeded(path: StepPath): number | undefined {
  const { step, train, radius, motors } = path;
  if (path.holder !== 'nothing' || train.backEfficiency === 0) return 0;
  const held = heldForce(path);
  const torque = (held * train.backEfficiency) / (motors * (train.total / radius));
  const share = (2 * torque * step.ratedCurrent) / (step.holdingTorque * step.setCurrent);
  return share <= 1 ? share : undefined;
}

/** A stepper is as hot standing as moving, unless its current is cut when it stands. */
export const standingHeat: CheckRule<StepPath> = {
  id: 'standing-heat',
  name: 'cool while standing',
  link: 'motor',
  needs: ['motor', 'driver', 'heat', 'job', 'load', 'train', 'output'],
  run: false,
  levers: ['idle-current-down', 'set-current-down'],
  applies: ({ step }) => step.motor.loop === 'open',
  answer: (path) => {
    const { thermal, idleShare } = path.step;
    const there = standingTemperature(path);
    const needed = idleShareNeeded(path);
    const cut = path.asked.endless
      ? ''
      : needed === undefined
        ? ' The hold needs all of its current: no cut here.'
        : needed === 0
          ? ' Nothing has to be held: the current may be cut as far as the driver goes.'
          : needed < idleShare - 0.05
            ? ` Holding with twice the torque takes ${Math.round(100 * needed)} % of the current: it may be cut to that while it stands.`
            : '';
    return {
      outcome: { multiple: (thermal.windingLimit - thermal.ambient) / Math.max(there - thermal.ambient, 1e-9) },
      asked: { value: thermal.windingLimit, dimension: 'temperature' },
      there: windingWords(there, thermal.windingLimit),
      sentence: say`${path.asked.endless ? 'Turning on and on at all of its current' : `At ${Math.round(100 * idleShare)} % of its current between goes`} it ${there > thermal.windingLimit ? 'burns out' : say`settles at ${amount(there, 'temperature')}`}; ${amount(thermal.windingLimit, 'temperature')} are allowed.${cut}`,
      hint: 'Cut the idle current, set less, or screw it to a metal plate.',
      working: () =>
        named(
          'x',
          'rise allowed over rise there',
          'number',
          div(
            sub(num(thermal.windingLimit, 'winding limit, °C'), figureOf(path, 'ambient')),
            found(
              '\\Delta T',
              'rise of its winding',
              'number',
              there - thermal.ambient,
              'copper heat at work and standing by their shares of the time, through the two lumps',
            ),
          ),
        ),
    };
  },
};
