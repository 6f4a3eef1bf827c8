import { amount, joined, say } from '../../../plan/words/phrase.js';
import { isLaidOut, trainGaps } from '../../../path/powerpath/trainLayout.js';
import type { CheckRule } from '../check.js';

/** Nothing may touch what it does not mesh with: wheels of one plane, and shafts that pass through it. */
export const clearance: CheckRule = {
  id: 'clearance',
  name: 'wheels clear each other',
  link: 'stage',
  needs: [],
  run: false,
  levers: [],
  applies: (path) => path.stages.length > 1 && isLaidOut(path),
  stage: (path) => trainGaps(path)[0]?.stage,
  answer: (path) => {
    const gaps = trainGaps(path);
    const colliding = gaps.filter(({ gap }) => gap < 0);
    const [nearest] = gaps;
    return {
      outcome: { holds: colliding.length === 0 },
      asked: 'no two touch',
      there: nearest ? amount(nearest.gap, 'length') : 'nothing near',
      sentence:
        colliding.length > 0
          ? say`${joined(
              colliding.map(({ a, b, gap }) => say`The ${a} runs into the ${b} by ${amount(-gap, 'length')}`),
              '. ',
            )}.`
          : nearest
            ? say`The nearest neighbours, the ${nearest.a} and the ${nearest.b}, are ${amount(nearest.gap, 'length')} apart.`
            : 'No wheel shares its plane with another stage.',
      hint: 'Turn the stage to another direction, or move its wheels to another plane.',
    };
  },
};
