import { quantityOf, type Part, type PartKind } from '@rough-gear/core';

/** A part of a kind that says no more than it must: what the form starts from. */
const BLANKS: Readonly<Record<PartKind, Part>> = {
  motor: { kind: 'motor', name: '', type: 'brushed', data: { form: 'sheet' } },
  controller: { kind: 'controller', name: '', drives: ['brushed'] },
  pack: { kind: 'pack', name: '', chemistry: 'lead', series: 6, parallel: 1 },
  breaker: { kind: 'breaker', name: '', type: 'snap' },
  stepper: { kind: 'stepper', name: '' },
  'step-servo': { kind: 'step-servo', name: '' },
  driver: { kind: 'driver', name: '', drives: 'stepper', stepSwitches: [{ value: 8, on: '0' }] },
  board: { kind: 'board', name: '' },
  servo: { kind: 'servo', name: '', motion: 'joint', points: [{}] },
  series: { kind: 'series', name: '', of: 'gears', sizes: [12] },
  wire: { kind: 'wire', name: '' },
  chain: { kind: 'chain', name: '' },
};

export const blankPart = (kind: PartKind): Part => BLANKS[kind];

/** A copy to change: what the team owns of the first is not owned of the second. */
export function copyOfPart(part: Part): Part {
  const { owned: _owned, ...rest } = part;
  return { ...rest, name: `${part.name.slice(0, 110)}, own` };
}

/** What a used one is asked for, against a new one, typical. */
const HALF = 0.5;

/** The same part bought used: half the price, and what it is like not quite what its sheet says. */
export function secondHandOf(part: Part): Part {
  const { owned: _owned, price, ...rest } = part;
  const asked = price && Number((price.si * HALF).toPrecision(3));
  const used = { ...rest, name: `${part.name.slice(0, 105)}, second-hand`, secondHand: true };
  return asked === undefined ? used : { ...used, price: quantityOf(asked, String(asked), 'typical') };
}
