import type { Mechanism, Plan } from '../../plan/document/plan.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import { boardsOf } from '../../judge/ledger/supplyLedger.js';
import { boardCard } from './boardCard.js';
import type { SetupCard } from './card.js';
import { controllerCard } from './controllerCard.js';
import { driverCard } from './driverCard.js';
import { railCard } from './railCard.js';
import { servoCard } from './servoCard.js';

/** The job a mechanism is set up for: that which goes furthest decides stops, and the first where none goes anywhere. */
function jobToSet(plan: Plan, mechanism: Mechanism): string | undefined {
  const travels = mechanism.jobs.map(({ id }) => ({ id, travel: resolvePath(plan, mechanism, id).asked.travel ?? -1 }));
  return travels.reduce<(typeof travels)[number] | undefined>(
    (furthest, one) => (furthest === undefined || one.travel > furthest.travel ? one : furthest),
    undefined,
  )?.id;
}

/**
 * One card for each controller, driver and servo of the choices in force, one for each rail, and one for each board.
 *
 * @example setupCards(plan).length > 5 //=> true
 */
export function setupCards(plan: Plan): readonly SetupCard[] {
  const rails = new Map<string, SetupCard>();
  const cards = plan.mechanisms.flatMap((mechanism): readonly SetupCard[] => {
    const jobId = jobToSet(plan, mechanism);
    if (jobId === undefined) return [];
    const path = resolvePath(plan, mechanism, jobId);
    if (path.machine === 'servo' && !rails.has(path.rail.id)) rails.set(path.rail.id, railCard(plan, path));
    const card =
      path.machine === 'dc'
        ? controllerCard(plan, mechanism, path)
        : path.machine === 'step'
          ? driverCard(plan, mechanism, path)
          : servoCard(plan, mechanism, path);
    return card ? [card] : [];
  });
  return [...cards, ...rails.values(), ...boardsOf(plan).map((board) => boardCard(plan, board))];
}
