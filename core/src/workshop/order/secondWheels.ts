import type { Plan } from '../../plan/document/plan.js';
import { currentChoice, trainsOf } from '../../plan/document/plan.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import { secondRatios, type SecondRatio } from '../../judge/sizing/trains/secondRatio.js';
import type { Stock } from '../../judge/sizing/trains/wheelPair.js';
import type { OrderNeed } from './line.js';
import { wheelNamed } from './needs.js';

/** A wheel to buy along, or two, that make another total of a mechanism. */
export interface SecondWheel {
  readonly id: string;
  readonly mechanism: string;
  readonly ratio: SecondRatio;
  readonly needs: readonly OrderNeed[];
}

/**
 * The next useful total of each mechanism either way, by wheels of the shelf: what to have at hand on the day.
 *
 * @example secondWheels(plan, []).length //=> 0
 */
export function secondWheels(plan: Plan, stock: readonly Stock[]): readonly SecondWheel[] {
  return plan.mechanisms.flatMap((mechanism) => {
    const [job] = mechanism.jobs;
    if (!job) return [];
    const path = resolvePath(plan, mechanism, job.id);
    const trains = trainsOf(currentChoice(mechanism).drive);
    return secondRatios(path, stock).flatMap((ratio): readonly SecondWheel[] => {
      const parts = path.stageParts[ratio.index];
      if (!parts || !('driver' in parts)) return [];
      const wheels = [
        ...(ratio.driver === parts.driver ? [] : [ratio.driver]),
        ...(ratio.driven === parts.driven ? [] : [ratio.driven]),
      ];
      return [
        {
          id: `${mechanism.id} ${ratio.stage} ${ratio.driver}:${ratio.driven}`,
          mechanism: mechanism.name,
          ratio,
          needs: wheels.map((teeth) => ({
            ...wheelNamed(parts, teeth),
            amount: trains,
            measure: 'pieces',
            wears: false,
            of: `${mechanism.name}, to try`,
          })),
        },
      ];
    });
  });
}
