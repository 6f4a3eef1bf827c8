import { GRAVITY } from '../../load/gravity.js';
import { cos, mul, named, num } from '../../worked/expression.js';
import { figureOf } from '../../terms/pathTerms.js';
import type { Limit } from '../limit.js';

/** μ·m·g·cosγ·share: beyond it the driven wheels slip, which spares everything behind them. */
export const slip: Limit = {
  id: 'slip',
  name: 'wheels slip',
  subject: 'Wheel slip',
  link: 'output',
  wants: 1,
  goodFirst: true,
  electric: false,
  situations: ['starting', 'working'],
  levers: ['grip', 'longer', 'less-push', 'lighter'],
  needs: () => ['load', 'grip', 'job'],
  applies: (path) => path.load.grip !== undefined,
  capacity: (path) => path.load.grip ?? Infinity,
  working: (path) =>
    named(
      'C',
      'what the tyres carry',
      'force',
      mul(
        figureOf(path, 'output.grip'),
        figureOf(path, 'output.mass'),
        num(GRAVITY),
        cos(figureOf(path, 'job.slope')),
        figureOf(path, 'output.drivenShare'),
      ),
    ),
};
