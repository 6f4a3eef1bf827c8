import { CELLS } from '../../../models/pack/cells.js';
import type { DcPath } from '../../../path/powerpath/path.js';
import { div, max, mul, named, num, sub, type Expression } from '../../../path/worked/expression.js';
import {
  figureOf,
  motorsOf,
  packResistanceOf,
  restVoltageOf,
  sharedResistanceOf,
  supplyResistanceOf,
} from '../../../path/terms/pathTerms.js';
import { SITUATIONS } from '../situation.js';
import { supplySideLimit } from './electricLimit.js';

/** Who gives up first, at which volts, and through how much resistance it feels the current of one motor. */
interface GivesUp {
  readonly who: 'cells' | 'boards' | 'controller';
  /** Rest volts there with only the rest of the robot at work, V. */
  readonly rest: number;
  readonly least: number;
  readonly resistance: number;
}

/**
 * Cells are harmed by what they themselves sag to; boards hang behind the main wire, the controller behind its branch as
 * well: each feels its own resistance, and the one that takes the least current is the first.
 */
function firstToGiveUp({ pack, main, drive, controller, motors }: DcPath): GivesUp {
  const mainWire = main?.wireResistance ?? 0;
  const all: GivesUp[] = [
    {
      who: 'cells',
      rest: drive.restVoltage + mainWire * pack.others,
      least: pack.floor,
      resistance: motors * pack.resistance,
    },
    {
      who: 'boards',
      rest: drive.restVoltage,
      least: pack.brownOut,
      resistance: motors * (pack.resistance + mainWire),
    },
  ];
  if (!Number.isNaN(controller.lowestVoltage))
    all.push({
      who: 'controller',
      rest: drive.restVoltage,
      least: controller.lowestVoltage,
      resistance: drive.supplyResistance,
    });
  return all.reduce((first, one) => (currentOf(one) < currentOf(first) ? one : first));
}

const currentOf = ({ rest, least, resistance }: GivesUp): number => Math.max(0, rest - least) / resistance;

const SUBJECTS: Readonly<Record<GivesUp['who'], string>> = {
  cells: 'The cells’ floor',
  boards: 'The robot’s boards, by their least volts,',
  controller: 'The controller, by its least volts,',
};

function volts(path: DcPath, who: GivesUp['who']): Expression {
  const { chemistry, series } = path.pack.figures;
  if (who === 'cells')
    return named(
      'V_{low}',
      'floor of the cells',
      'voltage',
      mul(num(series), num(CELLS[chemistry].floor, 'cell floor')),
    );
  return figureOf(path, who === 'boards' ? 'pack.brownOut' : 'controller.lowestVoltage');
}

function resistance(path: DcPath, who: GivesUp['who']): Expression {
  if (who === 'controller') return supplyResistanceOf(path);
  return mul(motorsOf(path), who === 'cells' ? packResistanceOf(path) : sharedResistanceOf(path));
}

/** Rest volts where it is: the cells do not feel the main wire. */
function rest(path: DcPath, who: GivesUp['who']): Expression {
  const there = restVoltageOf(path);
  if (who !== 'cells' || !path.main) return there;
  return named(
    'V_{cells}',
    'cells with the rest of the robot at work',
    'voltage',
    sub(there, mul(sub(packResistanceOf(path), sharedResistanceOf(path)), figureOf(path, 'pack.others'))),
  );
}

/** Ib = (Voc − Vlow)/R, the least over cells, boards and controller: the pack sags to where the first of them gives up. */
export const brownOut = supplySideLimit({
  id: 'brown-out',
  name: 'brown-out',
  subject: 'The sagging pack',
  subjectHere: (path) => {
    const { who } = firstToGiveUp(path);
    return who === 'cells' && path.pack.figures.chemistry === 'bench'
      ? 'The bench supply, by what it holds,'
      : SUBJECTS[who];
  },
  link: 'pack',
  wants: 1.5,
  goodFirst: false,
  situations: SITUATIONS,
  levers: ['parallel', 'thicker-wire', 'deeper', 'lighter', 'longer', 'less-push'],
  applies: () => true,
  off: (path) => {
    const { rest: there, least } = firstToGiveUp(path);
    return there < least ? { there, least } : undefined;
  },
  supplyCurrent: (path) => currentOf(firstToGiveUp(path)),
  supplyWorking: (path) => {
    const { who } = firstToGiveUp(path);
    return named(
      'I_b',
      'supply current of one motor',
      'current',
      div(max(num(0), sub(rest(path, who), volts(path, who))), resistance(path, who)),
    );
  },
});
