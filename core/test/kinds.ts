import { readFileSync } from 'node:fs';
import {
  applyChanges,
  proposeMechanism,
  quantityOf,
  SERVO_USES,
  WISHES,
  type MechanismKind,
  type Plan,
  type ServoUseId,
  type Shelved,
  type Wish,
} from '../src/index.js';
import { demoPlan } from './demo.js';

const { parts: shelf } = JSON.parse(
  readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8'),
) as { parts: Shelved[] };

const wished = (si: number) => quantityOf(si, String(si));

/** A wish of every kind, with round numbers. */
const WISHED: Readonly<Record<MechanismKind, Readonly<Record<string, number>>>> = {
  'drive-base': { mass: 50, distance: 6, time: 3 },
  lift: { mass: 12, distance: 1, time: 2 },
  arm: { mass: 4, length: 0.8, angle: 1.9, time: 1.5 },
  climb: { mass: 50, distance: 0.7, time: 4 },
  thrower: { mass: 0.25, exitSpeed: 9, every: 1.5 },
  roller: { mass: 1.2, distance: 0.35, time: 0.5 },
  turntable: { mass: 6, across: 0.4, angle: 3.14, time: 1.2 },
  carriage: { mass: 2, distance: 0.3, time: 2 },
  grip: { mass: 1.5, length: 0.12, time: 0.4 },
  leg: { mass: 1.4, length: 0.06, angle: 0.7, time: 0.3 },
};

export const MECHANISM_KINDS = Object.keys(WISHES) as MechanismKind[];

/** Heron's pack with one mechanism of every kind, proposed as the dialog would: "lift-1", "arm-1". */
export function allKindsPlan(): Plan {
  const empty: Plan = { ...demoPlan('heron'), mechanisms: [] };
  return MECHANISM_KINDS.reduce((plan, kind) => {
    const values = Object.fromEntries(Object.entries(WISHED[kind]).map(([key, si]) => [key, wished(si)]));
    return applyChanges(plan, proposeMechanism(plan, { kind, name: kind, values, machine: 'dc' }, shelf).changes);
  }, empty);
}

/** What steppers and servos are asked to do: round numbers again. */
const PULSED: readonly MechanismKind[] = ['turntable', 'carriage', 'lift', 'arm', 'roller', 'drive-base', 'thrower'];
const USED: Readonly<Record<ServoUseId, Readonly<Record<string, number>>>> = {
  steering: { mass: 4, width: 0.025, offset: 0.01, angle: 1.05, time: 0.3 },
  brake: { force: 30, length: 0.02, time: 0.3 },
  grip: { mass: 0.4, length: 0.08, time: 0.5 },
  leg: { mass: 1.4, length: 0.06, angle: 0.7, time: 0.3 },
  pan: { mass: 0.12, length: 0.03, angle: 2.1, time: 0.5 },
  joint: { mass: 0.3, length: 0.15, angle: 1.5, time: 0.5 },
  winch: { mass: 1, distance: 0.5, time: 8 },
  slide: { mass: 1, distance: 0.04, time: 5 },
};

const wishedAll = (values: Readonly<Record<string, number>>) =>
  Object.fromEntries(Object.entries(values).map(([key, si]) => [key, wished(si)]));

/** Heron's pack with steppers, a step servo, and servos of every use, a winch and a linear one among them. */
export function allMachinesPlan(): Plan {
  const empty: Plan = { ...demoPlan('heron'), mechanisms: [] };
  const wishes: readonly Wish[] = [
    ...PULSED.map((kind): Wish => ({ kind, name: kind, machine: 'step', values: wishedAll(WISHED[kind]) })),
    ...(Object.keys(USED) as ServoUseId[]).map((use): Wish => ({
      kind: SERVO_USES[use].kind,
      use,
      name: use,
      machine: 'servo',
      values: wishedAll(USED[use]),
    })),
  ];
  return wishes.reduce((plan, wish) => applyChanges(plan, proposeMechanism(plan, wish, shelf).changes), empty);
}
