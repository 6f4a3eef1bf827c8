import type { Part, PartKind } from '@rough-gear/core';

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
