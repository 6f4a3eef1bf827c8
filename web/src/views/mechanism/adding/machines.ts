import type { ShelfPart } from '@rough-gear/contract/api';
import type { PartKind, WishMachine } from '@rough-gear/core';

/** What may turn a mechanism, as it is asked for. */
export const MACHINES: readonly { readonly id: WishMachine; readonly title: string; readonly says: string }[] = [
  { id: 'dc', title: 'Plain motor', says: 'brushed or brushless, behind a speed controller' },
  { id: 'step', title: 'Stepper', says: 'goes by pulses, holds still, loses steps silently' },
  { id: 'step-servo', title: 'Step servo', says: 'goes by pulses, knows where it stands, alarms' },
  { id: 'servo', title: 'Position servo', says: 'motor, gears and sensor in one case, on a servo rail' },
];

const KINDS: Readonly<Record<WishMachine, readonly PartKind[]>> = {
  dc: ['motor', 'controller', 'breaker'],
  step: ['stepper', 'driver', 'board', 'breaker'],
  'step-servo': ['step-servo', 'driver', 'board', 'breaker'],
  servo: ['servo', 'breaker'],
};

/** The shelf's parts that a machine is proposed from. */
export const shelfFor = async (
  machine: WishMachine,
  fetchKind: (kind: PartKind) => Promise<readonly ShelfPart[]>,
): Promise<readonly ShelfPart[]> => (await Promise.all(KINDS[machine].map(fetchKind))).flat();
