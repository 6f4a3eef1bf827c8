import { currentChoice, countOf, type Plan } from '../plan/plan.js';
import { stockFigures } from '../wants/measure.js';
import { usedElsewhere } from '../wants/stockOf.js';

/** What one mechanism weighs, costs and takes up. */
export interface LedgerRow {
  readonly mechanism: string;
  readonly name: string;
  /** Motors, controllers and the wheels that say what they weigh; absent where the motor does not. kg */
  readonly mass?: number;
  /** Still to be paid; absent where a price is missing. */
  readonly price?: number;
  readonly motors: number;
  readonly servos: number;
  readonly controllers: number;
}

export interface Ledger {
  readonly rows: readonly LedgerRow[];
  /** Sums of what is known, and whose figure is missing. */
  readonly mass: number;
  readonly massMissing: readonly string[];
  readonly price: number;
  readonly priceMissing: readonly string[];
  readonly motors: number;
  readonly servos: number;
  readonly controllers: number;
  /** Kinds of motor and servo. */
  readonly kinds: number;
  /** Branches of the board that something hangs on: one for each motor unless they share it. */
  readonly slots: number;
}

/**
 * Mass, money and counts of a robot as its choices in force are.
 *
 * @example ledgerOf(plan).motors //=> 12
 */
export function ledgerOf(plan: Plan): Ledger {
  const rows = plan.mechanisms.map((mechanism): LedgerRow => {
    const { drive } = currentChoice(mechanism);
    const { mass, price } = stockFigures(plan, mechanism, new Set(), usedElsewhere(plan, mechanism.id));
    const count = countOf(drive);
    return {
      mechanism: mechanism.id,
      name: mechanism.name,
      mass,
      price,
      motors: drive.kind === 'servo' ? 0 : count,
      servos: drive.kind === 'servo' ? count : 0,
      controllers: drive.kind === 'servo' ? 0 : count,
    };
  });
  const sum = (of: (row: LedgerRow) => number | undefined): number =>
    rows.reduce((all, row) => all + (of(row) ?? 0), 0);
  const missing = (of: (row: LedgerRow) => number | undefined) =>
    rows.filter((row) => of(row) === undefined).map(({ name }) => name);
  const turning = plan.mechanisms.map((mechanism) => {
    const { drive } = currentChoice(mechanism);
    return plan.parts[drive.kind === 'servo' ? drive.servo : drive.motor]?.part.name;
  });
  return {
    rows,
    mass: sum(({ mass }) => mass),
    massMissing: missing(({ mass }) => mass),
    price: sum(({ price }) => price),
    priceMissing: missing(({ price }) => price),
    motors: sum(({ motors }) => motors),
    servos: sum(({ servos }) => servos),
    controllers: sum(({ controllers }) => controllers),
    kinds: new Set(turning).size,
    slots: slotsOf(plan),
  };
}

function slotsOf(plan: Plan): number {
  const branches = new Map<string, number>();
  for (const mechanism of plan.mechanisms) {
    const { drive } = currentChoice(mechanism);
    const node = plan.supply.find(({ id }) => id === drive.node);
    const branch =
      node?.kind === 'branch' ? node : plan.supply.find(({ id }) => node && 'parent' in node && id === node.parent);
    if (branch?.kind !== 'branch') continue;
    const each = drive.kind === 'servo' || branch.together ? 1 : countOf(drive);
    branches.set(branch.id, Math.max(branches.get(branch.id) ?? 0, each));
  }
  return [...branches.values()].reduce((all, each) => all + each, 0);
}
