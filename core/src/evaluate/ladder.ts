import { amount, say, type Words } from '../words/phrase.js';
import { showMultiple } from '../words/show.js';
import { lacksOf, type PowerPath } from '../powerpath/path.js';
import { SITUATION_NEEDS, situationOf, type SituationId } from '../limits/situation.js';
import { machineOf } from '../machine/table.js';
import type { Machine } from '../machine/machine.js';
import type { AnyPath } from '../powerpath/anyPath.js';
import type { Ladder, Rung } from './rung.js';
import { verdictOf, worstVerdict } from './verdict.js';

/** Computes the ladder of one situation. */
export function ladderOf(path: AnyPath, id: SituationId): Ladder {
  const lacks = lacksOf(path, SITUATION_NEEDS[id]);
  if (lacks.length > 0) return { situation: id, rungs: [], verdict: 'not known', lacks };
  const situation = situationOf(path, id);
  const { demand, speed } = situation;
  const base = { situation: id, demand, speed };
  const idle = idleBecause(path, id, demand);
  if (idle) return { ...base, rungs: [], idle, verdict: 'enough', lacks: [] };

  const machine = machineOf(path);
  const rungs = machine.limits
    .filter((limit) => limit.situations.includes(id) && limit.applies(path))
    .map((limit): Rung => {
      const { name, link, goodFirst } = limit;
      const wants = limit.wantsHere?.(path, id) ?? limit.wants;
      const stage = limit.stage?.(path, id);
      // With several stages that have it, the sentence says which one.
      const subject = stage && path.stages.length > 1 ? `${limit.subject} (stage ${stage.index + 1})` : limit.subject;
      const common = { id: limit.id, name, subject, link, wants, goodFirst, ...(stage ? { stage: stage.id } : {}) };
      const missing = lacksOf(path, limit.needs(id));
      if (missing.length > 0) {
        const names = missing.map(({ label }) => label).join(', ');
        return {
          ...common,
          verdict: 'not known',
          outOfReach: false,
          lacks: missing,
          sentence: `${subject}: not known, ${names} missing.`,
        };
      }
      const capacity = Math.max(0, limit.capacity(path, situation));
      const multiple = capacity / demand;
      return {
        ...common,
        capacity,
        multiple,
        verdict: verdictOf(multiple, wants, limit.floor?.(path)),
        outOfReach: false,
        lacks: [],
        sentence: sentenceOfRung(subject, capacity, demand, wants, path.load.unit),
      };
    });
  const reachable = markOutOfReach(rungs, machine);
  const sorted = [...reachable].sort((a, b) => (a.multiple ?? Infinity) - (b.multiple ?? Infinity));
  const first = sorted.find((rung) => !rung.outOfReach && rung.multiple !== undefined);
  const motorUnknown = sorted.find((rung) => machine.leading.includes(rung.id) && rung.verdict === 'not known');
  const known = sorted.filter((rung) => !rung.outOfReach && rung.verdict !== 'not known').map((rung) => rung.verdict);
  return {
    ...base,
    rungs: sorted,
    first,
    verdict: worstVerdict(motorUnknown ? [...known, 'not known'] : known),
    lacks: motorUnknown?.lacks ?? [],
    ...(machine.ceiling ? { ceiling: machine.ceiling.says } : {}),
  };
}

/** Why the motor has nothing to do in a situation; `undefined` where it has. */
export function idleBecause(path: PowerPath, id: SituationId, demand: number): Ladder['idle'] {
  if (demand <= 0) return 'no load';
  if (id !== 'holding') return undefined;
  if (path.holder === 'ratchet') return 'held by ratchet';
  if (path.holder === 'brake') return 'held by brake';
  return path.train.backEfficiency === 0 ? 'stays by itself' : undefined;
}

function sentenceOfRung(subject: string, capacity: number, demand: number, wants: number, unit: 'm' | 'rad'): Words {
  const dimension = unit === 'm' ? 'force' : 'torque';
  return say`${subject} gives at ${amount(capacity, dimension)}, ${showMultiple(capacity / demand)} the ${amount(demand, dimension)} the job takes; wanted is ${showMultiple(wants)}.`;
}

/** An electric rung above what the machine itself gives is never first. */
function markOutOfReach(rungs: readonly Rung[], { limits, ceiling }: Machine<AnyPath>): readonly Rung[] {
  const most = ceiling && rungs.find((rung) => rung.id === ceiling.limit)?.capacity;
  if (most === undefined) return rungs;
  const electric = new Set(limits.filter((limit) => limit.electric).map((limit) => limit.id));
  return rungs.map((rung) =>
    rung.id !== ceiling!.limit && electric.has(rung.id) && (rung.capacity ?? 0) > most
      ? {
          ...rung,
          outOfReach: true,
          verdict: 'enough',
          sentence: `${rung.subject} is out of reach: ${ceiling!.says}.`,
        }
      : rung,
  );
}
