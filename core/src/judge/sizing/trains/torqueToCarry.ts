import { idleBecause } from '../../evaluate/ladder.js';
import { SITUATION_NEEDS, SITUATIONS, situationOf } from '../../limits/situation.js';
import type { Mechanism, Plan } from '../../../plan/document/plan.js';
import { lacksOf } from '../../../path/powerpath/path.js';
import { resolvePath } from '../../../path/resolve/resolvePath.js';

/**
 * The most any situation of any job asks of the shaft behind the first so many stages, N·m: what wheels in their place
 * must carry. 0 where nothing is asked, or not enough is known to say.
 *
 * @example torqueToCarry(plan, mast, 2) //=> 5.308
 */
export function torqueToCarry(plan: Plan, mechanism: Mechanism, stages: number): number {
  const torques = mechanism.jobs.flatMap((job) => {
    const path = resolvePath(plan, mechanism, job.id);
    // The output's own losses are the last of the train.
    const behind = path.train.stages.slice(stages);
    const kept = behind.reduce((product, { ratio, efficiency }) => product * ratio * efficiency, 1);
    return SITUATIONS.map((id) => {
      if (lacksOf(path, SITUATION_NEEDS[id]).length > 0) return 0;
      const situation = situationOf(path, id);
      const torque = (situation.demand * path.radius) / kept;
      return idleBecause(path, situation) || !Number.isFinite(torque) ? 0 : torque;
    });
  });
  return Math.max(0, ...torques);
}
