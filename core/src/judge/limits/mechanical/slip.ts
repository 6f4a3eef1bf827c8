import { named } from '../../../path/worked/expression.js';
import { carriedOf } from '../../../path/terms/pathTerms.js';
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
  levers: ['better-tread', 'longer', 'less-push', 'lighter'],
  needs: () => ['load', 'traction', 'job'],
  applies: (path) => path.load.traction !== undefined,
  capacity: (path) => path.load.traction ?? Infinity,
  working: (path) => named('C', 'what the tyres carry', path.load.unit === 'm' ? 'force' : 'torque', carriedOf(path)),
};
