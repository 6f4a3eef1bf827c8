import type { Change } from '../../plan/document/change.js';
import type { DayPlan } from '../../plan/document/eventSheet.js';
import { MOST } from '../../plan/document/most.js';
import type { PackState } from '../lanes/packState.js';
import type { Plan } from '../../plan/document/plan.js';
import type { MatchScript } from '../../plan/document/script.js';
import { judgeDay, USUAL_DAY, type DayAsked } from '../robot/day.js';
import { through } from '../robot/through.js';
import { amount, say, type Words } from '../../plan/words/phrase.js';

/** A change of how the day goes that lets it last longer, or through. */
export interface DayMend {
  readonly label: Words;
  readonly changes: readonly Change[];
  /** The first match that fails then, from 0; absent where none does. */
  readonly failsAt?: number;
}

/** The changes worth trying where a day fails, the cheapest first. */
function candidates(day: DayPlan, failsAt: number): readonly { readonly label: Words; readonly day: DayPlan }[] {
  const fresh = [...new Set([...(day.fresh ?? []), failsAt])].sort((a, b) => a - b);
  const longer = Math.max(60, 2 * day.between);
  return [
    { label: `A full pack from elsewhere before match ${failsAt + 1}`, day: { ...day, fresh } },
    ...(day.charger > 0
      ? [{ label: say`A charger of ${amount(2 * day.charger, 'current')}`, day: { ...day, charger: 2 * day.charger } }]
      : []),
    { label: say`${amount(longer, 'time')} between two matches`, day: { ...day, between: longer } },
    ...(day.packs < MOST.packs ? [{ label: 'One more pack', day: { ...day, packs: day.packs + 1 } }] : []),
  ];
}

/**
 * What lets a day that fails at `failsAt` last longer; nothing where no such change does. Each is gone through as a whole
 * day. Yields after each match, so that whoever asks can stop.
 */
export function* findDayMends(
  plan: Plan,
  script: MatchScript,
  failsAt: number,
  state: PackState,
): Generator<readonly DayMend[], readonly DayMend[]> {
  const mends: DayMend[] = [];
  for (const { label, day } of candidates(plan.day ?? USUAL_DAY, failsAt)) {
    const asked: DayAsked = { ...day, ...state };
    const found = yield* through(judgeDay(plan, script, asked), () => [...mends]);
    if (found && (found.failsAt === undefined || found.failsAt > failsAt))
      mends.push({ label, changes: [{ at: ['day'], to: day }], failsAt: found.failsAt });
    yield [...mends];
  }
  return mends;
}
