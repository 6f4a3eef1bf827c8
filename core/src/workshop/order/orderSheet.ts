import type { Plan } from '../../plan/document/plan.js';
import { lineId, ORDER_GROUPS, type OrderLine, type OrderNeed } from './line.js';
import { mechanismNeeds, robotNeeds } from './needs.js';
import { sparesFor, USUAL_SPARES, type SpareRule } from './spares.js';

export interface OrderSheet {
  readonly lines: readonly OrderLine[];
  /** Of all lines whose price is known; and the names of those whose is not. */
  readonly cost: number;
  readonly unpriced: readonly OrderLine[];
  /** Of what is wanted, kg, as far as it is known; and how many lines do not say theirs. */
  readonly mass: number;
  readonly unweighed: number;
}

/** What a team has done about it since. */
export interface OrderSince {
  /** What came, by `lineId`: it counts as owned. */
  readonly came?: ReadonlyMap<string, number>;
  /** What is bought beside what the plan takes: wheels to try. */
  readonly also?: readonly OrderNeed[];
}

/** A hundredth of a metre or of a piece is nobody's to buy: what is left of rounding. */
const NOTHING = 1e-9;

function lineOf(needs: readonly OrderNeed[], rule: SpareRule, came: number): OrderLine {
  const first = needs[0]!;
  const { amount: _amount, of: _of, ...same } = first;
  const wanted = needs.reduce((sum, { amount }) => sum + amount, 0);
  const cut = first.measure === 'metres';
  // What is cut to length has its spare as a share of it; wire is bought as it is wanted.
  const spares = first.group === 'wire' ? 0 : cut ? wanted / rule.wornOneIn : sparesFor(wanted, first.wears, rule);
  const owned = (first.owned ?? 0) + came;
  const toBuy = Math.max(0, wanted + spares - owned);
  const prices = needs.flatMap(({ price, amount }) => (price === undefined ? [] : [price * amount]));
  const priced = prices.length === needs.length && wanted > NOTHING;
  const each = priced ? prices.reduce((sum, price) => sum + price, 0) / wanted : undefined;
  return {
    ...same,
    price: each,
    wanted,
    spares,
    owned,
    toBuy: toBuy < NOTHING ? 0 : toBuy,
    cost: toBuy < NOTHING ? 0 : each === undefined ? undefined : each * toBuy,
    of: [...new Set(needs.flatMap(({ of }) => of ?? []))],
  };
}

/**
 * Everything the robot takes as its choices in force are, what is alike in one line: wanted, spares by a rule, owned, and what
 * is still to be bought.
 *
 * @throws RangeError where the rule for spares is none
 * @example orderSheet(plan).lines.length > 10 //=> true
 */
export function orderSheet(
  plan: Plan,
  rule: SpareRule = USUAL_SPARES,
  { came = new Map(), also = [] }: OrderSince = {},
): OrderSheet {
  const byKey = new Map<string, OrderNeed[]>();
  for (const need of [
    ...plan.mechanisms.flatMap((mechanism) => mechanismNeeds(plan, mechanism)),
    ...robotNeeds(plan),
    ...also,
  ]) {
    const key = lineId(need);
    byKey.set(key, [...(byKey.get(key) ?? []), need]);
  }
  const lines = [...byKey]
    .map(([key, needs]) => lineOf(needs, rule, came.get(key) ?? 0))
    .sort((a, b) => ORDER_GROUPS.indexOf(a.group) - ORDER_GROUPS.indexOf(b.group));
  return {
    lines,
    cost: lines.reduce((sum, { cost }) => sum + (cost ?? 0), 0),
    unpriced: lines.filter(({ cost }) => cost === undefined),
    mass: lines.reduce((sum, { mass = 0, wanted }) => sum + mass * wanted, 0),
    unweighed: lines.filter(({ mass }) => mass === undefined).length,
  };
}
