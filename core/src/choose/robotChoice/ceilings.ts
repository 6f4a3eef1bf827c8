import type { Plan } from '../../plan/document/plan.js';
import type { EventSum } from '../../plan/document/eventSheet.js';
import { ledgerOf } from '../../judge/ledger/ledger.js';

/** What the choice for all mechanisms may not pass; each absent where it is not asked. */
export interface Ceilings {
  /** Of the mechanisms, without frame and pack, kg. */
  readonly mass?: number;
  /** Still to be paid. */
  readonly price?: number;
  readonly motors?: number;
  readonly slots?: number;
  /** Kinds of motor and servo. */
  readonly kinds?: number;
  /** Taken out of the pack in a match, A·s. */
  readonly charge?: number;
  /** What all draw at most, one beside the other, A. */
  readonly peak?: number;
  /** Nothing may be bought. */
  readonly ownedOnly?: boolean;
}

export const CEILINGS = ['mass', 'price', 'motors', 'slots', 'kinds', 'charge', 'peak'] as const;
export type CeilingId = (typeof CEILINGS)[number];

/** What a ceiling is loosened by to tell what it costs: a step someone would think about. */
export function oneStep(id: CeilingId, ceiling: number): number {
  switch (id) {
    case 'motors':
    case 'slots':
    case 'kinds':
      return 1;
    case 'mass':
      return 1;
    case 'price':
      return Math.max(10, 10 ** Math.floor(Math.log10(Math.max(1, ceiling))));
    case 'charge':
    case 'peak':
      return 0.1 * ceiling;
  }
}

/** The ceilings that follow from the event's limits: what frame and pack leave of the mass. */
export function ceilingsOf(plan: Plan): Ceilings {
  const limits = plan.event?.limits ?? [];
  const least = (of: EventSum): number | undefined => {
    const all = limits.flatMap((limit) => (limit.kind === 'most' && limit.of === of ? [limit.most.si] : []));
    return all.length > 0 ? Math.min(...all) : undefined;
  };
  const { frame, pack } = ledgerOf(plan);
  const masses = limits.flatMap((limit) =>
    limit.kind === 'most' && limit.of === 'mass' ? [limit.most.si - frame.mass - (limit.withPack ? pack.mass : 0)] : [],
  );
  return {
    mass: masses.length > 0 ? Math.min(...masses) : undefined,
    price: least('money'),
    motors: least('motors'),
    slots: least('slots'),
    kinds: least('kinds'),
  };
}
