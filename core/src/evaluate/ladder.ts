import { lacksOf, type PowerPath } from '../powerpath/path.js';
import type { Limit } from '../limits/limit.js';
import { SITUATION_NEEDS, situationOf, type Situation, type SituationId } from '../limits/situation.js';
import { machineOf } from '../machine/table.js';
import type { Machine } from '../machine/machine.js';
import type { AnyPath } from '../powerpath/anyPath.js';
import type { Ladder, Rung } from './rung.js';
import { verdictOf, worseOf, type Verdict } from './verdict.js';

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
  const idle = idleBecause(path, id, demand);
  if (idle) return { situation: id, demand, speed, rungs: [], idle, verdict: 'enough', lacks: [] };

  const machine = machineOf(path);
  const found: Rung[] = [];
  for (const limit of machine.limits)
    if (limit.situations.includes(id) && limit.applies(path)) found.push(rungOf(path, limit, situation));
  const rungs = markOutOfReach(found, machine).sort((a, b) => (a.multiple ?? Infinity) - (b.multiple ?? Infinity));
  const first = rungs.find((rung) => !rung.outOfReach && rung.multiple !== undefined);
  const motorUnknown = rungs.find((rung) => rung.verdict === 'not known' && machine.leading.includes(rung.id));
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
  const subject = stage && path.stages.length > 1 ? `${limit.subject} (stage ${stage.index + 1})` : limit.subject;
  const lacks = lacksOf(path, limit.needs(id));
  const known = lacks.length === 0;
  const capacity = known ? Math.max(0, limit.capacity(path, situation)) : undefined;
  const multiple = capacity === undefined ? undefined : capacity / situation.demand;
  return {
    id: limit.id,
    name,
    subject,
    link,
    wants,
    goodFirst,
    capacity,
    multiple,
    verdict: multiple === undefined ? 'not known' : verdictOf(multiple, wants, limit.floor?.(path)),
    outOfReach: false,
    stage: stage?.id,
    lacks,
  };
}

/**
 * Why the motor has nothing to do in a situation; `undefined` where it has.
 *
 * @example idleBecause(path, 'holding', 196) //=> 'held by ratchet'
 */
export function idleBecause(path: PowerPath, id: SituationId, demand: number): Ladder['idle'] {
  if (demand <= 0) return 'no load';
  if (id !== 'holding') return undefined;
  if (path.holder === 'ratchet') return 'held by ratchet';
  if (path.holder === 'brake') return 'held by brake';
  return path.train.backEfficiency === 0 ? 'stays by itself' : undefined;
}

/** An electric rung above what the machine itself gives is never first. */
function markOutOfReach(rungs: Rung[], { limits, ceiling }: Machine<AnyPath>): Rung[] {
  const most = ceiling && rungs.find((rung) => rung.id === ceiling.limit)?.capacity;
  if (most === undefined) return rungs;
  return rungs.map((rung) =>
    (rung.capacity ?? 0) > most &&
    rung.id !== ceiling!.limit &&
    limits.some((limit) => limit.id === rung.id && limit.electric)
      ? { ...rung, outOfReach: true, verdict: 'enough' }
      : rung,
  );
}
