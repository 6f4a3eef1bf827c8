import { CELLS } from '../../pack/cells.js';
import type { DcPath } from '../../powerpath/path.js';
import { div, max, mul, named, num, sub, type Expression } from '../../worked/expression.js';
import { figureOf, restVoltageOf, supplyResistanceOf } from '../../terms/pathTerms.js';
import { SITUATIONS } from '../situation.js';
import { supplySideLimit } from './electricLimit.js';

/** Where the controller or the robot's computers switch off, or the cells would be harmed, whichever comes first. */
function brownOutVoltage(path: DcPath): number {
  const lowest = path.controller.lowestVoltage;
  const floor = Math.max(path.pack.floor, path.pack.brownOut);
  return Number.isNaN(lowest) ? floor : Math.max(floor, lowest);
}

function brownOutWorking(path: DcPath): Expression {
  const { chemistry, series } = path.pack.figures;
  const cells = mul(num(series), num(CELLS[chemistry].floor, 'cell floor'));
  const floor = max(cells, figureOf(path, 'pack.brownOut'));
  const of = Number.isNaN(path.controller.lowestVoltage)
    ? floor
    : max(floor, figureOf(path, 'controller.lowestVoltage'));
  return named('V_{low}', 'volts below which it browns out', 'voltage', of);
}

/** Ib = (Voc − Vlow)/Rs: the pack sags to where the controller lets go. */
export const brownOut = supplySideLimit({
  id: 'brown-out',
  name: 'brown-out',
  subject: 'The sagging pack',
  link: 'pack',
  wants: 1.5,
  goodFirst: false,
  situations: SITUATIONS,
  levers: ['parallel', 'thicker-wire', 'deeper', 'lighter', 'longer', 'less-push'],
  applies: () => true,
  supplyCurrent: (path) => Math.max(0, path.drive.restVoltage - brownOutVoltage(path)) / path.drive.supplyResistance,
  supplyWorking: (path) =>
    named(
      'I_b',
      'supply current of one motor',
      'current',
      div(max(num(0), sub(restVoltageOf(path), brownOutWorking(path))), supplyResistanceOf(path)),
    ),
});
