import { div, max, named, num, sub } from '../../../path/worked/expression.js';
import { figureOf, motorsOf } from '../../../path/terms/pathTerms.js';
import { SITUATIONS } from '../situation.js';
import { supplySideLimit } from './electricLimit.js';

/** The pack's discharge limit, less what the rest of the robot draws, shared by the motors. */
export const discharge = supplySideLimit({
  id: 'discharge',
  name: 'pack discharge',
  subject: 'The pack’s discharge limit',
  subjectHere: ({ pack }) => (pack.figures.chemistry === 'bench' ? 'The bench supply’s current limit' : ''),
  link: 'pack',
  wants: 1.5,
  goodFirst: false,
  also: ['discharge'],
  situations: SITUATIONS,
  levers: ['parallel', 'deeper', 'lighter', 'longer', 'less-push'],
  applies: () => true,
  supplyCurrent: ({ pack, drive }) => Math.max(0, pack.dischargeLimit - pack.others) / drive.motors,
  supplyWorking: (path) =>
    named(
      'I_b',
      'supply current of one motor',
      'current',
      div(max(num(0), sub(figureOf(path, 'pack.dischargeLimit'), figureOf(path, 'pack.others'))), motorsOf(path)),
    ),
});
