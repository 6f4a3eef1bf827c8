import { branchBreaker, mainBreaker } from './electric/breakers.js';
import { brownOut } from './electric/brownOut.js';
import { continuous } from './electric/continuous.js';
import { discharge } from './electric/discharge.js';
import { heat } from './electric/heat.js';
import { stator } from './electric/stator.js';
import { supply } from './electric/supply.js';
import { volts } from './electric/volts.js';
import type { Limit, LimitId } from './limit.js';
import { rope } from './mechanical/rope.js';
import { slip } from './mechanical/slip.js';

/** Every limit that is a force. A new one is one new file and one line here. */
export const LIMITS: readonly Limit[] = [
  volts,
  stator,
  supply,
  brownOut,
  discharge,
  branchBreaker,
  mainBreaker,
  continuous,
  heat,
  slip,
  rope,
];

/** The limit of an id. Throws for one that does not exist. */
export function limitOf(id: LimitId): Limit {
  const found = LIMITS.find((limit) => limit.id === id);
  if (!found) throw new Error(`there is no limit ${id}`);
  return found;
}
