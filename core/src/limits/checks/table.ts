import type { CheckId, CheckRule } from '../check.js';
import { erpm } from './erpm.js';
import { inTime } from './inTime.js';
import { motorKind } from './motorKind.js';
import { staysUp } from './staysUp.js';
import { voltsFull } from './voltsFull.js';
import { voltsLeast } from './voltsLeast.js';
import { branchWire, mainWire } from './wires.js';

/** Every check. A new one is one new file and one line here. */
export const CHECKS: readonly CheckRule[] = [
  inTime,
  staysUp,
  motorKind,
  voltsFull,
  voltsLeast,
  branchWire,
  mainWire,
  erpm,
];

/** The rule of an id. Throws for one that does not exist. */
export function checkRule(id: CheckId): CheckRule {
  const found = CHECKS.find((rule) => rule.id === id);
  if (!found) throw new Error(`there is no check ${id}`);
  return found;
}
