import { nominalVoltsOf } from '../../models/pack/cells.js';
import { verdictOf, type Verdict } from '../evaluate/verdict.js';
import type { EventLimit, EventSum, ListLimit, SumLimit, WireLimit } from '../../plan/document/eventSheet.js';
import { packPartOf } from '../../plan/document/packPart.js';
import { currentChoice, type Plan } from '../../plan/document/plan.js';
import type { ProtectedNode } from '../../plan/document/supply.js';
import type { Dimension } from '../../plan/words/dimension.js';
import { amount, say, type Words } from '../../plan/words/phrase.js';
import { digits } from '../../plan/words/show.js';
import { ledgerOf, type Ledger } from './ledger.js';
import { robotRung, type RobotRung } from './robotRung.js';

/** How a limit of the event is spoken of, and what it is measured in; a bare number where it has no unit. */
export const EVENT_SUM_WORDS: Readonly<Record<EventSum, { readonly name: string; readonly dimension?: Dimension }>> = {
  mass: { name: 'mass', dimension: 'mass' },
  money: { name: 'money to spend' },
  motors: { name: 'motors' },
  servos: { name: 'servos' },
  kinds: { name: 'kinds of motor and servo' },
  slots: { name: 'slots of the board' },
  packVolts: { name: 'pack’s nominal volts', dimension: 'voltage' },
  mainBreaker: { name: 'main breaker', dimension: 'current' },
  branchBreaker: { name: 'branch breaker', dimension: 'current' },
};

/** One limit of the event held against the robot. */
export interface EventCheck {
  readonly limit: EventLimit;
  readonly name: string;
  /** Allowed over what there is; 0 where something is there that may not be, absent where it is not known. */
  readonly multiple?: number;
  readonly verdict: Verdict;
  readonly sentence: Words;
  /** What it is, and what is allowed, SI. */
  readonly is?: number;
  readonly most?: number;
}

/**
 * The robot against its event's limits, in their order; nothing where none was typed. A mass is judged by its middle: the
 * sentence says how far it may be off.
 */
export function eventChecks(plan: Plan, ledger?: Ledger): readonly EventCheck[] {
  const limits = plan.event?.limits ?? [];
  if (limits.length === 0) return [];
  const known = ledger ?? ledgerOf(plan);
  return limits.map((limit) => {
    switch (limit.kind) {
      case 'most':
        return sumCheck(plan, limit, known);
      case 'wire':
        return wireCheck(plan, limit);
      case 'motors':
      case 'packs':
        return listCheck(plan, limit);
    }
  });
}

const OF_ONE_PART: readonly EventSum[] = ['packVolts', 'mainBreaker', 'branchBreaker'];

const ruled = ({ rule }: EventLimit): string => (rule ? ` (${rule})` : '');

function sumCheck(plan: Plan, limit: SumLimit, ledger: Ledger): EventCheck {
  const { name: of, dimension } = EVENT_SUM_WORDS[limit.of];
  const name = limit.of === 'mass' && limit.withPack ? 'mass with the pack' : of;
  const most = limit.most.si;
  const { sum, missing, off } = sumOf(plan, limit, ledger);
  const told = (value: number): Words => (dimension ? say`${amount(value, dimension)}` : digits(value));
  const about = off > 0 && dimension ? say`, ± ${amount(off, dimension, 2)}` : '';
  const without = missing.length > 0 ? `, without ${missing.join(', ')}` : '';
  if (sum === undefined)
    return { limit, name, verdict: 'not known', most, sentence: say`${told(most)} allowed${ruled(limit)}${without}.` };
  const over = sum > most;
  // Of what a part is rated for there is no more and less of it: it may be used, or not.
  const multiple = sum > 0 && (over || !OF_ONE_PART.includes(limit.of)) ? most / sum : Infinity;
  const rest = over ? say`${told(sum - most)} too much` : say`${told(most - sum)} left`;
  return {
    limit,
    name,
    multiple,
    is: sum,
    most,
    // What is missing only adds: what is over already stays over.
    verdict: !over && missing.length > 0 ? 'not known' : verdictOf(multiple, 1),
    sentence: say`${told(sum)}${about} of ${told(most)} allowed${ruled(limit)}: ${rest}${without}.`,
  };
}

interface Sum {
  /** Absent where nothing can be told. */
  readonly sum?: number;
  readonly missing: readonly string[];
  /** ± of it. */
  readonly off: number;
}

function sumOf(plan: Plan, { of, withPack }: SumLimit, ledger: Ledger): Sum {
  const exactly = (sum: number | undefined, missing: readonly string[] = []): Sum => ({ sum, missing, off: 0 });
  switch (of) {
    case 'mass': {
      const { mass, pack } = ledger;
      const missing = [...mass.missing, ...(withPack ? pack.missing : [])];
      return {
        sum: mass.mass + (withPack ? pack.mass : 0),
        missing: [...new Set(missing)],
        off: Math.hypot(mass.spread, withPack ? pack.spread : 0),
      };
    }
    case 'money':
      return exactly(ledger.price, ledger.priceMissing);
    case 'motors':
    case 'servos':
    case 'kinds':
    case 'slots':
      return exactly(ledger[of]);
    case 'packVolts':
      return exactly(packVolts(plan), packPartOf(plan) ? [] : ['the pack']);
    case 'mainBreaker':
    case 'branchBreaker': {
      const kind = of === 'mainBreaker' ? 'main' : 'branch';
      const rated = breakersOf(plan, kind).map(({ amperes }) => amperes);
      const unknown = rated.some((one) => one === undefined);
      return exactly(rated.length === 0 ? 0 : Math.max(...rated.map((one) => one ?? 0)), unknown ? ['a breaker'] : []);
    }
  }
}

function packVolts(plan: Plan): number | undefined {
  const pack = packPartOf(plan);
  return pack && nominalVoltsOf(pack);
}

function breakersOf(plan: Plan, kind: 'main' | 'branch') {
  return plan.supply.flatMap((node): readonly { node: ProtectedNode; amperes?: number }[] => {
    if (node.kind !== kind) return [];
    const part = node.breaker === undefined ? undefined : plan.parts[node.breaker]?.part;
    return [{ node, amperes: part?.kind === 'breaker' ? part.rated?.si : undefined }];
  });
}

function wireCheck(plan: Plan, limit: WireLimit): EventCheck {
  const behind = [...breakersOf(plan, 'main'), ...breakersOf(plan, 'branch')].filter(
    ({ amperes }) => (amperes ?? 0) >= limit.breaker.si,
  );
  const thin = behind.filter(({ node }) => (node.wire?.gauge?.si ?? -Infinity) > limit.gauge.si);
  const unknown = behind.filter(({ node }) => node.wire?.gauge === undefined);
  const name = `wire behind ${digits(limit.breaker.si)} A`;
  const asked = `${digits(limit.gauge.si)} AWG or thicker behind ${digits(limit.breaker.si)} A and more${ruled(limit)}`;
  const called = ({ node }: { node: ProtectedNode }): string => `${node.name ?? hungOn(plan, node)}`;
  if (thin.length > 0)
    return {
      limit,
      name,
      multiple: 0,
      verdict: 'gives way',
      sentence: `${asked}; thinner: ${thin.map(called).join(', ')}.`,
    };
  if (unknown.length > 0)
    return { limit, name, verdict: 'not known', sentence: `${asked}; not known: ${unknown.map(called).join(', ')}.` };
  return { limit, name, multiple: Infinity, verdict: 'enough', sentence: `${asked}.` };
}

const hungOn = (plan: Plan, node: ProtectedNode): string =>
  plan.mechanisms.find((mechanism) => currentChoice(mechanism).drive.node === node.id)?.name ?? node.id;

function listCheck(plan: Plan, limit: ListLimit): EventCheck {
  const allowed = new Set(limit.names.map(plain));
  const there =
    limit.kind === 'packs'
      ? [packPartOf(plan)?.name ?? ''].filter((name) => name !== '')
      : plan.mechanisms.flatMap((one) => {
          const { drive } = currentChoice(one);
          return drive.kind === 'servo' ? [] : [plan.parts[drive.motor]?.part.name ?? ''];
        });
  const strange = [...new Set(there.filter((name) => !allowed.has(plain(name))))];
  const name = limit.kind === 'packs' ? 'packs allowed' : 'motors allowed';
  return strange.length > 0
    ? {
        limit,
        name,
        multiple: 0,
        verdict: 'gives way',
        sentence: `Not on the list${ruled(limit)}: ${strange.join(', ')}.`,
      }
    : { limit, name, multiple: Infinity, verdict: 'enough', sentence: `All are on the list${ruled(limit)}.` };
}

const plain = (name: string): string => name.trim().toLowerCase();

/** Of the limits that can be told, as rungs of the whole robot; what has no end of room is left out. */
export const eventRungs = (checks: readonly EventCheck[]): readonly RobotRung[] =>
  checks.flatMap(({ name, multiple, sentence }) =>
    multiple === undefined || multiple === Infinity ? [] : [robotRung({ id: 'event', name, multiple, sentence })],
  );

/**
 * What changes make worse against the event's limits, by their names: `passed` newly, or over already and more so.
 *
 * @example worsened([], []).passed.length //=> 0
 */
export function worsened(
  before: readonly EventCheck[],
  after: readonly EventCheck[],
): { readonly passed: readonly string[]; readonly more: readonly string[] } {
  const fails = after.filter(({ verdict }) => verdict === 'gives way');
  const wasOf = ({ limit }: EventCheck) => before.find((check) => check.limit.id === limit.id);
  const passed = fails.filter((check) => wasOf(check)?.verdict !== 'gives way');
  const more = fails.filter((check) => {
    const was = wasOf(check);
    return was?.verdict === 'gives way' && (check.multiple ?? 0) < (was.multiple ?? 0) * (1 - 1e-9);
  });
  return { passed: passed.map(({ name }) => name), more: more.map(({ name }) => name) };
}
