import { lacksOf, worstHoldingPlace, type PowerPath } from '../../path/powerpath/path.js';
import type { Limit } from '../limits/limit.js';
import { SITUATION_NEEDS, situationOf, type Situation, type SituationId } from '../limits/situation.js';
import { machineOf } from '../machine/table.js';
import type { Machine } from '../machine/machine.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import type { Idle, Ladder, Rung } from './rung.js';
import { shortfallOf, standingOf } from './shortfall.js';
import { verdictOf, worseOf, type Verdict } from './verdict.js';

/** A rung that was just made, and is not yet shown to anybody. */
type Marked = { -readonly [K in keyof Rung]: Rung[K] };

/**
 * Computes the ladder of one situation.
 *
 * @example ladderOf(path, 'working').first.name //=> 'pack-side limit'
 */
export function ladderOf(path: AnyPath, id: SituationId): Ladder {
  const lacks = lacksOf(path, SITUATION_NEEDS[id]);
  if (lacks.length > 0) return { situation: id, rungs: [], verdict: 'not known', lacks };
  const situation = situationOf(path, id);
  const { demand, speed } = situation;
  const idle = idleBecause(path, situation);
  if (idle) return { situation: id, demand, speed, rungs: [], idle, verdict: 'enough', lacks: [] };

  const machine = machineOf(path);
  const rungs: Rung[] = [];
  const electric: Marked[] = [];
  for (const limit of machine.limits) {
    if (!limit.situations.includes(id) || !limit.applies(path)) continue;
    const rung: Marked = rungOf(path, limit, situation);
    rungs.push(rung);
    if (limit.electric) electric.push(rung);
  }
  markOutOfReach(electric, rungs, machine);
  rungs.sort((a, b) => (standingOf(a) ?? Infinity) - (standingOf(b) ?? Infinity));
  const motorUnknown = rungs.find((rung) => rung.verdict === 'not known' && machine.leading.includes(rung.id));
  // What gives first is not known while the machine itself is not: it might be the machine.
  const first = motorUnknown ? undefined : rungs.find((rung) => !rung.outOfReach && rung.multiple !== undefined);
  let verdict: Verdict = motorUnknown ? 'not known' : 'enough';
  for (const rung of rungs)
    if (!rung.outOfReach && rung.verdict !== 'not known') verdict = worseOf(verdict, rung.verdict);
  return {
    situation: id,
    demand,
    speed,
    rungs,
    first,
    verdict,
    lacks: motorUnknown?.lacks ?? [],
    ceiling: machine.ceiling?.says,
  };
}

/**
 * One limit in one situation, whatever the others do.
 *
 * @example rungOf(path, limitOf(path, 'supply'), situationOf(path, 'working')).multiple //=> 1.208
 */
export function rungOf(path: AnyPath, limit: Limit<AnyPath>, situation: Situation): Rung {
  const { id } = situation;
  const { name, link, goodFirst } = limit;
  const wants = limit.wantsHere?.(path, id) ?? limit.wants;
  const stage = limit.stage?.(path, id);
  // With several stages that have it, the sentence says which one.
  const lacks = lacksOf(path, limit.needs(id));
  const known = lacks.length === 0;
  const named = (known && limit.subjectHere?.(path)) || limit.subject;
  const subject = stage && path.stages.length > 1 ? `${named} (stage ${stage.index + 1})` : named;
  const capacity = known ? Math.max(0, limit.capacity(path, situation)) : undefined;
  const short = capacity === undefined ? undefined : shortfallOf(path, limit, situation, capacity);
  const multiple = capacity === undefined ? undefined : (short?.multiple ?? capacity / situation.demand);
  return {
    id: limit.id,
    name,
    subject,
    link,
    wants,
    goodFirst,
    capacity,
    multiple,
    shortfall: short?.shortfall,
    verdict: multiple === undefined ? 'not known' : verdictOf(multiple, wants, limit.floor?.(path)),
    outOfReach: false,
    stage: stage?.id,
    lacks,
  };
}

/**
 * Why the motor has nothing to do in a situation; `undefined` where it has.
 *
 * @example idleBecause(path, situationOf(path, 'holding')) //=> 'held by ratchet'
 */
export function idleBecause(path: PowerPath, { id, demand, back }: Situation): Idle | undefined {
  const { load, train, holder } = path;
  if (id === 'working' && demand < 0) return 'load drives';
  if (id === 'holding' && demand === 0) {
    const pulls = load.holdForce(worstHoldingPlace(path)) !== 0;
    return pulls && load.rest ? (`held by ${load.rest.by}` as const) : 'no load';
  }
  if (demand <= 0) return 'no load';
  if (back && id === 'starting') return train.backEfficiency === 0 ? 'stays by itself' : undefined;
  if (id !== 'holding') return undefined;
  // A ratchet holds one way: what a counterforce lifts runs on through it.
  if (holder === 'ratchet' && load.holdForce(worstHoldingPlace(path)) > 0) return 'held by ratchet';
  if (holder === 'brake') return 'held by brake';
  return train.backEfficiency === 0 ? 'stays by itself' : undefined;
}

/** An electric rung above what the machine itself gives is never first. */
function markOutOfReach(electric: readonly Marked[], rungs: readonly Rung[], { ceiling }: Machine<AnyPath>): void {
  const most = ceiling && rungs.find((rung) => rung.id === ceiling.limit)?.capacity;
  if (most === undefined) return;
  for (const rung of electric) {
    if (!((rung.capacity ?? 0) > most) || rung.id === ceiling!.limit) continue;
    rung.outOfReach = true;
    rung.verdict = 'enough';
  }
}
