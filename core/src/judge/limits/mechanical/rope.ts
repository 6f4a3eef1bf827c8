import { div, named, num } from '../../../path/worked/expression.js';
import { figureOf } from '../../../path/terms/pathTerms.js';
import type { Limit } from '../limit.js';
import { SITUATIONS } from '../situation.js';

/** A fifth of the rope's strength, half of that with a knot in it. */
export const rope: Limit = {
  id: 'rope',
  name: 'rope',
  subject: 'The rope',
  link: 'output',
  wants: 1.5,
  goodFirst: false,
  electric: false,
  situations: SITUATIONS,
  levers: ['stronger-rope', 'lighter', 'longer', 'counterforce'],
  needs: () => ['rope', 'load', 'output'],
  applies: (path) => path.rope !== undefined,
  capacity: ({ rope: used }) => (used ? used.strength / shareOf(used.knotted) : Infinity),
  working: (path) =>
    named(
      'C',
      'what the rope may carry',
      'force',
      div(figureOf(path, 'output.ropeStrength'), num(shareOf(path.rope?.knotted ?? false))),
    ),
};

/** Typical safety on a rope's strength; a knot halves what it carries. */
function shareOf(knotted: boolean): number {
  return knotted ? 10 : 5;
}
