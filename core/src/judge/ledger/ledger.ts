import { packPartOf } from '../../plan/document/packPart.js';
import { countOf, currentChoice, partIdsOf, piecesIn, trainsOf, type Plan } from '../../plan/document/plan.js';
import { piecesOf, sameKey, stillToPay } from '../../plan/document/stockOf.js';
import { massOf, NOTHING, together, weighed, type MechanismMass, type SpreadMass } from './massOf.js';
import { slotsOf } from './supplyLedger.js';

/** What one mechanism weighs, costs and takes up. */
export interface LedgerRow {
  readonly mechanism: string;
  readonly name: string;
  readonly mass: MechanismMass;
  /** Still to be paid; absent where a price is missing. */
  readonly price?: number;
  readonly motors: number;
  readonly servos: number;
  readonly controllers: number;
}

/** A part that several mechanisms have in common: one spare serves them all. */
export interface CommonPart {
  readonly name: string;
  readonly pieces: number;
  readonly mechanisms: readonly string[];
}

export interface Ledger {
  readonly rows: readonly LedgerRow[];
  /** Of all mechanisms and the frame, without the pack. */
  readonly mass: SpreadMass;
  /** What belongs to no mechanism, and the pack. */
  readonly frame: SpreadMass;
  readonly pack: SpreadMass;
  /** Still to be paid of what is known, and whose figure is missing. */
  readonly price: number;
  readonly priceMissing: readonly string[];
  readonly motors: number;
  readonly servos: number;
  readonly controllers: number;
  /** Signals of the boards: one to a controller, a driver or a servo. */
  readonly channels: number;
  /** Kinds of motor and servo. */
  readonly kinds: number;
  /** Slots of the board that something hangs on: one for each motor unless they share it. */
  readonly slots: number;
  readonly common: readonly CommonPart[];
}

/**
 * Mass, money and counts of a robot as its choices in force are.
 *
 * @example ledgerOf(plan).motors //=> 12
 */
export function ledgerOf(plan: Plan): Ledger {
  const paid = paidBy(plan);
  const rows = plan.mechanisms.map((mechanism, i): LedgerRow => {
    const { drive } = currentChoice(mechanism);
    const count = countOf(drive);
    return {
      mechanism: mechanism.id,
      name: mechanism.name,
      mass: massOf(plan, mechanism),
      price: paid[i]!.price,
      motors: drive.kind === 'servo' ? 0 : count,
      servos: drive.kind === 'servo' ? piecesIn(drive) : 0,
      controllers: drive.kind === 'servo' ? 0 : count,
    };
  });
  const sum = (of: (row: LedgerRow) => number): number => rows.reduce((all, row) => all + of(row), 0);
  const turning = plan.mechanisms.map((mechanism) => {
    const [first] = partIdsOf(currentChoice(mechanism).drive);
    return plan.parts[first!]?.part.name;
  });
  const frame = plan.frame ? weighed(plan.frame) : NOTHING;
  const pack = packPartOf(plan);
  return {
    rows,
    mass: together([...rows.map(({ mass }) => mass.all), frame]),
    frame,
    pack: pack?.mass ? weighed(pack.mass) : { ...NOTHING, missing: pack ? [pack.name] : [] },
    price: sum(({ price }) => price ?? 0),
    priceMissing: [...new Set(paid.flatMap(({ missing }) => missing))],
    motors: sum(({ motors }) => motors),
    servos: sum(({ servos }) => servos),
    controllers: sum(({ controllers }) => controllers),
    channels: sum(({ controllers, servos }) => controllers + servos),
    kinds: new Set(turning).size,
    slots: slotsOf(plan).length,
    common: commonParts(plan),
  };
}

/** What each mechanism still costs, in their order: what lies on the shelf goes to whoever comes first. */
function paidBy(plan: Plan): readonly { readonly price?: number; readonly missing: readonly string[] }[] {
  const used = new Map<string, number>();
  return plan.mechanisms.map((mechanism) => {
    const { drive, stages } = currentChoice(mechanism);
    const missing: string[] = [];
    let price = trainsOf(drive) * stages.reduce((sum, stage) => sum + (stage.price?.si ?? 0), 0);
    for (const [id, pieces] of piecesOf(drive)) {
      const copy = plan.parts[id];
      if (!copy) continue;
      const key = sameKey(copy);
      const paid = stillToPay(copy.part, pieces, used.get(key));
      if (paid === undefined) missing.push(copy.part.name);
      price += paid ?? 0;
      used.set(key, (used.get(key) ?? 0) + pieces);
    }
    return { price: missing.length > 0 ? undefined : price, missing };
  });
}

function commonParts(plan: Plan): readonly CommonPart[] {
  const found = new Map<string, { name: string; pieces: number; mechanisms: string[] }>();
  for (const mechanism of plan.mechanisms)
    for (const [id, pieces] of piecesOf(currentChoice(mechanism).drive)) {
      const copy = plan.parts[id];
      if (!copy) continue;
      const line = found.get(sameKey(copy)) ?? { name: copy.part.name, pieces: 0, mechanisms: [] };
      found.set(sameKey(copy), line);
      line.pieces += pieces;
      if (!line.mechanisms.includes(mechanism.name)) line.mechanisms.push(mechanism.name);
    }
  return [...found.values()].filter(({ mechanisms }) => mechanisms.length > 1);
}
